<?php

declare(strict_types=1);

namespace App\Editions;

/** Bytes, not text. */
final readonly class Blob
{
    public function __construct(public string $bytes)
    {
    }
}
