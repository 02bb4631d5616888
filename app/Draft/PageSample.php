<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\ItemsOfLevel;
use App\Catalog\TermNumbers;
use App\Data\Rows;
use App\Models\Definition;
use App\Models\Item;
use Lokum\Lineup\ProposedBands;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** What some products of a page, chosen by their numbers alone, answer to all of its filters: enough to tell how alike these are. */
final class PageSample
{
    /** Products, about; smaller pages are taken whole. */
    public const PRODUCTS = 2000;

    /** A number mixed so that neighbours are chosen independently of each other (D. E. Knuth's multiplicative hashing). */
    private const MIXED = '((p.id * 2654435761) & 4294967295)';

    /** Parts that a scale is taken as. */
    public const SHARES = 8;

    /** @var array<string, array<int, array<int, int>>> answer by item, by page and definition */
    private array $answers = [];

    /** @var array<string, float> by page */
    private array $shares = [];

    public function __construct(private readonly PageFacts $facts)
    {
    }

    /** The part of a page's products that is in the sample, from 0 to 1. */
    public function share(string $page): float
    {
        return $this->shares[$page] ??= min(1.0, self::PRODUCTS / max(1, $this->facts->products($page)));
    }

    /** @return array<int, int> answer by product or variant, of several the smallest; empty for a text */
    public function of(string $page, Definition $definition): array
    {
        $this->answers[$page] ??= $this->read($page);

        return $this->answers[$page][$definition->id] ?? [];
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

    /** @return array<int, array<int, int>> */
    private function read(string $page): array
    {
        [$products, $leaves] = $this->items($page);
        $counted = $edges = $answers = [];
        foreach (Definition::query()->live()->where('kind', '!=', Kind::Text)->get() as $definition) {
            $counted[$definition->id] = $definition->level === Level::Product ? $products : $leaves;
            if ($definition->kind === Kind::Number || $definition->kind === Kind::Date) {
                $edges[$definition->id] = $this->edges($page, $definition);
            }
        }
        foreach (array_chunk(array_keys($products + $leaves), self::PRODUCTS) as $some) {
            foreach (Rows::of(self::cells($some)) as [$id, $item, $term, $number]) {
                $answer = isset($edges[$id]) && $number !== null ? self::place($edges[$id], $number) : $term;
                if ($answer !== null && isset($counted[$id][$item]) && ($answers[$id][$item] ?? PHP_INT_MAX) > $answer) {
                    $answers[$id][$item] = $answer;
                }
            }
        }

        return $answers;
    }

    /** @return list<float> */
    private function edges(string $page, Definition $definition): array
    {
        return ProposedBands::equalShares($this->facts->of($page, $definition->slug)->numbers, self::SHARES);
    }

    /** @return array{0: array<int, true>, 1: array<int, true>} products, and variants or products without any, by id */
    private function items(string $page): array
    {
        $scope = $this->facts->scope($page);
        $chosen = self::MIXED.' < '.(int) ceil($this->share($page) * 2 ** 32);
        $products = Item::table('p')->whereNull('p.parent_id')->whereRaw($scope->product())->whereRaw($chosen)->pluck('p.id')->all();
        $leaves = Item::table('i')
            ->join('items as p', fn ($join) => $join->whereRaw('p.id = '.ItemsOfLevel::PRODUCT))
            ->whereRaw(ItemsOfLevel::on(Level::Variant))
            ->whereRaw("{$scope->products} AND {$scope->variant()} AND {$chosen}")
            ->pluck('i.id')
            ->all();

        return [array_fill_keys($products, true), array_fill_keys($leaves, true)];
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
