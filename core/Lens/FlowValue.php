<?php

declare(strict_types=1);

namespace Lokum\Lens;

/** A value with its spellings, as it goes into the flow. */
final readonly class FlowValue
{
    /**
     * @param  int  $term  what it is ticked as: equal for values that shoppers tick as one
     * @param  int  $products  that carry it, 0 or more
     * @param  list<array{id: int, products: int}>  $spellings  those that are drawn one by one
     * @param  int  $others  spellings that are drawn as one
     */
    public function __construct(
        public int $id,
        public int $term,
        public int $products,
        public array $spellings,
        public int $others = 0,
        public int $otherProducts = 0,
    ) {
    }
}
