<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * Numbers of products, or of variants, that ranges are asked of (C7).
 *
 * @template T of Carriers
 */
interface RangedNumbers
{
    /**
     * Who has a number in the range, ends included, unless they are said not to be.
     *
     * @param  float|null  $from  null: no lower end
     * @param  float|null  $to  null: no upper end
     * @return T|null null when no number lies in the range
     */
    public function within(?float $from, ?float $to, bool $holdsTo = true, bool $holdsFrom = true): ?Carriers;

    /**
     * The smallest and largest number among some carriers.
     *
     * @param  T  $among
     * @return array{0: float, 1: float}|null null when none of them has a number
     */
    public function ends(Carriers $among): ?array;

    /**
     * The number of one product, or of one variant; null where it has none.
     *
     * @param  int  $product  number in the edition, from 0
     * @param  int  $lane  of the variant, from 0; of no matter for products
     */
    public function at(int $product, int $lane): ?float;
}
