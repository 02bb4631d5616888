<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use InvalidArgumentException;

/**
 * What a merge will do (C3), before anything is done: the moved values' spellings come to the one that stays.
 * Assignments point at spellings, so none of them changes, whatever the number of products.
 */
final readonly class MergePlan
{
    /**
     * @param  list<KnownValue>  $moved
     */
    private function __construct(public KnownValue $keep, public array $moved)
    {
    }

    /**
     * @param  list<KnownValue>  $moved  the values that end; the one that stays may be among them and is then left out
     *
     * @throws InvalidArgumentException when nothing is left to move
     */
    public static function of(KnownValue $keep, array $moved): self
    {
        $byId = [];
        foreach ($moved as $value) {
            if ($value->id !== $keep->id) {
                $byId[$value->id] = $value;
            }
        }
        if ($byId === []) {
            throw new InvalidArgumentException(
                "There is nothing to merge into \"{$keep->label}\": name at least one other value.",
            );
        }

        return new self($keep, array_values($byId));
    }

    /** @return array<int, int> the new value of each spelling that moves, by spelling id */
    public function moves(): array
    {
        $moves = [];
        foreach ($this->moved as $value) {
            $moves += array_fill_keys(array_keys($value->spellings), $this->keep->id);
        }

        return $moves;
    }

    /** @return array<string, string> where the address of each ended term leads, by its slug */
    public function redirects(): array
    {
        return array_fill_keys(array_map(fn (KnownValue $value): string => $value->slug, $this->moved), $this->keep->slug);
    }
}
