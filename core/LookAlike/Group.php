<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Values that are believed to be the same thing, the one that should stay first. */
final readonly class Group
{
    /**
     * @param  non-empty-list<int>  $members  places in the list that was looked over; the first stays
     * @param  list<string>  $evidence  in words
     * @param  list<Evidence>  $kinds
     * @param  float  $confidence  of its weakest member, from 0 to 1
     */
    public function __construct(public array $members, public array $evidence, public array $kinds, public float $confidence)
    {
    }
}
