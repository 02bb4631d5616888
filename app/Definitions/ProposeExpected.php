<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Models\Definition;

/** What products of each category most probably should carry: what most of them do. */
final readonly class ProposeExpected
{
    /** A definition that this share of a category's products carries is proposed to be expected there. */
    private const SHARE = 0.6;

    public function __construct(private Coverage $coverage)
    {
    }

    /**
     * For every product, then category by category: what is not expected there already, nor proposed further up, nor dropped by hand.
     *
     * @return list<array{category: int|null, definitions: non-empty-list<int>}>
     */
    public function all(): array
    {
        $tree = CategoryTree::load();
        $expected = new Expected($tree);
        $accepted = array_values(Definition::query()->accepted()->orderBy('id')->pluck('id')->all());
        $proposed = [];
        foreach ([null, ...array_map(fn (array $row): int => $row[0]->id, $tree->flat())] as $category) {
            $shares = $this->shares($category, $tree);
            $above = $expected->in($category);
            foreach ($category === null ? [] : $tree->withAncestors($category) as $ancestor) {
                array_push($above, ...$proposed[$ancestor] ?? []);
            }
            $here = array_filter(
                array_diff($accepted, $above, $proposed[0] ?? []),
                fn (int $definition): bool => ($shares[$definition] ?? 0) >= self::SHARE &&
                    $expected->says($category, $definition) === null,
            );
            if ($here !== []) {
                $proposed[$category ?? 0] = array_values($here);
            }
        }

        return array_map(
            fn (int $category, array $definitions): array => [
                'category' => $category === 0 ? null : $category,
                'definitions' => $definitions,
            ],
            array_keys($proposed),
            $proposed,
        );
    }

    /** @return list<int> accepted definitions that most products of a category carry, and are not expected there */
    public function in(?int $category): array
    {
        $tree = CategoryTree::load();
        $shares = $this->shares($category, $tree);

        return array_values(array_filter(
            array_diff(Definition::query()->accepted()->pluck('id')->all(), (new Expected($tree))->in($category)),
            fn (int $definition): bool => ($shares[$definition] ?? 0) >= self::SHARE,
        ));
    }

    /** @return array<int, float> share of the category's products, with those below, that carry a definition */
    public function shares(?int $category, CategoryTree $tree): array
    {
        $below = $category === null ? null : array_flip($tree->withDescendants($category));
        $in = fn (array $byCategory): int => array_sum($below === null ? $byCategory : array_intersect_key($byCategory, $below));
        $total = $in($this->coverage->totals());

        return array_map(
            fn (array $carried): float => $total === 0 ? 0.0 : $in($carried) / $total,
            $this->coverage->byCategory(),
        );
    }
}
