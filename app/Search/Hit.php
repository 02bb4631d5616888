<?php

declare(strict_types=1);

namespace App\Search;

/** Something that a search has found, with where it is. */
final readonly class Hit
{
    /** @param  string  $about  what tells it from others that are called alike */
    public function __construct(public string $kind, public string $label, public string $about, public string $address)
    {
    }
}
