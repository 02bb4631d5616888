<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** What a filter offers, reduced to what its place in the order depends on. */
final readonly class Term
{
    /**
     * @param  int  $position  place by hand, from 1; 0 for one that nobody has placed yet (it goes last)
     * @param  string|null  $color  its first color, #rrggbb
     * @param  int  $products  distinct products that carry it
     */
    public function __construct(
        public int $id,
        public string $label,
        public int $position,
        public int $products,
        public ?string $color = null,
    ) {
    }
}
