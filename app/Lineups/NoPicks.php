<?php

declare(strict_types=1);

namespace App\Lineups;

/** Stands where a listing has its address: in the live column nothing is picked, and nothing leads away. */
final class NoPicks
{
    public function without(string $key): self
    {
        return $this;
    }

    public function url(): string
    {
        return '#';
    }
}
