<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;

/** Variants, one bit each under their product's number, lane by lane. */
final readonly class VariantSet implements Carriers
{
    /** @param  list<GMP>  $lanes */
    public function __construct(public array $lanes)
    {
    }

    public function and(Carriers $other): static
    {
        $others = self::same($other)->lanes;
        $lanes = [];
        foreach ($this->lanes as $j => $lane) {
            $lanes[] = $lane & $others[$j];
        }

        return new self($lanes);
    }

    public function or(Carriers $other): static
    {
        $others = self::same($other)->lanes;
        $lanes = [];
        foreach ($this->lanes as $j => $lane) {
            $lanes[] = $lane | $others[$j];
        }

        return new self($lanes);
    }

    public function without(Carriers $other): static
    {
        $others = self::same($other)->lanes;
        $lanes = [];
        foreach ($this->lanes as $j => $lane) {
            $lanes[] = $lane & gmp_com($others[$j]);
        }

        return new self($lanes);
    }

    /** The products that have one of these variants. */
    public function products(): ProductSet
    {
        $bits = $this->lanes[0] ?? gmp_init(0);
        foreach ($this->lanes as $j => $lane) {
            if ($j > 0) {
                $bits |= $lane;
            }
        }

        return new ProductSet($bits);
    }

    /** The products of which one and the same variant is in both sets. */
    public function sharedProducts(self $other): ProductSet
    {
        $others = $other->lanes;
        $bits = null;
        foreach ($this->lanes as $j => $lane) {
            $both = $lane & $others[$j];
            $bits = $bits === null ? $both : $bits | $both;
        }

        return new ProductSet($bits ?? gmp_init(0));
    }

    /** These variants, of the given products only. */
    public function of(ProductSet $products): self
    {
        return new self(array_map(fn (GMP $lane): GMP => $lane & $products->bits, $this->lanes));
    }

    public function has(int $product, int $lane): bool
    {
        return isset($this->lanes[$lane]) && gmp_testbit($this->lanes[$lane], $product);
    }

    public function isEmpty(): bool
    {
        foreach ($this->lanes as $lane) {
            if (gmp_sign($lane) !== 0) {
                return false;
            }
        }

        return true;
    }

    private static function same(Carriers $other): self
    {
        return $other instanceof self ? $other : throw MixedLevels::met();
    }
}
