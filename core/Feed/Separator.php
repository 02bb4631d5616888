<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** What parts several values in one cell: one text, or several of which any does, said as "; or ,". */
final readonly class Separator
{
    /** @param  non-empty-list<non-empty-string>  $each */
    private function __construct(public array $each)
    {
    }

    /** @param  non-empty-string  $said */
    public static function of(string $said): self
    {
        $each = array_values(array_filter(explode(' or ', $said), fn (string $one): bool => $one !== ''));

        return new self($each === [] ? [$said] : $each);
    }

    /** @return non-empty-string the one that Lokum writes itself */
    public function first(): string
    {
        return $this->each[0];
    }

    /** Whether a cell, untrimmed and of any length, holds any of them. */
    public function standsIn(string $cell): bool
    {
        return count(explode($this->first(), $this->alike($cell), 2)) > 1;
    }

    /** @return list<string> without the spaces at their ends, empty ones too */
    public function parts(string $cell): array
    {
        return array_map(trim(...), explode($this->first(), $this->alike($cell)));
    }

    /** The cell with the first separator for each of them. */
    private function alike(string $cell): string
    {
        return count($this->each) === 1 ? $cell : str_replace($this->each, $this->first(), $cell);
    }
}
