<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** A filter that a page would inherit, if a line-up on the way down to it did not drop it. */
final readonly class DroppedFilter
{
    /**
     * @param  ComposedFilter  $filter  as it was where it is dropped
     * @param  int  $by  the line-up that drops it
     */
    public function __construct(public ComposedFilter $filter, public int $by)
    {
    }
}
