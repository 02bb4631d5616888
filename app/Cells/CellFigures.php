<?php

declare(strict_types=1);

namespace App\Cells;

/** What a change of cells does, counted in products and variants. */
final readonly class CellFigures
{
    /**
     * @param  int  $items  that it is for
     * @param  int  $change  that get something else than they have
     * @param  int  $have  that have it already
     * @param  int  $replaced  of those that change: lose a value
     * @param  int  $byHand  of those that change: lose a value that somebody set by hand
     * @param  int  $skipped  left as they are, because several values would have to become one
     * @param  list<string>  $new  labels of values that are made
     * @param  array<string, string>  $unread  why a text cannot be taken over, by the text
     * @param  list<array{item: string, before: string, after: string}>  $samples
     */
    public function __construct(
        public int $items,
        public int $change,
        public int $have,
        public int $replaced,
        public int $byHand,
        public int $skipped,
        public array $new,
        public array $unread,
        public array $samples,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'items' => $this->items,
            'changed' => $this->change,
            'unchanged' => $this->have,
            'replaced' => $this->replaced,
            'by_hand' => $this->byHand,
            'skipped' => $this->skipped,
            'new_values' => $this->new,
            'unread' => $this->unread,
            'samples' => $this->samples,
        ];
    }
}
