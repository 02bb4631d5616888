<?php

declare(strict_types=1);

namespace Tests\Support;

use Lokum\Facet\Carriers;
use Lokum\Facet\Layout;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermSource;

/** Terms held in memory, stored and read back as an edition does. */
final readonly class Terms implements TermSource
{
    /**
     * @param  array<int, list<array{0: int, 1: int}>>  $onVariants  lane and product by term
     * @param  array<int, list<int>>  $onProducts  products by term
     */
    public function __construct(private Layout $layout, private array $onVariants, private array $onProducts = [])
    {
    }

    public function carriers(int $term): Carriers
    {
        if (isset($this->onProducts[$term])) {
            return StoredBits::products(
                StoredBits::encode($this->onProducts[$term], $this->layout->productBytes()),
                $this->layout,
            );
        }
        $bits = array_map(fn (array $place): int => $this->layout->bit(...$place), $this->onVariants[$term]);

        return StoredBits::variants(StoredBits::encode($bits, $this->layout->bytes), $this->layout);
    }
}
