<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;

/** Coverage of each definition in the categories at the top of the tree, side by side. */
final readonly class CoverageStrip
{
    public function __construct(private Coverage $coverage)
    {
    }

    /** @return array<int, list<array{name: string, slug: string, share: int, expected: bool}>> by definition */
    public function all(): array
    {
        $tree = CategoryTree::load();
        $expected = new Expected($tree);
        $totals = $this->coverage->totals();
        $byCategory = $this->coverage->byCategory();
        $strips = [];
        foreach (array_filter($tree->flat(), fn (array $row): bool => $row[1] === 0) as [$category]) {
            $below = array_flip($tree->withDescendants($category->id));
            $products = array_sum(array_intersect_key($totals, $below));
            foreach ($byCategory as $definition => $carried) {
                $strips[$definition][] = [
                    'name' => $category->name,
                    'slug' => $category->slug,
                    'share' => $products === 0 ? 0 : (int) floor((100 * array_sum(array_intersect_key($carried, $below))) / $products),
                    'expected' => $expected->somewhere($definition, array_keys($below)),
                ];
            }
        }

        return $strips;
    }
}
