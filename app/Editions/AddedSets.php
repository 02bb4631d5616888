<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Carriers;
use Lokum\Facet\TermSource;

/** The terms of an edition, and with them sets that a page makes itself: bands of numbers, categories below. */
final class AddedSets implements TermSource
{
    /** @var array<int, Carriers> by a number below all terms */
    private array $sets = [];

    private int $next = -100;

    public function __construct(private readonly EditionFile $edition)
    {
    }

    /** @return int the number that it goes by */
    public function add(Carriers $carriers): int
    {
        $this->sets[--$this->next] = $carriers;

        return $this->next;
    }

    public function carriers(int $term): Carriers
    {
        return $this->sets[$term] ?? $this->edition->carriers($term);
    }

    public function columns(int $term): array
    {
        return isset($this->sets[$term]) ? [] : $this->edition->columns($term);
    }
}
