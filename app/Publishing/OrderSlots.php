<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\EditionFile;
use App\Editions\EditionOrder;
use App\Editions\EditionProduct;
use Lokum\Lineup\SortOrder;

/**
 * Between which two of an edition's products others stand in its orders, with the price and stock that they have now: found by halving
 * among those that stand still, as they were when the edition was made.
 */
final class OrderSlots
{
    private const NEWEST = 'new';

    /** @var array<string, string> parts of orders as they are stored */
    private array $parts = [];

    /** @var array<string, EditionProduct|null> as they were when the edition was made, by number, with their variants or without */
    private array $standing = [];

    public function __construct(private readonly EditionFile $edition)
    {
    }

    /**
     * @param  array<int, EditionProduct>  $products  as they are now, by number
     * @return array<int, non-empty-array<int, EditionProduct>> those that stand before the same place, in no order
     */
    public function of(string $order, array $products): array
    {
        $slots = [];
        foreach ($products as $number => $product) {
            $slots[$this->slot($order, SortOrder::ofKey($order), $number, $product)][$number] = $product;
        }

        return $slots;
    }

    /**
     * @param  array<int, EditionProduct>  $products  by number
     * @return array<int, EditionProduct> in their order among each other
     */
    public function sorted(string $order, array $products): array
    {
        $by = SortOrder::ofKey($order);
        uksort($products, fn (int $a, int $b): int => $this->compared($a, $products[$a], $b, $products[$b], $by));

        return $products;
    }

    /**
     * @param  list<array{0: string, 1: bool}>  $by
     * @return int the first place of one that stands still and comes behind
     */
    private function slot(string $order, array $by, int $number, EditionProduct $product): int
    {
        $whole = in_array('stock', array_column($by, 0), true);
        $low = 0;
        $high = $this->edition->layout->products();
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $at = $this->packed($order, 'numbers', $middle);
            $other = $this->standing["{$at} {$whole}"] ??= $this->edition->products->asMade($at, $whole);
            if ($other !== null && $this->compared($at, $other, $number, $product, $by) < 0) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** @param  list<array{0: string, 1: bool}>  $by */
    private function compared(int $number, EditionProduct $one, int $otherNumber, EditionProduct $other, array $by): int
    {
        foreach ($by as [$field, $down]) {
            $order = match ($field) {
                'name' => strcmp(strtolower($one->name), strtolower($other->name)) * ($down ? -1 : 1),
                self::NEWEST => ($this->age($otherNumber) <=> $this->age($number)) * ($down ? -1 : 1),
                default => self::byNumber(
                    $this->number($number, $one, $field, $down),
                    $this->number($otherNumber, $other, $field, $down),
                    $down,
                ),
            };
            if ($order !== 0) {
                return $order;
            }
        }

        // Who came first stands first where all is equal.
        return $this->age($otherNumber) <=> $this->age($number);
    }

    private function age(int $number): int
    {
        return $this->packed(self::NEWEST, 'ranks', $number);
    }

    private function packed(string $order, string $column, int $at): int
    {
        $part = intdiv($at, EditionOrder::PART);
        $packed = $this->parts["{$order} {$column} {$part}"] ??= $this->edition->products->packedOrder($order, $column, $part);
        /** @var array{1: int}|false $number */
        $number = unpack('V', substr($packed, 4 * ($at % EditionOrder::PART), 4).str_repeat("\0", 4));

        return $number === false ? 0 : $number[1];
    }

    /** Who has none comes last either way. */
    private static function byNumber(int|float|null $a, int|float|null $b, bool $down): int
    {
        return match (true) {
            $a === null || $b === null => ($a === null) <=> ($b === null),
            $down => $b <=> $a,
            default => $a <=> $b,
        };
    }

    /** Of several variants the lowest counts where the lowest comes first, and the greatest where the greatest does. */
    private function number(int $number, EditionProduct $product, string $field, bool $down): int|float|null
    {
        $numbers = match ($field) {
            'price' => array_filter([$product->priceFrom, $product->priceTo], is_float(...)),
            'stock' => array_filter(array_column($product->variants, 'stock'), is_int(...)),
            default => $this->numbersOf($number, $field),
        };

        return $numbers === [] ? null : ($down ? max($numbers) : min($numbers));
    }

    /** @return list<float> a product's own number of a field, or those of its variants */
    private function numbersOf(int $number, string $field): array
    {
        $known = $this->edition->numbers($field);
        if ($known === null) {
            return [];
        }
        $numbers = [];
        foreach ($this->edition->layout->sizes as $lane => $size) {
            $at = $number < $size ? $known['numbers']->at($number, $lane) : null;
            if ($at !== null) {
                $numbers[] = $at;
            }
        }

        return $numbers;
    }
}
