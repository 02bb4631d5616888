<?php

declare(strict_types=1);

namespace Lokum\Lens;

/**
 * Lays out spellings, values and terms in three columns, joined by ribbons as thick as their products. What belongs together
 * stands at one height, so that no ribbon crosses another.
 */
final class Flow
{
    private const SPELLING = 20.0;

    private const VALUE = 30.0;

    private const GAP = 6.0;

    /** The most products are this thick. */
    private const THICKEST = 60.0;

    /** @var list<FlowBox> */
    public array $spellings = [];

    /** @var list<FlowBox> those that stand for the spellings of a value that are not drawn one by one */
    public array $others = [];

    /** @var list<FlowBox> */
    public array $values = [];

    /** @var list<FlowBox> */
    public array $terms = [];

    /** @var list<array{value: int, path: string}> from spellings to values; coordinates x as given by the columns */
    public array $left = [];

    /** @var list<array{value: int, path: string}> from values to terms */
    public array $right = [];

    public float $height = 0.0;

    private float $scale;

    /**
     * @param  list<FlowValue>  $values  values of one term next to each other
     * @param  array<int, int>  $termProducts  distinct products by term
     * @param  array{0: float, 1: float, 2: float, 3: float}  $columns  x where the left ribbons begin and end, and the right ones
     */
    public function __construct(array $values, private readonly array $termProducts, private readonly array $columns)
    {
        $most = max([1, ...array_map(fn (FlowValue $value): int => $value->products, $values)]);
        $this->scale = min(self::THICKEST / $most, 2.0);
        $at = 0;
        while ($at < count($values)) {
            $members = [$values[$at]];
            while (isset($values[$at + count($members)]) && $values[$at + count($members)]->term === $values[$at]->term) {
                $members[] = $values[$at + count($members)];
            }
            $this->term($members);
            $at += count($members);
        }
    }

    /** @param  non-empty-list<FlowValue>  $members */
    private function term(array $members): void
    {
        $top = $this->height;
        $boxes = array_map($this->value(...), $members);
        $end = $this->height - self::GAP;
        $thick = array_sum(array_map(fn (FlowBox $box): float => $box->thick, $boxes));
        $this->terms[] = new FlowBox(
            $members[0]->term,
            $members[0]->id,
            $top,
            $end - $top,
            $thick,
            $this->termProducts[$members[0]->term] ?? $members[0]->products,
            count($members),
        );
        $y = $top + ($end - $top - $thick) / 2;
        foreach ($boxes as $box) {
            $this->right[] = [
                'value' => $box->id,
                'path' => $this->ribbon($this->columns[2], $box->middle() - $box->thick / 2, $this->columns[3], $y, $box->thick),
            ];
            $y += $box->thick;
        }
    }

    private function value(FlowValue $value): FlowBox
    {
        $top = $this->height;
        $parts = [];
        foreach ($value->spellings as $spelling) {
            $parts[] = [$spelling['id'], $spelling['products'], 1];
        }
        if ($value->others > 0) {
            $parts[] = [$value->id, $value->otherProducts, $value->others];
        }
        $thickness = array_map(fn (array $part): float => $this->thick($part[1]), $parts);
        $heights = array_map(fn (float $thick): float => max(self::SPELLING, $thick + 3), $thickness);
        $thick = $this->thick($value->products);
        // A product with two spellings of one value is one product: the ribbons are never thicker than the value.
        $fit = array_sum($thickness) > $thick ? $thick / array_sum($thickness) : 1.0;
        $height = max(self::VALUE, array_sum($heights), $thick);
        $box = new FlowBox(
            $value->id,
            $value->id,
            $top + ($height - max(self::VALUE, $thick)) / 2,
            max(self::VALUE, $thick),
            $thick,
            $value->products,
        );
        $y = $top + ($height - array_sum($heights)) / 2;
        $end = $box->middle() - (array_sum($thickness) * $fit) / 2;
        foreach ($parts as $i => [$id, $products, $members]) {
            $spelling = new FlowBox($id, $value->id, $y, $heights[$i], $thickness[$i] * $fit, $products, $members);
            if ($id === $value->id && $value->others > 0 && $i === count($parts) - 1) {
                $this->others[] = $spelling;
            } else {
                $this->spellings[] = $spelling;
            }
            $this->left[] = [
                'value' => $value->id,
                'path' => $this->ribbon(
                    $this->columns[0],
                    $spelling->middle() - $spelling->thick / 2,
                    $this->columns[1],
                    $end,
                    $spelling->thick,
                ),
            ];
            $end += $spelling->thick;
            $y += $heights[$i];
        }
        $this->values[] = $box;
        $this->height = $top + $height + self::GAP;

        return $box;
    }

    private function thick(int $products): float
    {
        return max(1.5, $products * $this->scale);
    }

    private function ribbon(float $x, float $y, float $toX, float $toY, float $thick): string
    {
        $half = ($x + $toX) / 2;

        return sprintf(
            'M%1$.1f %2$.1fC%5$.1f %2$.1f %5$.1f %4$.1f %3$.1f %4$.1fV%6$.1fC%5$.1f %6$.1f %5$.1f %7$.1f %1$.1f %7$.1fZ',
            $x,
            $y,
            $toX,
            $toY,
            $half,
            $toY + $thick,
            $y + $thick,
        );
    }
}
