<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;
use InvalidArgumentException;

/**
 * How variants are numbered for counting (C6). Products are numbered by falling number of variants, from 0. Lane j holds
 * the j-th variant of every product that has one, under its product's number; so each lane is a prefix of the one before,
 * and the lanes together have as many bits as there are variants.
 */
final readonly class Layout
{
    /** @var list<int> first byte of each lane where lanes are stored one behind the other, each on an 8-byte border */
    public array $starts;

    /** Bytes of all lanes. */
    public int $bytes;

    /**
     * @param  list<int>  $sizes  number of products with at least 1, 2, 3 … variants; falling, the first is all products
     *
     * @throws InvalidArgumentException when the sizes rise
     */
    public function __construct(public array $sizes)
    {
        $starts = [];
        $bytes = 0;
        foreach ($sizes as $lane => $size) {
            if ($size < 1 || $size > ($sizes[$lane - 1] ?? PHP_INT_MAX)) {
                throw new InvalidArgumentException('Lane sizes are at least 1 and never rise.');
            }
            $starts[] = $bytes;
            $bytes += self::bytesFor($size);
        }
        $this->starts = $starts;
        $this->bytes = $bytes;
    }

    public function products(): int
    {
        return $this->sizes[0] ?? 0;
    }

    public function variants(): int
    {
        return array_sum($this->sizes);
    }

    /** Bytes of a bitmap with one bit a product. */
    public function productBytes(): int
    {
        return self::bytesFor($this->products());
    }

    /** The place of a variant among the stored bits of all lanes. */
    public function bit(int $lane, int $product): int
    {
        return $this->starts[$lane] * 8 + $product;
    }

    /** Every product, as a bitmap of one bit a product. */
    public function allProducts(): ProductSet
    {
        return new ProductSet(self::ones($this->products()));
    }

    /** Every variant, as bitmaps of one bit a product and lane. */
    public function allVariants(): VariantSet
    {
        return new VariantSet(array_map(self::ones(...), $this->sizes));
    }

    private static function ones(int $count): GMP
    {
        return gmp_sub(gmp_pow(2, $count), 1);
    }

    private static function bytesFor(int $bits): int
    {
        return intdiv($bits + 63, 64) * 8;
    }
}
