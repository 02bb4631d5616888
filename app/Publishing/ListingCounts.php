<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;

/**
 * How many products of each category's listing carry each term before anything is picked. An edition holds these counts, so that the
 * page most visitors ask for needs no bitmaps, and a narrowed one counts no term that nothing there carries.
 */
final class ListingCounts
{
    /** @var array<int, list<int>> the categories in whose listing a category's own products stand */
    private array $listings = [];

    /** @var array<int, array<int, int>> products by term, by category */
    private array $counts = [];

    /** @var array<int, list<int>> listings that a product stands in beyond those, by product number */
    private array $also = [];

    /**
     * @param  array<int, int>  $categories  of products, by product number
     * @param  array<int, list<int>>  $also  numbers of products that a category's page lists as well
     */
    public function __construct(CategoryTree $tree, private readonly array $categories, array $also)
    {
        foreach ($also as $category => $products) {
            foreach ($products as $product) {
                $this->also[$product][] = $category;
            }
        }
        foreach ($tree->flat() as [$category]) {
            foreach ($category->own_only ? [$category->id] : $tree->withDescendants($category->id) as $id) {
                $this->listings[$id][] = $category->id;
            }
        }
    }

    /**
     * Begins with what was counted before.
     *
     * @param  array<int, array<int, int>>  $counts  products by category and term
     */
    public function takeOver(array $counts): void
    {
        $this->counts = $counts;
    }

    /** @param  list<int>  $terms  that are counted anew */
    public function forget(array $terms): void
    {
        if ($terms !== []) {
            $gone = array_fill_keys($terms, 0);
            $this->counts = array_filter(array_map(fn (array $counts): array => array_diff_key($counts, $gone), $this->counts));
        }
    }

    /** @param  array<int, mixed>  $products  that carry the term, by product number */
    public function add(int $term, array $products): void
    {
        $own = [];
        foreach ($products as $product => $_) {
            $category = $this->categories[$product] ?? 0;
            $own[$category] = ($own[$category] ?? 0) + 1;
            foreach ($this->also[$product] ?? [] as $listing) {
                $this->counts[$listing][$term] = ($this->counts[$listing][$term] ?? 0) + 1;
            }
        }
        foreach ($own as $category => $count) {
            foreach ($this->listings[$category] ?? [] as $listing) {
                $this->counts[$listing][$term] = ($this->counts[$listing][$term] ?? 0) + $count;
            }
        }
    }

    /** @return array<int, array<int, int>> products by category and term */
    public function counts(): array
    {
        return $this->counts;
    }

    public function write(EditionWriter $writer): void
    {
        $writer->remove('listing_counts');
        foreach ($this->counts as $category => $counts) {
            ksort($counts);
            $writer->insert('listing_counts', [$category, (string) json_encode($counts, JSON_FORCE_OBJECT)]);
        }
    }
}
