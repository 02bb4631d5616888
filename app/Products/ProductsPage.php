<?php

declare(strict_types=1);

namespace App\Products;

use App\Cells\Cell;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Item;
use App\Models\SavedView;
use App\Support\Page;
use Illuminate\Contracts\Pagination\CursorPaginator;
use Illuminate\Support\Collection;

/** The grid: the products that a narrowing finds, their cells, and what can be done to many of them. */
final readonly class ProductsPage extends Page
{
    /**
     * @param  CursorPaginator<int, Item>  $products
     * @param  int  $found  products; counted up to a bound
     * @param  bool  $many  whether there are more than were counted
     * @param  int  $total  products of the catalog
     * @param  Collection<int, \Illuminate\Database\Eloquent\Collection<int, Item>>  $variants  by product
     * @param  array<int, array<int, list<Cell>>>  $cells  by item and definition
     * @param  Collection<int, Definition>  $columns
     * @param  array<int, int>  $covered  products by definition
     * @param  Collection<int, Definition>  $definitions  that a column can be of
     * @param  list<array{0: Category, 1: int}>  $categories  with their depth
     * @param  Collection<int, SavedView>  $views
     * @param  list<array{name: string, query: array<string, mixed>}>  $proposedViews
     * @param  Collection<int, string>  $feeds  names
     * @param  list<int>  $sizes  of a page, that can be chosen
     * @param  list<int>  $picked  ticked products
     */
    public function __construct(
        public Narrowing $narrowing,
        public CursorPaginator $products,
        public int $found,
        public bool $many,
        public int $total,
        public GridSort $sort,
        public bool $showsCategory,
        public Collection $variants,
        public array $cells,
        public Collection $columns,
        public array $covered,
        public Collection $definitions,
        public array $categories,
        public Collection $views,
        public array $proposedViews,
        public Collection $feeds,
        public array $sizes,
        public array $picked,
        public ?BulkForm $bulk,
    ) {
    }
}
