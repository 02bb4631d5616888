<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Catalog\CategoryTree;
use App\Catalog\Counted;
use App\Definitions\Definition;
use App\History\Remembered;
use App\Publishing\Discount;
use App\Vocabulary\TermNumbers;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\ProposedBands;
use Lokum\Vocabulary\Kind;
use PDO;

/** What the products of a page say about a filter, counted from the draft. Kept until products, values or definitions change. */
final readonly class PageFacts
{
    private const SHARES = 8;

    private CategoryTree $tree;

    public function __construct(private Remembered $remembered)
    {
        $this->tree = CategoryTree::load();
    }

    /** Products of a page. */
    public function products(string $page): int
    {
        return $this->remembered->ofData("page-products:{$page}", fn (): int => (int) DB::table('items as p')->whereNull('p.parent_id')->whereRaw($this->within($page))->count());
    }

    /** @param  string  $page  a category's id, or "shop", "search", "brands" */
    public function of(string $page, string $key): FilterFacts
    {
        return $this->remembered->ofData("facts:{$page}:{$key}", fn (): FilterFacts => $this->count($page, $key));
    }

    private function count(string $page, string $key): FilterFacts
    {
        $definition = Definition::query()->live()->where('slug', $key)->first();
        $kind = $definition->kind ?? Filter::FIELDS[$key][1] ?? null;
        $within = $this->within($page);
        if ($kind === null) {
            return new FilterFacts($this->products($page), 0, [], [], '');
        }
        if ($kind === Kind::Number || $kind === Kind::Date) {
            return $this->numbers($page, $definition === null ? $this->fieldNumbers($key, $within) : 'SELECT p.id, s.number FROM spellings s JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT."
                WHERE s.definition_id = {$definition->id} AND s.number IS NOT NULL AND ".Counted::on($definition->level)." AND {$within}");
        }
        if ($kind === Kind::Text) {
            $n = (int) DB::selectOne('SELECT COUNT(DISTINCT p.id) AS n FROM assignments a JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT." WHERE a.definition_id = ? AND {$within}", [$definition->id ?? 0])->n;

            return new FilterFacts($this->products($page), $n, [], [], '');
        }

        return $this->terms($page, match (true) {
            $definition !== null => 'SELECT p.id, '.TermNumbers::SQL.' FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0 JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT."
                WHERE s.definition_id = {$definition->id} AND ".Counted::on($definition->level)." AND {$within}",
            $key === Filter::STOCK => 'SELECT p.id, CASE WHEN i.stock > 0 THEN 1 ELSE 2 END FROM items i JOIN items p ON p.id = '.Counted::PRODUCT." WHERE i.variant_count = 0 AND i.stock IS NOT NULL AND {$within}",
            default => $this->categories($page, $within),
        });
    }

    private function terms(string $page, string $sql): FilterFacts
    {
        $counts = $first = $seen = [];
        foreach ($this->rows($sql) as [$product, $term]) {
            if (! isset($first[$product])) {
                $first[$product] = $term;
            } elseif ($first[$product] === $term || isset($seen[$product][$term])) {
                continue;
            } else {
                $seen[$product][$term] = true;
                $first[$product] = min($first[$product], $term);
            }
            $counts[$term] = ($counts[$term] ?? 0) + 1;
        }
        // A term's number may be too great for 32 bits; its place among the terms is not.
        $places = array_flip(array_keys($counts));
        $packed = '';
        foreach ($first as $product => $term) {
            $packed .= pack('VV', $product, $places[$term]);
        }

        return new FilterFacts($this->products($page), count($first), $counts, [], $packed);
    }

    private function numbers(string $page, string $sql): FilterFacts
    {
        $first = $seen = $numbers = [];
        foreach ($this->rows($sql) as [$product, $number]) {
            $text = (string) (float) $number;
            if (isset($seen[$product][$text])) {
                continue;
            }
            $seen[$product][$text] = true;
            $first[$product] = min($first[$product] ?? INF, (float) $number);
            $numbers[$text] = ($numbers[$text] ?? 0) + 1;
        }
        $edges = ProposedBands::equalShares($numbers, self::SHARES);
        $packed = '';
        foreach ($first as $product => $number) {
            $band = 0;
            while (isset($edges[$band]) && $number >= $edges[$band]) {
                $band++;
            }
            $packed .= pack('VV', $product, $band);
        }
        uksort($numbers, fn (int|string $a, int|string $b): int => (float) $a <=> (float) $b);
        $places = array_flip(array_map(strval(...), array_keys($numbers)));
        $pairs = '';
        foreach (array_sum($numbers) > count($first) ? $seen : [] as $product => $own) {
            foreach (array_keys($own) as $number) {
                $pairs .= pack('VV', $product, $places[(string) $number]);
            }
        }

        return new FilterFacts($this->products($page), count($first), [], $numbers, $packed, $pairs);
    }

    private function fieldNumbers(string $key, string $within): string
    {
        $list = $key === Filter::DISCOUNT ? Discount::listPrice() : null;

        return match (true) {
            $key === Filter::ADDED => "SELECT p.id, CAST(julianday('now') - julianday(p.created_at) AS INTEGER) FROM items p WHERE p.parent_id IS NULL AND p.created_at IS NOT NULL AND {$within}",
            $list !== null => 'SELECT p.id, d.number FROM ('.Discount::sql($list).') d JOIN items i ON i.id = d.id JOIN items p ON p.id = '.Counted::PRODUCT." WHERE {$within}",
            $key === Filter::PRICE => 'SELECT p.id, i.price FROM items i JOIN items p ON p.id = '.Counted::PRODUCT." WHERE i.variant_count = 0 AND i.price IS NOT NULL AND {$within}",
            default => 'SELECT 0, 0 WHERE 0',
        };
    }

    /** Products by the category one step below the page that they are in. */
    private function categories(string $page, string $within): string
    {
        $cases = '';
        foreach ($this->tree->below(ctype_digit($page) ? (int) $page : 0) as $child) {
            $cases .= ' WHEN p.category_id IN ('.implode(',', $this->tree->withDescendants($child)).") THEN {$child}";
        }

        return $cases === '' ? 'SELECT 0, 0 WHERE 0' : "SELECT * FROM (SELECT p.id, CASE{$cases} END AS term FROM items p WHERE p.parent_id IS NULL AND {$within}) WHERE term IS NOT NULL";
    }

    /** In SQL, over the product p. */
    private function within(string $page): string
    {
        return ctype_digit($page) ? 'p.category_id IN ('.implode(',', $this->tree->find((int) $page)?->own_only ? [(int) $page] : $this->tree->withDescendants((int) $page)).')' : '1';
    }

    /** @return iterable<array{0: int, 1: int|float}> */
    private function rows(string $sql): iterable
    {
        $statement = DB::connection()->getPdo()->query($sql);
        while ($statement !== false && ($row = $statement->fetch(PDO::FETCH_NUM)) !== false) {
            yield $row;
        }
    }
}
