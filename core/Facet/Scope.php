<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * What is left of a listing after some filters: the products that pass everything asked of products, and the variants
 * that pass everything asked of variants. A product matches when one of its variants passes all at once (C6).
 */
final readonly class Scope
{
    /** The products that match. */
    public ProductSet $matching;

    /** @param  VariantSet|null  $asked  null while nothing was asked of variants */
    private function __construct(private Layout $layout, private ProductSet $products, private ?VariantSet $asked)
    {
        $this->matching = $asked === null ? $products : $products->and($asked->products());
    }

    /** The products of a page before anything is picked; every variant of theirs counts. */
    public static function listing(Layout $layout, ProductSet $products): self
    {
        return new self($layout, $products, null);
    }

    /**
     * The same, of those that a set of products or variants carries: conditions on variants have to meet on one and the same.
     *
     * @throws MixedLevels never: a set of either level narrows
     */
    public function narrow(Carriers $carriers): self
    {
        return match (true) {
            $carriers instanceof ProductSet => new self($this->layout, $this->products->and($carriers), $this->asked),
            $carriers instanceof VariantSet => new self(
                $this->layout,
                $this->products,
                $this->asked?->and($carriers) ?? $carriers,
            ),
            default => throw MixedLevels::met(),
        };
    }

    /** Whether every product of the shop is in it. */
    public function isEverything(): bool
    {
        return $this->asked === null && gmp_cmp($this->products->bits, $this->layout->allProducts()->bits) === 0;
    }

    /** The variants that match. */
    public function variants(): VariantSet
    {
        return ($this->asked ?? $this->layout->allVariants())->of($this->products);
    }

    /** How many products would match if these carriers were asked for as well. */
    public function countWith(Carriers $carriers): int
    {
        if ($carriers instanceof ProductSet) {
            return $this->matching->and($carriers)->count();
        }
        if (! ($carriers instanceof VariantSet)) {
            throw MixedLevels::met();
        }
        $carrying = $this->asked === null ? $carriers->products() : $this->asked->sharedProducts($carriers);

        return $carrying->and($this->products)->count();
    }
}
