<?php

declare(strict_types=1);

namespace App\Fill;

/** What a fill rule does, counted in products and variants. */
final readonly class FillFigures
{
    /**
     * @param  int  $fits  items in its scope for which it has a value
     * @param  int  $comes  get a value that they do not have now
     * @param  int  $goes  lose one that the rule had given
     * @param  int  $stays  have the rule's value already
     * @param  int  $agree  have the same value from a feed, a person or a rule before it
     * @param  int  $differ  have another one, which stays
     * @param  int  $byHand  of those that differ: set by hand
     * @param  int  $undecided  for which it has several values and the definition takes one
     * @param  list<string>  $new  labels of values that are made
     * @param  list<array{item: string, before: string, after: string}>  $samples
     * @param  list<array{item: string, has: string, rule: string, hand: bool}>  $conflicts
     * @param  list<array{item: string, value: string, before: string, words: string, behind: string}>  $hits  words found in their text
     */
    public function __construct(
        public int $fits,
        public int $comes,
        public int $goes,
        public int $stays,
        public int $agree,
        public int $differ,
        public int $byHand,
        public int $undecided,
        public array $new,
        public array $samples,
        public array $conflicts,
        public array $hits,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'fits' => $this->fits,
            'filled' => $this->comes,
            'withdrawn' => $this->goes,
            'unchanged' => $this->stays,
            'agree' => $this->agree,
            'differ' => $this->differ,
            'by_hand' => $this->byHand,
            'undecided' => $this->undecided,
            'new_values' => $this->new,
            'samples' => $this->samples,
            'conflicts' => $this->conflicts,
            'hits' => $this->hits,
        ];
    }
}
