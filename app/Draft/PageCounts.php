<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\FieldNumbers;
use App\Catalog\ItemPlaces;
use App\Catalog\ItemsOfLevel;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\History\Remembered;
use App\Models\Definition;
use App\Models\Spelling;
use Closure;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use PDO;
use stdClass;

/** What a filter is about on every category's page at once (0: the whole shop), each counted in one go over the draft. */
final class PageCounts
{
    /** @var array<int, list<int>> by category */
    private array $above = [];

    private ?CategoryTree $tree = null;

    public function __construct(
        private readonly Remembered $remembered,
        private readonly ItemPlaces $places,
        private readonly ServedCounts $served,
    ) {
    }

    /** @return array<int, int> products by page, those of categories below included */
    public function products(bool $inStock): array
    {
        return $this->remembered->ofProducts('products of pages'.($inStock ? ' in stock' : ''), function () use ($inStock): array {
            $counts = [];
            $sql = 'SELECT {category} AS category_id, COUNT(*) AS n FROM items p{also} WHERE p.parent_id IS NULL AND p.out_since IS NULL'.
                ($inStock ? ' AND '.Stock::ofProduct() : '').
                ' GROUP BY 1';
            foreach ($this->pages($sql) as [$page, $row]) {
                $counts[$page] = ($counts[$page] ?? 0) + $row->n;
            }

            return $counts;
        });
    }

    /**
     * Distinct products by page and term, and by page those that carry any. A text is one term, numbered 1.
     *
     * @param  Definition|null  $definition  null: stock
     * @return array{counts: array<int, array<int, int>>, carrying: array<int, int>}
     */
    public function terms(?Definition $definition, bool $inStock): array
    {
        $key = $definition->slug ?? ProductField::Stock->value;

        return $this->kept('terms of pages', $key, $inStock, function () use ($definition, $inStock): array {
            $served = $inStock ? null : $this->served->terms($definition);
            if ($served !== null) {
                return $served;
            }
            [$own, $also] = AlsoOn::both($this->carriers($definition, $inStock));
            [$counts, $carrying] = $this->withAbove(
                ...self::tally($definition === null ? self::rows($own) : $this->placed($definition, $inStock)),
            );
            // Pages that list a product beside its own are said as they are.
            [$more, $carried] = self::tally($also === null ? [] : self::rows($also));
            foreach ($more as $page => $terms) {
                foreach ($terms as $term => $n) {
                    $counts[$page][$term] = ($counts[$page][$term] ?? 0) + $n;
                }
                $carrying[$page] = ($carrying[$page] ?? 0) + $carried[$page];
            }

            return ['counts' => $counts, 'carrying' => $carrying];
        });
    }

    /** @return array<int, int> distinct products of the whole shop by term: kept by itself, since rooms that list terms ask for no page */
    public function ofShop(Definition $definition): array
    {
        return $this->kept(
            'terms of shop',
            $definition->slug,
            false,
            fn (): array => $this->terms($definition, false)['counts'][0] ?? [],
        );
    }

    /** Rows of a term, and of a category (0: none) and a product in one number, as {@see AlsoOn::both()} takes it. */
    private function carriers(?Definition $definition, bool $inStock): string
    {
        $level = $definition->level ?? Level::Variant;
        $products = ' JOIN items p ON p.id = '.ItemsOfLevel::PRODUCT.'{also} WHERE ';
        $isText = $definition?->kind === Kind::Text;
        $from = $definition === null
            ? "items i{$products}i.stock IS NOT NULL"
            : 'spellings s'.
                ($isText ? '' : ' JOIN attribute_values v ON v.id = s.value_id AND v.held = 0').
                " JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id{$products}".
                "s.definition_id = {$definition->id}";
        $term = match (true) {
            $definition === null => Stock::TERM,
            $isText => '1',
            default => TermNumbers::SQL,
        };

        return "SELECT {$term}, COALESCE({category}, 0) * ".
            ItemPlaces::CATEGORY.
            " + p.id FROM {$from} AND ".
            ItemsOfLevel::on($level).
            ItemPlaces::stock($level, $inStock);
    }

    /** @return array<int, list<int>> places of products by term */
    private function placed(Definition $definition, bool $inStock): array
    {
        $cells = Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->where('s.definition_id', $definition->id);
        if ($definition->kind !== Kind::Text) {
            $cells->join('attribute_values as v', 'v.id', '=', 's.value_id')->where('v.held', false);
        }
        $cells->selectRaw(($definition->kind === Kind::Text ? '1' : TermNumbers::SQL).', a.item_id');

        return $this->places->carrying($definition->level, $cells, $inStock);
    }

