<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Category;
use App\Support\LookedUp;
use Illuminate\Support\Collection;

/** The whole tree, held once: children in order of their names, and what is below what. */
final class CategoryTree
{
    /** @var array<int, Category> */
    private array $byId = [];

    /** @var array<int, list<int>> children by parent, 0 for the top */
    private array $children = [];

    /** @param  Collection<int, Category>  $categories */
    public function __construct(Collection $categories)
    {
        foreach ($categories->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE) as $category) {
            $this->byId[$category->id] = $category;
            $this->children[$category->parent_id ?? 0][] = $category->id;
        }
    }

    public static function load(): self
    {
        return app(LookedUp::class)->of('categories', fn (): self => new self(Category::query()->get()->toBase()));
    }

    public function bySlug(string $slug): ?Category
    {
        foreach ($this->byId as $category) {
            if ($category->slug === $slug) {
                return $category;
            }
        }

        return null;
    }

    public function byPath(string $path): ?Category
    {
        foreach ($this->byId as $category) {
            if ($category->path === $path) {
                return $category;
            }
        }

        return null;
    }

    public function find(int $id): ?Category
    {
        return $this->byId[$id] ?? null;
    }

    /** @return list<int> the categories one step below; 0 is the top */
    public function below(int $id): array
    {
        return $this->children[$id] ?? [];
    }

    /** @return list<int> the category and everything below it */
    public function withDescendants(int $id): array
    {
        $ids = [$id];
        for ($i = 0; $i < count($ids); $i++) {
            array_push($ids, ...$this->children[$ids[$i]] ?? []);
        }

        return $ids;
    }

    /** @return list<int> the category and everything above it, from the category up */
    public function withAncestors(int $id): array
    {
        $ids = [];
        for ($at = $this->byId[$id] ?? null; $at !== null; $at = $this->byId[$at->parent_id ?? 0] ?? null) {
            $ids[] = $at->id;
        }

        return $ids;
    }

    /** @return list<array{0: Category, 1: int}> every category with its depth, a parent before its children */
    public function flat(int $from = 0, int $depth = 0): array
    {
        $rows = [];
        foreach ($this->children[$from] ?? [] as $id) {
            $rows[] = [$this->byId[$id], $depth];
            array_push($rows, ...$this->flat($id, $depth + 1));
        }

        return $rows;
    }
}
