<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** Where a size stands: on which ladder, and how high. Ladders stand one after the other and are never mixed. */
final readonly class Rung
{
    /**
     * @param  string  $ladder  sorts the ladders: letters, numbers, systems by their name, sheets, measures by what they measure
     * @param  string  $name  of the ladder, for people
     * @param  float  $height  on its ladder, of any size, in the ladder's own unit
     */
    public function __construct(public string $ladder, public string $name, public float $height)
    {
    }

    /** @return int negative, 0 or positive, as usort takes it */
    public function compare(self $other): int
    {
        return [$this->ladder, $this->height] <=> [$other->ladder, $other->height];
    }
}
