<?php

declare(strict_types=1);

namespace Tests\Support;

use Lokum\Facet\Carriers;
use Lokum\Facet\ColumnCutter;
use Lokum\Facet\Layout;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermSource;

/** Terms held in memory, stored and read back as an edition does. */
final readonly class Terms implements TermSource
{
    /**
     * @param  array<int, list<array{0: int, 1: int}>>  $onVariants  lane and product by term
     * @param  array<int, list<int>>  $onProducts  products by term
     * @param  bool  $cut  whether there are columns as well: one attribute of variants, one of products
     */
    public function __construct(
        private Layout $layout,
        private array $onVariants,
        private array $onProducts = [],
        private bool $cut = false,
    ) {
    }

    public function columns(int $term): array
    {
        $ofProducts = isset($this->onProducts[$term]);
        $bits = $ofProducts ? $this->onProducts : array_map($this->bits(...), $this->onVariants);

        return $this->cut ? (new ColumnCutter($this->layout, $ofProducts))->cut($bits) : [];
    }

    public function carriers(int $term): Carriers
    {
        if (isset($this->onProducts[$term])) {
            return StoredBits::products(
                StoredBits::encode($this->onProducts[$term], $this->layout->productBytes()),
                $this->layout,
            );
        }

        return StoredBits::variants(StoredBits::encode($this->bits($this->onVariants[$term]), $this->layout->bytes), $this->layout);
    }

    /**
     * @param  list<array{0: int, 1: int}>  $places
     * @return list<int>
     */
    private function bits(array $places): array
    {
        return array_map(fn (array $place): int => $this->layout->bit(...$place), $places);
    }
}
