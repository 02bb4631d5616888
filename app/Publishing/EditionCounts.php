<?php

declare(strict_types=1);

namespace App\Publishing;

/** What was counted on the way while an edition is written, so that it is not counted again to compare it with others. */
final class EditionCounts
{
    /** @var array<int, array<int, int>> products of the shop by definition and term */
    private array $shop = [];

    public function __construct(private readonly ListingCounts $listings)
    {
    }

    /** @param  array<int, int>  $products  by term */
    public function add(int $definition, array $products): void
    {
        $this->shop[$definition] = array_filter($products);
    }

    /** @return array<int, int>|null products of the shop by term; null where the definition was not counted */
    public function terms(int $definition): ?array
    {
        return $this->shop[$definition] ?? null;
    }

    /** @return array<int, array<int, array<int, int>>> products by definition, page (0: the whole shop) and term */
    public function pages(): array
    {
        $pages = [];
        foreach ($this->shop as $definition => $products) {
            $pages[$definition] = [0 => $products];
            foreach ($this->listings->counts() as $category => $counts) {
                $pages[$definition][$category] = array_intersect_key($counts, $products);
            }
            $pages[$definition] = array_filter($pages[$definition]);
        }

        return $pages;
    }
}
