<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Blocks;
use Lokum\Facet\Carriers;
use Lokum\Facet\TermColumn;

/** What one product after another carries, or one variant after another: read from columns, and set by set where there are none. */
final class CarriedTerms
{
    /** @var array<string, list<TermColumn>> by attribute */
    private array $columns = [];

    /** @var array<string, array<int, string>> slugs of the terms that stand in columns, by attribute and id */
    private array $slugs = [];

    /** @var array<string, list<array{0: string, 1: Carriers}>> slugs and carriers of those that do not, by attribute */
    private array $sets = [];

    private int $block = -1;

    /** @var array<string, list<string>> the columns' parts of that block */
    private array $parts = [];

    /** @var array<int, int> where each lane begins in it */
    private array $starts = [];

    private readonly Blocks $blocks;

    public function __construct(EditionFile $edition, bool $ofProducts)
    {
        $this->blocks = new Blocks($edition->layout, $ofProducts);
        foreach ($edition->attributes() as $attribute) {
            $terms = $edition->isOfProducts($attribute) === $ofProducts ? $edition->terms($attribute, nested: true) : [];
            if ($terms === []) {
                continue;
            }
            $this->columns[$attribute->slug] = $edition->columns(array_key_first($terms));
            $this->slugs[$attribute->slug] = $this->sets[$attribute->slug] = [];
            $inColumns = array_flip(array_merge(...array_map(
                fn (TermColumn $column): array => array_values($column->terms),
                $this->columns[$attribute->slug],
            )));
            foreach ($terms as $id => $term) {
                if (isset($inColumns[$id])) {
                    $this->slugs[$attribute->slug][$id] = $term->slug;
                } else {
                    $this->sets[$attribute->slug][] = [$term->slug, $edition->carriers($id)];
                }
            }
        }
    }

    /**
     * @param  int  $product  number in the edition; fastest where they are asked for in order
     * @param  int  $lane  of the variant; 0 of products
     * @return array<string, list<string>> slugs of terms by attribute
     */
    public function at(int $product, int $lane): array
    {
        $this->open(intdiv($product, Blocks::PRODUCTS));
        $at = $this->starts[$lane] + $product % Blocks::PRODUCTS;
        $terms = [];
        foreach ($this->columns as $attribute => $columns) {
            foreach ($columns as $i => $column) {
                $number = ord($this->parts[$attribute][$i][$at]);
                if ($number !== 0) {
                    $terms[$attribute][] = $this->slugs[$attribute][$column->terms[$number]];
                }
            }
            foreach ($this->sets[$attribute] as [$slug, $carriers]) {
                if ($carriers->has($product, $lane)) {
                    $terms[$attribute][] = $slug;
                }
            }
        }

        return $terms;
    }

    private function open(int $block): void
    {
        if ($block !== $this->block) {
            $this->block = $block;
            $this->starts = $this->blocks->starts($block);
            $this->parts = array_map(
                fn (array $columns): array => array_map(fn (TermColumn $column): string => $column->part($block), $columns),
                $this->columns,
            );
        }
    }
}
