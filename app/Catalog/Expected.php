<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Expectation;

/** What each category's products should carry: its own say, else that of the category above it, else of the whole catalog. */
final readonly class Expected
{
    /** @var array<int, array<int, bool>> by category (0: every product) and definition */
    private array $said;

    public function __construct(private CategoryTree $tree)
    {
        $said = [];
        foreach (Expectation::query()->get() as $row) {
            $said[$row->category_id ?? 0][$row->definition_id] = $row->expected;
        }
        $this->said = $said;
    }

    public static function load(): self
    {
        return new self(CategoryTree::load());
    }

    /** @return list<int> definitions that products of the category should carry */
    public function in(?int $category): array
    {
        $expected = $this->said[0] ?? [];
        foreach ($category === null ? [] : array_reverse($this->tree->withAncestors($category)) as $id) {
            $expected = ($this->said[$id] ?? []) + $expected;
        }

        return array_keys(array_filter($expected));
    }

    /** @param  list<int>  $categories */
    public function somewhere(int $definition, array $categories): bool
    {
        return array_filter($categories, fn (int $id): bool => in_array($definition, $this->in($id), true)) !== [];
    }

    /** What a category says itself: true expected, false dropped, null nothing. */
    public function says(?int $category, int $definition): ?bool
    {
        return $this->said[$category ?? 0][$definition] ?? null;
    }
}
