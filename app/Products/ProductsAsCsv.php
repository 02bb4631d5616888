<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\CellTable;
use App\Cells\Narrowing;
use App\Models\Definition;
use App\Models\Item;
use App\Support\CsvList;
use Generator;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Lokum\Vocabulary\Level;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** All products that the grid is narrowed to, in its order and with its columns; with their variants where these are shown. */
final readonly class ProductsAsCsv
{
    private const AT_ONCE = 500;

    /** @param  Collection<int, Definition>  $columns */
    public function __invoke(Request $request, Collection $columns): StreamedResponse
    {
        return CsvList::of(
            'products',
            [
                'sku',
                'parent_sku',
                'name',
                'category',
                ...$columns->map(fn (Definition $column): string => $column->label)->all(),
                'price',
                'currency',
                'stock',
            ],
            $this->rows($request, $columns),
        );
    }

    /**
     * @param  Collection<int, Definition>  $columns
     * @return Generator<int, list<string|int|float|null>>
     */
    private function rows(Request $request, Collection $columns): Generator
    {
        $ids = GridSort::from($request)->order(Narrowing::from($request)->query())->pluck('id')->all();
        foreach (array_chunk($ids, self::AT_ONCE) as $chunk) {
            $items = Item::query()->whereKey($chunk)->with('category', 'variants')->get()->keyBy('id');
            $variants = $items->flatMap(fn (Item $item): Collection => $item->variants->toBase());
            $cells = CellTable::of([...$chunk, ...array_values($variants->pluck('id')->all())]);
            foreach ($chunk as $id) {
                $item = $items->get($id);
                if ($item === null) {
                    continue;
                }
                $cell = fn (Definition $column): string => GridCell::of($item, $column, $cells, $item->variants)->text();
                yield $this->row($item, null, array_values($columns->map($cell)->all()));
                foreach ($request->boolean('variants') ? $item->variants : [] as $variant) {
                    $own = fn (Definition $column): string => $column->level === Level::Variant
                        ? GridCell::of($variant, $column, $cells)->text()
                        : '';
                    yield $this->row($variant, $item, array_values($columns->map($own)->all()));
                }
            }
        }
    }

    /**
     * @param  list<string>  $texts
     * @return list<string|int|float|null>
     */
    private function row(Item $item, ?Item $parent, array $texts): array
    {
        return [
            $item->sku,
            $parent?->sku,
            $parent === null ? $item->title : $item->name,
            $parent === null ? $item->category?->path : null,
            ...$texts,
            $item->price,
            $item->currency,
            $item->stock,
        ];
    }
}
