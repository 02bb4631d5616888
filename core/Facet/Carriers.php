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

    /** Whether nothing carries it. */
    public function isEmpty(): bool;
}
