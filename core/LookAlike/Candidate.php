<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** A value as it stands before anybody has decided what it is the same as. */
final readonly class Candidate
{
    /** @param  int  $products  that carry it, 0 or more */
    public function __construct(public string $text, public int $products = 0)
    {
    }
}
