<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\ItemsOfLevel;
use App\Catalog\Stock;
use App\Catalog\TermNumbers;
use App\Data\Rows;
use App\Models\Definition;
use App\Models\Item;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\ProposedBands;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What some products of a page, chosen by their numbers alone, answer to all of its filters: enough to tell how alike these are. */
final class PageSample
{
    /** Products, about: those of the first size that can tell; smaller pages are taken whole. */
    public const SIZES = [2000, 20_000];

    /** Items whose cells are read in one go. */
    private const CHUNK = 2000;

    /** A number mixed so that neighbours are chosen independently of each other (D. E. Knuth's multiplicative hashing). */
    private const MIXED = '((p.id * 2654435761) & 4294967295)';

    /** Parts that a scale is taken as. */
    public const SHARES = 8;

    /** @var array<string, array<string, array<int, int>>> answer by item, by page with size and filter */
    private array $answers = [];

    /** @var array<string, array<int, int>> the same of price and stock, by page with size and field */
    private array $fields = [];

    /** @var array<string, array{0: array<int, true>, 1: array<int, int>}> the items in it, by page with size */
    private array $items = [];

    public function __construct(private readonly PageFacts $facts)
    {
    }

    /** The part of a page's products that is in the sample, from 0 to 1. */
    public function share(string $page, int $size): float
    {
        return min(1.0, $size / max(1, $this->facts->products($page)));
    }

    /** Whether answers to a field are in it: those to price and stock, which stand in the row of an item. */
    public static function has(?ProductField $field): bool
    {
        return in_array($field, ProductField::ownNumbers(), true);
    }

    /**
     * @param  string  $key  of a filter over a definition, or over a field that it has
     * @return array<int, int> answer by product or variant, of several the smallest; empty for a text
     */
    public function of(string $page, string $key, int $size): array
    {
        $sample = "{$page} {$size}";
        $field = ProductField::tryFrom($key);
        if ($field !== null && self::has($field)) {
            return $this->fields["{$sample} {$key}"] ??= $this->field($page, $size, $field);
        }
        $this->answers[$sample] ??= $this->read($page, $size);

        return $this->answers[$sample][$key] ?? [];
    }

    /**
     * In which of the equal shares of a page's numbers one lies.
     *
     * @param  list<float>  $edges
     */
    public static function place(array $edges, float $number): int
    {
        return count(array_filter($edges, fn (float $edge): bool => $number >= $edge));
    }

    /** @return array<int, int> products of the variants in the sample, and of products without any, by id */
    public function parents(string $page, int $size): array
    {
        return ($this->items["{$page} {$size}"] ??= $this->items($page, $size))[1];
    }

    /** @return array<string, array<int, int>> */
    private function read(string $page, int $size): array
    {
        [$products, $leaves] = $this->items["{$page} {$size}"] ??= $this->items($page, $size);
        $counted = $edges = $slugs = $answers = [];
        foreach (Definition::query()->live()->where('kind', '!=', Kind::Text)->get() as $definition) {
            $slugs[$definition->id] = $definition->slug;
            $counted[$definition->id] = $definition->level === Level::Product ? $products : $leaves;
            if ($definition->kind === Kind::Number || $definition->kind === Kind::Date) {
                $edges[$definition->id] = $this->edges($page, $definition->slug);
            }
        }
        foreach (array_chunk(array_keys($products + $leaves), self::CHUNK) as $some) {
            foreach (Rows::of(self::cells($some)) as [$id, $item, $term, $number]) {
                $answer = isset($edges[$id]) && $number !== null ? self::place($edges[$id], $number) : $term;
                if ($answer !== null && isset($counted[$id][$item]) && ($answers[$id][$item] ?? PHP_INT_MAX) > $answer) {
                    $answers[$id][$item] = $answer;
                }
            }
        }
        $byKey = [];
        foreach ($answers as $id => $byItem) {
            $byKey[$slugs[$id]] = $byItem;
        }

        return $byKey;
    }

    /** @return array<int, int> what variants answer to price or stock */
    private function field(string $page, int $size, ProductField $field): array
    {
        $isStock = $field === ProductField::Stock;
        $edges = $isStock ? [] : $this->edges($page, $field->value);
        $answers = [];
        foreach (array_chunk(array_keys($this->parents($page, $size)), self::CHUNK) as $some) {
            $rows = 'SELECT i.id, '.
                ($isStock ? Stock::TERM : "i.{$field->value}").
                " FROM items i WHERE i.{$field->value} IS NOT NULL AND i.id IN (".
                implode(',', $some).
                ')';
            foreach (Rows::of($rows) as [$id, $answer]) {
                $answers[$id] = $isStock ? (int) $answer : self::place($edges, (float) $answer);
            }
        }

        return $answers;
    }

    /** @return list<float> */
    private function edges(string $page, string $key): array
    {
        return ProposedBands::equalShares($this->facts->of($page, $key)->numbers, self::SHARES);
    }

    /** @return array{0: array<int, true>, 1: array<int, int>} products by id; the product of variants, or of products without any, by id */
    private function items(string $page, int $size): array
    {
        $scope = $this->facts->scope($page);
        $chosen = self::MIXED.' < '.(int) ceil($this->share($page, $size) * 2 ** 32);
        $products = Item::table('p')->whereNull('p.parent_id')->whereRaw($scope->product())->whereRaw($chosen)->pluck('p.id')->all();
        $leaves = Item::table('i')
            ->join('items as p', fn ($join) => $join->whereRaw('p.id = '.ItemsOfLevel::PRODUCT))
            ->whereRaw(ItemsOfLevel::on(Level::Variant))
            ->whereRaw("{$scope->products} AND {$scope->variant()} AND {$chosen}")
            ->pluck('p.id', 'i.id')
            ->all();

        return [array_fill_keys($products, true), $leaves];
    }

    /**
     * Joined in this order: from the few items to their cells.
     *
     * @param  list<int>  $items
     */
    private static function cells(array $items): string
    {
        return 'SELECT s.definition_id, a.item_id, '.
            TermNumbers::SQL.
            ', s.number FROM assignments a CROSS JOIN spellings s ON s.id = a.spelling_id
                LEFT JOIN attribute_values v ON v.id = s.value_id AND v.held = 0 WHERE a.item_id IN ('.
            implode(',', $items).
            ')';
    }
}