    /** @return array<int, list<int>> second column by the first */
    private static function rows(string $sql): array
    {
        $found = DB::connection()->getPdo()->query($sql);

        return $found === false ? [] : $found->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN);
    }

    /**
     * Each product once a term and category, however many of its variants carry it.
     *
     * @param  array<int, list<int>>  $byTerm  places of products
     * @return array{0: array<int, array<int, int>>, 1: array<int, int>} products by category (0: none) and term, and by category
     */
    private static function tally(array $byTerm): array
    {
        $counts = $carrying = $carriers = [];
        foreach ($byTerm as $term => $all) {
            $products = array_flip($all);
            foreach ($products as $product => $_) {
                $category = intdiv($product, ItemPlaces::CATEGORY);
                $counts[$category][$term] = ($counts[$category][$term] ?? 0) + 1;
            }
            $carriers += $products;
        }
        foreach ($carriers as $product => $_) {
            $category = intdiv($product, ItemPlaces::CATEGORY);
            $carrying[$category] = ($carrying[$category] ?? 0) + 1;
        }

        return [$counts, $carrying];
    }

    /**
     * @param  array<int, array<int, int>>  $own
     * @param  array<int, int>  $carried
     * @return array{0: array<int, array<int, int>>, 1: array<int, int>} the same by page, those of categories below included
     */
    private function withAbove(array $own, array $carried): array
    {
        $this->tree();
        $counts = $carrying = [];
        foreach ($own as $category => $terms) {
            foreach ($this->upwards($category === 0 ? null : $category) as $page) {
                foreach ($terms as $term => $n) {
                    $counts[$page][$term] = ($counts[$page][$term] ?? 0) + $n;
                }
                $carrying[$page] = ($carrying[$page] ?? 0) + $carried[$category];
            }
        }

        return [$counts, $carrying];
    }

    /** @return array<int, array<int, int>> products by page and band, numbered from 1 */
    public function bands(FilterSettings $filter, bool $inStock): array
    {
        $bands = md5(serialize($filter->bands));

        return $this->kept("bands {$bands} of pages", $filter->key, $inStock, function () use ($filter, $inStock): array {
            [$from, $number] = $this->numbers($filter->key, $inStock);
            $counts = [];
            foreach ($from === null ? [] : $filter->bands as $i => $band) {
                $in = implode(
                    ' AND ',
                    array_filter([
                        $band->from === null ? null : "{$number} ".($band->holdsFrom ? '>=' : '>').' '.var_export($band->from, true),
                        $band->to === null ? null : "{$number} ".($band->holdsTo ? '<=' : '<').' '.var_export($band->to, true),
                    ]),
                );
                $sql = "SELECT {category} AS category_id, COUNT(DISTINCT p.id) AS n {$from} AND {$in} GROUP BY 1";
                foreach ($this->pages($sql) as [$page, $row]) {
                    $counts[$page][$i + 1] = ($counts[$page][$i + 1] ?? 0) + $row->n;
                }
            }

            return $counts;
        });
    }

    /** @return array<int, array{ends: array{0: float, 1: float}}> smallest and largest number by page */
    public function ends(string $key, bool $inStock): array
    {
        return $this->kept('ends of pages', $key, $inStock, function () use ($key, $inStock): array {
            [$from, $number] = $this->numbers($key, $inStock);
            $ends = [];
            $pages = $from === null
                ? []
                : $this->pages("SELECT {category} AS category_id, MIN({$number}) AS low, MAX({$number}) AS high {$from} GROUP BY 1");
            foreach ($pages as [$page, $row]) {
                $ends[$page] = [
                    'ends' => [
                        min($ends[$page]['ends'][0] ?? INF, (float) $row->low),
                        max($ends[$page]['ends'][1] ?? -INF, (float) $row->high),
                    ],
                ];
            }

            return $ends;
        });
    }

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    private function kept(string $name, string $key, bool $inStock, Closure $work): mixed
    {
        $name = "{$name}:{$key}".($inStock ? ' in stock' : '');

        return $this->remembered->about(About::filter($key, $inStock), $name, $work, About::besides($key));
    }

    /**
     * FROM and WHERE over numbers, their items (i) and products (p), and what a number is called there; null where there is nothing of
     * that name.
     *
     * @return array{0: string|null, 1: string}
     */
    private function numbers(string $key, bool $inStock): array
    {
        $definition = Definition::liveBySlug($key);
        $field = ProductField::tryFrom($key);
        $level = $definition->level ?? $field?->level() ?? Level::Variant;
        $where = ' JOIN items p ON p.id = '.
            ItemsOfLevel::PRODUCT.
            '{also} WHERE '.
            ItemsOfLevel::on($level).
            ItemPlaces::stock($level, $inStock);
        // These stand in the row of the item itself.
        if ($definition === null && in_array($field, ProductField::ownNumbers(), true)) {
            return ["FROM items i{$where} AND i.{$key} IS NOT NULL", "i.{$key}"];
        }
        $numbers = match (true) {
            $definition !== null => "SELECT a.item_id AS id, MIN(s.number) AS number FROM spellings s
                JOIN assignments a ON a.spelling_id = s.id
                WHERE s.definition_id = {$definition->id} AND s.number IS NOT NULL GROUP BY a.item_id",
            default => $field === null ? null : FieldNumbers::sql($field),
        };

        return [$numbers === null ? null : "FROM ({$numbers}) n JOIN items i ON i.id = n.id{$where}", 'n.number'];
    }

    /** @return array<int, array<int, int>> products by category and the category below */
    public function categories(bool $inStock): array
    {
        $counts = [];
        $tree = $this->tree();
        foreach ($this->products($inStock) as $category => $n) {
            $parent = $category === 0 ? null : $tree->find($category)->parent_id ?? 0;
            // A page that lists its own products only has none of those below.
            if ($parent !== null && ($parent === 0 || $tree->find($parent)?->own_only !== true)) {
                $counts[$parent][$category] = $n;
            }
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
        $this->tree();
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
        // Inside a transaction the tree is read anew at each question: one count asks once.
        $tree = $this->tree ?? $this->tree();
        $above = array_filter(
            $tree->withAncestors($category),
            fn (int $id): bool => $id === $category || $tree->find($id)?->own_only !== true,
        );

        return [0, ...array_values($above)];
    }

    /** The tree as it is now; what was worked out of another is forgotten. */
    private function tree(): CategoryTree
    {
        $tree = DraftLineups::load()->tree;
        if ($tree !== $this->tree) {
            $this->tree = $tree;
            $this->above = [];
        }

        return $tree;
    }
}
