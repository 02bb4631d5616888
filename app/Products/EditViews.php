<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\CategoryTree;
use App\Catalog\Expected;
use App\Cells\Narrowing;
use App\History\Journal;
use App\History\Ledger;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\SavedView;
use App\Support\Refused;
use Lokum\Text\Label;

/** Saves views of the grid by name, and proposes one for each branch of the tree from what it expects. */
final readonly class EditViews
{
    public const KEPT = ['where', 'columns', 'sort', 'down', 'variants', 'size'];

    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  array<string, mixed>  $query */
    public function save(string $name, array $query): ?Change
    {
        $name = Label::of($name);
        if ($name === '' || mb_strlen($name) > 100) {
            throw new Refused('A view needs a name of 1 to 100 characters.', 'name');
        }
        Narrowing::where(array_values(array_map(strval(...), array_filter((array) ($query['where'] ?? []), is_scalar(...)))));
        $kept = array_filter(
            array_intersect_key($query, array_flip(self::KEPT)),
            fn (mixed $value): bool => $value !== null && $value !== [] && $value !== '',
        );
        $json = json_encode($kept, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);

        return $this->ledger->record(Room::Products, function (Journal $journal) use ($name, $json): string {
            $known = SavedView::query()->where('name', $name)->value('id');
            if ($known === null) {
                $journal->insert(SavedView::class, ['name' => $name, 'query' => $json]);
            } else {
                $journal->update(SavedView::class, $known, ['query' => $json]);
            }

            return "Saved the view {$name}";
        });
    }

    public function remove(SavedView $view): ?Change
    {
        return $this->ledger->record(Room::Products, function (Journal $journal) use ($view): string {
            $journal->delete(SavedView::class, $view->id);

            return "Removed the view {$view->name}";
        });
    }

    /** @return list<array{name: string, query: array<string, mixed>}> one for each category that says itself what it expects */
    public static function proposed(): array
    {
        $tree = CategoryTree::load();
        $expected = new Expected($tree);
        $slugs = Definition::query()->accepted()->pluck('slug', 'id');
        $views = [];
        foreach ($tree->flat() as [$category]) {
            $own = array_values(array_filter($expected->in($category->id), fn (int $id): bool => isset($slugs[$id])));
            $above = $category->parent_id === null ? [] : $expected->in($category->parent_id);
            if ($own !== [] && array_diff($own, $above) !== []) {
                $views[] = [
                    'name' => $category->name,
                    'query' => [
                        'where' => ["category:{$category->slug}"],
                        'columns' => array_map(fn (int $id): string => $slugs[$id], $own),
                    ],
                ];
            }
        }

        return $views;
    }
}
