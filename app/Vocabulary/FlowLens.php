<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Umbrella;
use Lokum\Lens\Flow;
use Lokum\Lens\FlowValue;

/** Values in the flow: those of most products one by one, the others as one line to be opened. */
final readonly class FlowLens
{
    public const STEP = 40;

    private const SPELLINGS = 3;

    private const OPENED = 60;

    /** x of the columns in the drawing */
    public const COLUMNS = [206.0, 380.0, 606.0, 712.0];

    public Flow $flow;

    /** @var array<int, ValueRow> those that are drawn */
    public array $rows;

    /** @var array<int, string> by spelling */
    public array $texts;

    public int $rest;

    public int $restProducts;

    /**
     * @param  list<ValueRow>  $rows
     * @param  array<int, int>  $umbrellaProducts  distinct products by umbrella
     * @param  int|null  $open  the value whose spellings are all drawn
     */
    public function __construct(array $rows, array $umbrellaProducts, public int $shown, string $sort, ?int $open)
    {
        $drawn = array_slice(self::byProducts($rows), 0, $shown);
        $isDrawn = array_fill_keys(array_map(fn (ValueRow $row): int => $row->id, $drawn), true) + [(int) $open => true];
        $rest = array_filter($rows, fn (ValueRow $row): bool => ! isset($isDrawn[$row->id]));
        $rows = array_values(array_filter($rows, fn (ValueRow $row): bool => isset($isDrawn[$row->id])));
        $rows = match ($sort) {
            'order' => $rows,
            'name' => self::byName($rows),
            default => self::byProducts($rows),
        };
        $terms = [];
        foreach ($rows as $row) {
            $terms[self::term($row)][] = $row;
        }
        if ($sort !== 'name' && $sort !== 'order') {
            $weight = fn (array $of): int => array_sum(array_map(fn (ValueRow $row): int => $row->products, $of));
            uasort($terms, fn (array $a, array $b): int => $weight($b) <=> $weight($a));
        }
        $products = [];
        foreach ($umbrellaProducts as $id => $n) {
            $products[Umbrella::TERM + $id] = $n;
        }
        $ordered = array_merge(...array_values($terms) ?: [[]]);
        $this->rows = array_combine(array_map(fn (ValueRow $row): int => $row->id, $ordered), $ordered);
        $this->texts = array_column(
            array_merge(...array_map(fn (ValueRow $row): array => $row->spellings, $ordered)),
            'text',
            'id',
        );
        $this->flow = new Flow(
            array_map(
                fn (ValueRow $row): FlowValue => self::value($row, $row->id === $open ? self::OPENED : self::SPELLINGS),
                $ordered,
            ),
            $products,
            self::COLUMNS,
        );
        $this->rest = count($rest);
        $this->restProducts = array_sum(array_map(fn (ValueRow $row): int => $row->products, $rest));
    }

    /**
     * @param  list<ValueRow>  $rows
     * @return list<ValueRow> the most products first
     */
    private static function byProducts(array $rows): array
    {
        $products = array_map(fn (ValueRow $row): int => $row->products, $rows);
        $names = array_map(fn (ValueRow $row): string => $row->label, $rows);
        $order = array_keys($rows);
        array_multisort($products, SORT_DESC, $names, SORT_NATURAL | SORT_FLAG_CASE, $order);

        return array_map(fn (int $i): ValueRow => $rows[$i], $order);
    }

    /**
     * @param  list<ValueRow>  $rows
     * @return list<ValueRow>
     */
    private static function byName(array $rows): array
    {
        $names = array_map(fn (ValueRow $row): string => $row->label, $rows);
        $order = array_keys($rows);
        array_multisort($names, SORT_NATURAL | SORT_FLAG_CASE, $order);

        return array_map(fn (int $i): ValueRow => $rows[$i], $order);
    }

    private static function term(ValueRow $row): int
    {
        return $row->umbrella === null ? $row->id : Umbrella::TERM + $row->umbrella;
    }

    private static function value(ValueRow $row, int $most): FlowValue
    {
        $single = count($row->spellings) <= $most + 1 ? $row->spellings : array_slice($row->spellings, 0, $most);
        $others = array_slice($row->spellings, count($single));

        return new FlowValue(
            $row->id,
            self::term($row),
            $row->products,
            array_map(fn (array $spelling): array => ['id' => $spelling['id'], 'products' => $spelling['products']], $single),
            count($others),
            array_sum(array_column($others, 'products')),
        );
    }
}
