<?php

declare(strict_types=1);

namespace App\Lineups;

/** Stands where a listing has its address: in the live column nothing is picked, and nothing leads away. */
final class NoPicks
{
    public string $whole = '';

    public function without(string $key): self
    {
        return $this;
    }

    public function whole(string $key): self
    {
        return $this;
    }

    public function inList(string $key): null
    {
        return null;
    }

    public function url(): string
    {
        return '#';
    }
}
