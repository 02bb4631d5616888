<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** A filter as a page gets it, with where each part of it was said. */
final readonly class ComposedFilter
{
    /**
     * @param  array<string, mixed>  $given  its settings as they are kept
     * @param  int  $from  the line-up that adds it
     * @param  array<string, int>  $changed  by property, the line-up that says so
     */
    public function __construct(public string $key, public array $given, public int $from, public array $changed = [])
    {
    }

    /** All settings, with what is usual where no layer says anything. */
    public function settings(): FilterSettings
    {
        return FilterSettings::of($this->given);
    }
}
