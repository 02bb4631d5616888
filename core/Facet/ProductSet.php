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

    public function has(int $product): bool
    {
        return gmp_testbit($this->bits, $product);
    }

    private static function same(Carriers $other): self
    {
        return $other instanceof self ? $other : throw MixedLevels::met();
    }
}
