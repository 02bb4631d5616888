<?php

declare(strict_types=1);

namespace Lokum\Lens;

/** Where something stands in the flow: from the top, in pixels, and how many products it is about. */
final readonly class FlowBox
{
    /**
     * @param  int  $id  of the spelling, value or term; of the value where it stands for all other spellings of that
     * @param  int  $value  that it belongs to, or the first of them
     * @param  float  $thick  how thick the ribbons are that end in it
     * @param  int  $members  how many it stands for
     */
    public function __construct(
        public int $id,
        public int $value,
        public float $top,
        public float $height,
        public float $thick,
        public int $products,
        public int $members = 1,
    ) {
    }

    public function middle(): float
    {
        return $this->top + $this->height / 2;
    }
}
