<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Edition;

/** Said when a new edition is served. */
final readonly class EditionPublished
{
    public function __construct(public Edition $edition)
    {
    }
}
