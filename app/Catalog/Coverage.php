<?php

declare(strict_types=1);

namespace App\Catalog;

use App\History\Remembered;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Spelling;
use App\Support\LookedUp;
use Lokum\Vocabulary\Level;

/** How many products carry each definition, in all and category by category. Worked out once for each state of the catalog. */
final readonly class Coverage
{
    public function __construct(private Remembered $remembered, private ItemPlaces $places)
    {
    }

    /** @return array<int, int> distinct products by definition id */
    public function products(): array
    {
        return array_map(array_sum(...), $this->byCategory());
    }

    /** @return array<int, int> the same, or what it was a few changes ago in a large catalog */
    public function lately(): array
    {
        return array_map(array_sum(...), $this->remembered->lately('coverage', $this->byCategory(...)));
    }

    /** All products that are not out of the shop. */
    public function total(): int
    {
        return array_sum($this->totals());
    }

    /** @return array<int, int> products by the category they stand in; 0: in none */
    public function totals(): array
    {
        return $this->remembered->ofProducts(
            'products',
            fn (): array => Item::table()
                ->whereNull('parent_id')
                ->whereNull('out_since')
                ->groupBy('category_id')
                ->selectRaw('COALESCE(category_id, 0) AS category, COUNT(*) AS n')
                ->pluck('n', 'category')
                ->map(intval(...))
                ->all(),
        );
    }

    /** @return array<int, array<int, int>> distinct products by definition and the category they stand in */
    public function byCategory(): array
    {
        $levels = $this->levels();

        return $this->remembered->ofEach('coverage', array_keys($levels), fn (array $ids): array => array_combine(
            $ids,
            array_map(fn (int $id): array => $this->count($id, $levels[$id]), $ids),
        ));
    }

    /**
     * Of the products that should carry a definition: how many there are, and how many do.
     *
     * @return array<int, array{expected: int, carried: int}> by definition
     */
    public function ofExpected(Expected $expected, ?int $within = null): array
    {
        $carried = $this->byCategory();
        $below = $within === null ? null : array_flip(CategoryTree::load()->withDescendants($within));
        $figures = [];
        foreach ($this->totals() as $category => $products) {
            if ($below !== null && ! isset($below[$category])) {
                continue;
            }
            foreach ($expected->in($category === 0 ? null : $category) as $definition) {
                $figures[$definition]['expected'] = ($figures[$definition]['expected'] ?? 0) + $products;
                $figures[$definition]['carried'] =
                    ($figures[$definition]['carried'] ?? 0) + ($carried[$definition][$category] ?? 0);
            }
        }

        return $figures;
    }

    /** @return array<int, Level> by definition */
    private function levels(): array
    {
        return app(LookedUp::class)->of('levels', fn (): array => Definition::query()->pluck('level', 'id')->all());
    }

    /** @return array<int, int> distinct products that carry it, by the category they stand in; 0: in none */
    private function count(int $definition, Level $level): array
    {
        $cells = Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->where('s.definition_id', $definition)
            ->select(['s.definition_id', 'a.item_id']);
        $counts = [];
        foreach (array_flip($this->places->carrying($level, $cells)[$definition] ?? []) as $product => $_) {
            $category = intdiv($product, ItemPlaces::CATEGORY);
            $counts[$category] = ($counts[$category] ?? 0) + 1;
        }

        return $counts;
    }
}
