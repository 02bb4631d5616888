<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * How a column of numbers is cut (C6): so many products to a block, and in a block the lanes one behind the other, a byte for each
 * carrier. What belongs to products has a single lane.
 */
final readonly class Blocks
{
    /** Products in a block. */
    public const PRODUCTS = 65536;

    /** @var list<int> products by lane */
    private array $sizes;

    public function __construct(Layout $layout, public bool $ofProducts)
    {
        $this->sizes = $ofProducts ? [$layout->products()] : $layout->sizes;
    }

    public function count(): int
    {
        return intdiv(($this->sizes[0] ?? 0) + self::PRODUCTS - 1, self::PRODUCTS);
    }

    /** Bytes of all blocks: one for each carrier. */
    public function bytes(): int
    {
        return array_sum($this->sizes);
    }

    /**
     * @param  int  $block  from 0
     * @return array<int, int> bytes of each lane that reaches into the block, by lane
     */
    public function lengths(int $block): array
    {
        $lengths = [];
        foreach ($this->sizes as $lane => $size) {
            if ($size > $block * self::PRODUCTS) {
                $lengths[$lane] = min(self::PRODUCTS, $size - $block * self::PRODUCTS);
            }
        }

        return $lengths;
    }

    /**
     * @param  int  $block  from 0
     * @return array<int, int> where each lane begins in the block, by lane
     */
    public function starts(int $block): array
    {
        $starts = [];
        $at = 0;
        foreach ($this->lengths($block) as $lane => $length) {
            $starts[$lane] = $at;
            $at += $length;
        }

        return $starts;
    }
}
