<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Who carries something: a set of products, or a set of variants by lane. Sets of one kind combine with each other. */
interface Carriers
{
    /**
     * @param  static  $other
     */
    public function and(self $other): static;

    /**
     * @param  static  $other
     */
    public function or(self $other): static;

    /**
     * @param  static  $other
     */
    public function without(self $other): static;

    /**
     * @param  int  $product  number in the edition, from 0
     * @param  int  $lane  of the variant, from 0; of no matter for products
     */
    public function has(int $product, int $lane): bool;

    /** Whether nothing carries it. */
    public function isEmpty(): bool;
}
