<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** One record of a CSV file. */
final readonly class Row
{
    /**
     * @param  int  $line  physical line it begins on, from 1
     * @param  list<string>  $cells  UTF-8, as they stand
     * @param  string|null  $problem  why the record cannot be taken as it is; its cells are then not to be trusted
     */
    public function __construct(public int $line, public array $cells, public ?string $problem = null)
    {
    }
}
