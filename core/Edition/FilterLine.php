<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** What a line-up says of one filter. */
final readonly class FilterLine
{
    /**
     * @param  string  $title  in words, with the pages that it is said for
     * @param  bool  $adds  whether the filter comes with it; else an inherited one is changed or dropped, or filters are put in order
     * @param  string  $says  as JSON, equal exactly when the settings are
     */
    public function __construct(public string $title, public bool $adds, public string $says)
    {
    }
}
