<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Cell;
use App\Cells\CellTable;
use App\Models\Definition;
use App\Models\Item;

/** What the cells of some products and variants hold now, as the grid shows them. */
final readonly class GridTokens
{
    /** @var array<int, array<int, list<Cell>>> by item and definition */
    private array $cells;

    /** @param  list<Item>  $items  with their variants */
    public function __construct(array $items)
    {
        $ids = [];
        foreach ($items as $item) {
            array_push($ids, $item->id, ...$item->variants->pluck('id')->all());
        }
        $this->cells = CellTable::of($ids);
    }

    public function of(Item $item, Definition $definition): GridCell
    {
        return GridCell::of($item, $definition, $this->cells, $item->variants);
    }
}
