<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;
use App\Catalog\Counted;
use App\Definitions\Definition;
use App\History\Remembered;
use App\Lineups\Compositions;
use App\Lineups\Filter;
use App\Vocabulary\TermNumbers;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\Absence;
use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\Kind;

/** Which filters would show on which category's page now, and why the others would not. */
final class DraftPages
{
    /** @var array<int, int> products by category id, those below included; 0 is the whole shop */
    private array $products = [];

    private CategoryTree $tree;

    public function __construct(private readonly Remembered $remembered)
    {
    }

    /** @return array<int, array<string, Absence|null>> by category id (0: the whole shop) and title; null where the filter shows */
    public function all(): array
    {
        return $this->remembered->of('pages', $this->work(...));
    }

    /** @return array<int, array<string, Absence|null>> */
    private function work(): array
    {
        $compositions = Compositions::load();
        $this->tree = $compositions->tree;
        $this->products = [];
        foreach (DB::table('items')->whereNull('parent_id')->groupBy('category_id')->selectRaw('category_id, COUNT(*) AS n')->get() as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $this->products[$category] = ($this->products[$category] ?? 0) + $row->n;
            }
        }
        $pages = [];
        $facts = [];
        foreach (array_keys($this->products) as $category) {
            foreach ($compositions->of($category === 0 ? 'shop' : (string) $category)->filters as $key => $filter) {
                $facts[$key] ??= $this->facts($filter->settings());
                $pages[$category][$filter->settings()->title] = self::absence(
                    $filter->settings(), $facts[$key][$category] ?? null, $this->products[$category],
                );
            }
        }

        return $pages;
    }

    /** @param  array<int|string, mixed>|null  $facts  products by term, or the smallest and largest number, or anything where something is carried */
    private static function absence(FilterSettings $filter, ?array $facts, int $products): ?Absence
    {
        if ($facts === null) {
            return Absence::NobodyCarriesIt;
        }
        if (isset($facts['ends'])) {
            return Absence::ofScale($facts['ends']);
        }
        if ($filter->kind === Kind::Text) {
            return null;
        }
        /** @var array<int, int> $facts */
        $offered = array_filter($facts, fn (int $term): bool => $filter->offers($term), ARRAY_FILTER_USE_KEY);

        return $offered === [] && $facts !== [] ? Absence::LeftOut : Absence::ofTerms($filter->kind, array_values($offered), $products);
    }

    /** @return array<int, array<int|string, mixed>> by category */
    private function facts(FilterSettings $filter): array
    {
        $definition = Definition::query()->live()->where('slug', $filter->key)->first();

        return match (true) {
            $filter->key === Filter::CATEGORY => $this->categories(),
            $filter->kind === Kind::Number, $filter->kind === Kind::Date => $this->ends($filter->key, $definition),
            default => $this->counts($filter->key, $definition),
        };
    }

    /** @return array<int, array<int, int>> products by category and term */
    private function counts(string $key, ?Definition $definition): array
    {
        $rows = match (true) {
            $definition === null && $key === Filter::STOCK => DB::select('SELECT p.category_id, CASE WHEN i.stock > 0 THEN 1 ELSE 2 END AS term, COUNT(DISTINCT p.id) AS n FROM items i JOIN items p ON p.id = '.Counted::PRODUCT.' WHERE i.variant_count = 0 AND i.stock IS NOT NULL GROUP BY 1, 2'),
            $definition === null => [],
            $definition->kind === Kind::Text => DB::select(
                'SELECT p.category_id, 1 AS term, COUNT(DISTINCT p.id) AS n FROM assignments a JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT.' WHERE a.definition_id = ? GROUP BY 1',
                [$definition->id],
            ),
            default => DB::select('SELECT p.category_id, '.TermNumbers::SQL.' AS term, COUNT(DISTINCT p.id) AS n FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
                JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT.' WHERE s.definition_id = ? AND '.Counted::on($definition->level).' GROUP BY 1, 2', [$definition->id]),
        };
        $counts = [];
        foreach ($rows as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $counts[$category][$row->term] = ($counts[$category][$row->term] ?? 0) + $row->n;
            }
        }

        return $counts;
    }

    /** @return array<int, array{ends: array{0: float, 1: float}}> by category */
    private function ends(string $key, ?Definition $definition): array
    {
        $list = $key === Filter::DISCOUNT ? Discount::listPrice() : null;
        $numbers = match (true) {
            $definition !== null => "SELECT a.item_id AS id, s.number FROM spellings s JOIN assignments a ON a.spelling_id = s.id WHERE s.definition_id = {$definition->id} AND s.number IS NOT NULL",
            $key === Filter::ADDED => "SELECT id, CAST(julianday('now') - julianday(created_at) AS INTEGER) AS number FROM items WHERE parent_id IS NULL AND created_at IS NOT NULL",
            $list !== null => 'SELECT i.id, d.number FROM ('.Discount::sql($list).') d JOIN items i ON i.id = d.id',
            $key === Filter::PRICE => 'SELECT id, price AS number FROM items WHERE variant_count = 0 AND price IS NOT NULL',
            default => null,
        };
        $ends = [];
        foreach ($numbers === null ? [] : DB::select("SELECT p.category_id, MIN(n.number) AS low, MAX(n.number) AS high FROM ({$numbers}) n JOIN items i ON i.id = n.id JOIN items p ON p.id = ".Counted::PRODUCT.($definition === null ? '' : ' WHERE '.Counted::on($definition->level)).' GROUP BY 1') as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $ends[$category] = ['ends' => [
                    min($ends[$category]['ends'][0] ?? INF, (float) $row->low),
                    max($ends[$category]['ends'][1] ?? -INF, (float) $row->high),
                ]];
            }
        }

        return $ends;
    }

    /** @return array<int, array<int, int>> products by category and the category below */
    private function categories(): array
    {
        $counts = [];
        foreach ($this->products as $category => $n) {
            $parent = $category === 0 ? null : $this->tree->find($category)->parent_id ?? 0;
            $parent === null ?: $counts[$parent][$category] = $n;
        }

        return $counts;
    }

    /** @return list<int> the whole shop, the category and what it is below, up to one that lists its own products only */
    private function upwards(?int $category): array
    {
        if ($category === null) {
            return [0];
        }
        $above = array_filter(
            $this->tree->withAncestors($category),
            fn (int $id): bool => $id === $category || $this->tree->find($id)?->own_only !== true,
        );

        return [0, ...array_values($above)];
    }
}
