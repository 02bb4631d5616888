<?php

declare(strict_types=1);

namespace App\Definitions;

/** What merging a definition into another does. */
final readonly class MergeFigures
{
    /**
     * @param  int  $items  products and variants that carry the one that goes
     * @param  int  $come  of these: get the value in the one that stays
     * @param  int  $same  had it there already
     * @param  int  $conflicts  have another value there, which stays
     * @param  list<array{item: string, stays: string, goes: string}>  $samples  of conflicts
     * @param  int  $joined  values that are the same by their letters
     * @param  int  $moved  values that come new
     * @param  list<string>  $headings
     * @param  list<string>  $filters  titles
     */
    public function __construct(
        public int $items,
        public int $come,
        public int $same,
        public int $conflicts,
        public array $samples,
        public int $joined,
        public int $moved,
        public array $headings,
        public array $filters,
        public int $rules,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'items' => $this->items,
            'come' => $this->come,
            'same' => $this->same,
            'conflicts' => $this->conflicts,
            'samples' => $this->samples,
            'values' => ['joined' => $this->joined, 'moved' => $this->moved],
            'headings' => $this->headings,
            'filters' => $this->filters,
            'rules' => $this->rules,
        ];
    }
}
