<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\FieldNumbers;
use App\Catalog\ItemsOfLevel;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\History\Remembered;
use App\Models\Definition;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use stdClass;

/** Which filters would show on which category's page now, and why the others would not. */
final class DraftPages
{
    /**
     * @var array<int, array<int, array<int, int>>> products by category id, of all (0) and of those that are not sold out (1)
     */
    private array $products = [];

    /** @var array<int, array<int, array<int, int>>> */
    private array $counted = [];

    /** @var array<int, list<int>> by category */
    private array $above = [];

    private CategoryTree $tree;

    public function __construct(private readonly Remembered $remembered)
    {
    }

    /**
     * @param  array<int, array<int, array<int, int>>>  $counted  products by definition, category and term, where they were counted
     *         already
     * @return array<int, array<string, Absence|null>> by category id (0: the whole shop) and title; null where the filter shows
     */
    public function all(array $counted = []): array
    {
        return $this->remembered->of('pages', function () use ($counted): array {
            $this->counted = $counted;
            try {
                return $this->work();
            } finally {
                $this->counted = [];
            }
        });
    }

    /** @return array<int, int>|null filters that show, by category id (0: the whole shop); null where that would take a while */
    public function shown(): ?array
    {
        $pages = $this->remembered->soon('pages', $this->work(...));

        return $pages !== null
            ? array_map(fn (array $absences): int => count(array_filter($absences, is_null(...))), $pages)
            : null;
    }

    /** @return array<int, array<string, Absence|null>> */
    private function work(): array
    {
        $compositions = DraftLineups::load();
        $this->tree = $compositions->tree;
        $this->products = $this->above = [];
        $pages = [];
        $facts = [];
        foreach (array_keys($this->products(false)) as $category) {
            $lineup = $compositions->of($category === 0 ? 'shop' : (string) $category);
            $inStock = ($lineup->settings['sold_out'] ?? null) === 'hidden';
            foreach ($lineup->filters as $key => $filter) {
                $settings = $filter->settings();
                $name =
                    $key.
                    '|'.
                    (int) $inStock.
                    '|'.
                    ($settings->isScale() ? 'scale' : '').
                    '|'.
                    ($settings->control === Control::Bands ? json_encode($settings->bands) : '');
                $facts[$name] ??= $this->remembered->about(
                    About::filter($settings->key, $inStock),
                    'facts of pages:'.md5($name),
                    fn (): array => $this->facts($settings, $inStock),
                );
                $pages[$category][$settings->title] = $this->absence(
                    $settings,
                    $facts[$name][$category] ?? null,
                    $this->products($inStock)[$category][1] ?? 0,
                );
            }
        }

        return $pages;
    }

    /** @return array<int, array<int, int>> products by category id (0: the whole shop), those below included; counted once */
    private function products(bool $inStock): array
    {
        return $this->products[(int) $inStock] ??= $this->remembered->ofProducts(
            'products of pages'.($inStock ? ' in stock' : ''),
            fn (): array => $this->byCategory(
                'SELECT {category} AS category_id, 1 AS term, COUNT(*) AS n FROM items p{also} WHERE p.parent_id IS NULL '.
                    'AND p.out_since IS NULL'.
                    ($inStock ? ' AND '.Stock::ofProduct() : '').
                    ' GROUP BY 1',
            ),
        );
    }

    /** @param  array<int|string, mixed>|null  $facts  products by term, or the smallest and largest number */
    private function absence(FilterSettings $filter, ?array $facts, int $products): ?Absence
    {
        if ($filter->control === Control::Words) {
            $offer = Offer::ofWords($facts === null ? 0 : 1);

            return $offer instanceof Absence ? $offer : null;
        }
        if ($filter->isScale()) {
            return Absence::ofScale($facts['ends'] ?? null);
        }
        /** @var array<int, int> $counts */
        $counts = $facts ?? [];

        return Offer::absence(
            $filter,
            array_map(fn (int $id): OfferableTerm => new OfferableTerm($id, '', ''), array_keys($counts)),
            $counts,
            $products,
        );
    }

    /** @return array<int, array<int|string, mixed>> by category */
    private function facts(FilterSettings $filter, bool $inStock): array
    {
        $definition = Definition::liveBySlug($filter->key);

        return match (true) {
            $definition === null && $filter->key === ProductField::Category->value => $this->categories($inStock),
            $filter->control === Control::Bands => $this->bands($filter, $definition, $inStock),
            $filter->isScale() => $this->ends($filter->key, $definition, $inStock),
            default => $this->counts($filter->key, $definition, $inStock),
        };
    }

    /** @return array<int, array<int, int>> products by category and term */
    private function counts(string $key, ?Definition $definition, bool $inStock): array
    {
        $of = fn (string $term): string => "SELECT {category} AS category_id, {$term} AS term, COUNT(DISTINCT p.id) AS n FROM";
        $items = 'JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.ItemsOfLevel::PRODUCT.'{also}';

        return match (true) {
            $definition === null && $key === ProductField::Stock->value => $this->byCategory(
                $of(Stock::TERM).
                    ' items i JOIN items p ON p.id = '.
                    ItemsOfLevel::PRODUCT.
                    '{also} WHERE i.stock IS NOT NULL AND '.
                    ItemsOfLevel::on(Level::Variant).
                    $this->stock(Level::Variant, $inStock).
                    ' GROUP BY 1, 2',
            ),
            $definition === null => [],
            ! $inStock && isset($this->counted[$definition->id]) => $this->counted[$definition->id],
            $definition->kind === Kind::Text => $this->byCategory(
                $of('1').
                    " assignments a {$items} WHERE a.definition_id = {$definition->id} AND ".
                    ItemsOfLevel::on($definition->level).
                    $this->stock($definition->level, $inStock).
                    ' GROUP BY 1',
            ),
            default => $this->byCategory(
                $of(TermNumbers::SQL).
                    " spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
                        JOIN assignments a ON a.spelling_id = s.id {$items}
                WHERE s.definition_id = {$definition->id} AND ".
                    ItemsOfLevel::on($definition->level).
                    $this->stock($definition->level, $inStock).
                    ' GROUP BY 1, 2',
            ),
        };
    }

