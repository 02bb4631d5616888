<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;

/** Products, one bit each. */
final readonly class ProductSet implements Carriers
{
    public function __construct(public GMP $bits)
    {
    }

    public function and(Carriers $other): static
    {
        return new self($this->bits & self::same($other)->bits);
    }

    public function or(Carriers $other): static
    {
        return new self($this->bits | self::same($other)->bits);
    }

    public function without(Carriers $other): static
    {
        return new self($this->bits & gmp_com(self::same($other)->bits));
    }

    public function isEmpty(): bool
    {
        return gmp_sign($this->bits) === 0;
    }

    public function count(): int
    {
        return gmp_popcount($this->bits);
    }

    public function has(int $product, int $lane = 0): bool
    {
        return gmp_testbit($this->bits, $product);
    }

    /** @return iterable<int> numbers of the products, rising */
    public function numbers(): iterable
    {
        for ($number = gmp_scan1($this->bits, 0); $number >= 0; $number = gmp_scan1($this->bits, $number + 1)) {
            yield $number;
        }
    }

    private static function same(Carriers $other): self
    {
        return $other instanceof self ? $other : throw MixedLevels::met();
    }
}
