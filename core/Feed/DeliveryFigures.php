<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** What a delivery is judged by, in numbers from 0. */
final readonly class DeliveryFigures
{
    /**
     * @param  int  $rows  of data, refused ones too
     * @param  int  $refused  rows that cannot be taken
     * @param  int  $new  products and variants that are not in the catalog yet
     * @param  int  $changed  products and variants that differ
     * @param  int  $gone  products and variants that the feed sent before and sends no longer
     * @param  int  $jumps  prices that become less than half or more than twice what they were
     * @param  int  $values  values that are made or held
     * @param  int  $headings  that nobody has said anything about
     */
    public function __construct(
        public int $rows,
        public int $refused = 0,
        public int $new = 0,
        public int $changed = 0,
        public int $gone = 0,
        public int $jumps = 0,
        public int $values = 0,
        public int $headings = 0,
    ) {
    }
}
