<?php

declare(strict_types=1);

namespace App\Vocabulary;

use Lokum\LookAlike\Evidence;

/** Values of an attribute that Lokum believes are the same, the one that should stay first. */
final readonly class Proposal
{
    /**
     * @param  non-empty-list<int>  $values
     * @param  list<string>  $evidence  in words
     * @param  list<Evidence>  $kinds
     */
    public function __construct(public array $values, public array $evidence, public array $kinds, public float $confidence)
    {
    }

    /** Stays the same as long as its values do. */
    public function name(): string
    {
        $values = $this->values;
        sort($values);

        return hash('crc32b', implode(',', $values));
    }

    /** Whether it can be taken with others after a look at the list: nothing weaker than likely evidence, and some of that. */
    public function isLikely(): bool
    {
        return ! $this->isCertain() &&
            array_filter($this->kinds, fn (Evidence $kind): bool => ! $kind->isCertain() && ! $kind->isLikely()) === [];
    }

    /** Whether it can be taken without looking at it one by one: nothing but certain evidence. */
    public function isCertain(): bool
    {
        return array_filter($this->kinds, fn (Evidence $kind): bool => ! $kind->isCertain()) === [];
    }
}