    /** @return array<int, array<int, int>> products by category and band, numbered from 1 */
    private function bands(FilterSettings $filter, ?Definition $definition, bool $inStock): array
    {
        $from = $this->numbers($filter->key, $definition, $inStock);
        $counts = [];
        foreach ($from === null ? [] : $filter->bands as $i => $band) {
            $in = implode(
                ' AND ',
                array_filter([
                    $band->from === null ? null : 'n.number '.($band->holdsFrom ? '>=' : '>').' '.var_export($band->from, true),
                    $band->to === null ? null : 'n.number '.($band->holdsTo ? '<=' : '<').' '.var_export($band->to, true),
                ]),
            );
            foreach (
                $this->byCategory(
                    "SELECT {category} AS category_id, {$i} + 1 AS term, COUNT(DISTINCT p.id) AS n {$from} AND {$in} GROUP BY 1",
                ) as $category => $terms
            ) {
                $counts[$category] = ($counts[$category] ?? []) + $terms;
            }
        }

        return $counts;
    }

    /** @return array<int, array{ends: array{0: float, 1: float}}> by category */
    private function ends(string $key, ?Definition $definition, bool $inStock): array
    {
        $from = $this->numbers($key, $definition, $inStock);
        $ends = [];
        $pages = $from === null
            ? []
            : $this->pages("SELECT {category} AS category_id, MIN(n.number) AS low, MAX(n.number) AS high {$from} GROUP BY 1");
        foreach ($pages as [$page, $row]) {
            $ends[$page] = [
                'ends' => [
                    min($ends[$page]['ends'][0] ?? INF, (float) $row->low),
                    max($ends[$page]['ends'][1] ?? -INF, (float) $row->high),
                ],
            ];
        }

        return $ends;
    }

    /** FROM and WHERE over numbers (n), their items (i) and products (p); null where there is nothing of that name. */
    private function numbers(string $key, ?Definition $definition, bool $inStock): ?string
    {
        $field = ProductField::tryFrom($key);
        $level = $definition->level ?? $field?->level() ?? Level::Variant;
        $numbers = match (true) {
            $definition !== null => "SELECT a.item_id AS id, MIN(s.number) AS number FROM spellings s
                JOIN assignments a ON a.spelling_id = s.id
                WHERE s.definition_id = {$definition->id} AND s.number IS NOT NULL GROUP BY a.item_id",
            default => $field === null ? null : FieldNumbers::sql($field),
        };

        return $numbers === null
            ? null
            : "FROM ({$numbers}) n JOIN items i ON i.id = n.id JOIN items p ON p.id = ".
                    ItemsOfLevel::PRODUCT.
                    '{also} WHERE '.
                    ItemsOfLevel::on($level).
                    $this->stock($level, $inStock);
    }

    /** Condition on what is in stock, or of whose stock nothing is known: the variant i itself, or one of the product p. */
    private function stock(Level $level, bool $inStock): string
    {
        return ! $inStock ? '' : ($level === Level::Variant ? ' AND '.Stock::of('i') : ' AND '.Stock::ofProduct());
    }

    /** @return array<int, array<int, int>> products by category and the category below */
    private function categories(bool $inStock): array
    {
        $counts = [];
        foreach ($this->products($inStock) as $category => [1 => $n]) {
            $parent = $category === 0 ? null : $this->tree->find($category)->parent_id ?? 0;
            // A page that lists its own products only has none of those below.
            if ($parent !== null && ($parent === 0 || $this->tree->find($parent)?->own_only !== true)) {
                $counts[$parent][$category] = $n;
            }
        }

        return $counts;
    }

    /** @return array<int, array<int, int>> sums by category and term, for each category with what is below it */
    private function byCategory(string $sql): array
    {
        $counts = [];
        foreach ($this->pages($sql) as [$page, $row]) {
            $counts[$page][$row->term] = ($counts[$page][$row->term] ?? 0) + $row->n;
        }

        return $counts;
    }

    /**
     * What a question finds, for every page that it counts on.
     *
     * @param  string  $sql  as {@see AlsoOn::both()} takes it, with a category_id
     * @return iterable<array{0: int, 1: stdClass}> page (0: the whole shop) and row
     */
    private function pages(string $sql): iterable
    {
        [$own, $also] = AlsoOn::both($sql);
        foreach (DB::select($own) as $row) {
            foreach ($this->upwards($row->category_id) as $page) {
                yield [$page, $row];
            }
        }
        foreach ($also === null ? [] : DB::select($also) as $row) {
            yield [(int) $row->category_id, $row];
        }
    }

    /** @return list<int> the whole shop, the category and what it is below, up to one that lists its own products only */
    private function upwards(?int $category): array
    {
        if ($category === null) {
            return [0];
        }

        return $this->above[$category] ??= $this->workOutAbove($category);
    }

    /** @return list<int> */
    private function workOutAbove(int $category): array
    {
        $above = array_filter(
            $this->tree->withAncestors($category),
            fn (int $id): bool => $id === $category || $this->tree->find($id)?->own_only !== true,
        );

        return [0, ...array_values($above)];
    }
}
