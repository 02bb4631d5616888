<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * Numbers of which some have become others since, or were taken away.
 *
 * @implements RangedNumbers<VariantSet>
 */
final readonly class LaidOverNumbers implements RangedNumbers
{
    /**
     * @param  RangedNumbers<VariantSet>  $before
     * @param  VariantSet  $changed  whose numbers of before count no more
     * @param  RangedNumbers<VariantSet>  $now  the numbers of those that have one now
     */
    public function __construct(private RangedNumbers $before, private VariantSet $changed, private RangedNumbers $now)
    {
    }

    public function within(?float $from, ?float $to, bool $holdsTo = true, bool $holdsFrom = true): ?VariantSet
    {
        $before = $this->before->within($from, $to, $holdsTo, $holdsFrom)?->without($this->changed);
        $now = $this->now->within($from, $to, $holdsTo, $holdsFrom);

        return $before === null || $now === null ? $before ?? $now : $before->or($now);
    }

    public function at(int $product, int $lane): ?float
    {
        return $this->changed->has($product, $lane) ? $this->now->at($product, $lane) : $this->before->at($product, $lane);
    }

    public function ends(Carriers $among): ?array
    {
        $before = $this->before->ends($among->without($this->changed));
        $now = $this->now->ends($among);

        return $before === null || $now === null
            ? $before ?? $now
            : [min($before[0], $now[0]), max($before[1], $now[1])];
    }
}
