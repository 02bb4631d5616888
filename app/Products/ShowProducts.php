<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Cells\CellTable;
use App\Cells\ChangeCells;
use App\Cells\Condition;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Item;
use App\Models\SavedView;
use App\Support\Ids;
use App\Support\PageCursor;
use Illuminate\Contracts\Pagination\CursorPaginator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Gathers what the grid shows. */
final readonly class ShowProducts
{
    private const SIZES = [20, 40, 100, 200];

    private const PER_PAGE = 40;

    private const COLUMNS = 4;

    private const COUNT_TO = 10000;

    public function __construct(private Coverage $coverage, private ChangeCells $change, private DeleteForGood $delete)
    {
    }

    public function __invoke(Request $request): ProductsPage
    {
        $narrowing = Narrowing::from($request);
        $sort = GridSort::from($request);
        $query = $narrowing->query();
        $total = $this->coverage->total();
        $covered = $this->coverage->lately();
        $found = $narrowing->isOpen() ? $total : $this->found($query);
        $products = $this->products($query, $request, $sort);
        $ids = array_column($products->items(), 'id');
        $variants = Item::query()->whereIn('parent_id', $ids)->orderBy('id')->get();
        $definitions = Definition::query()->accepted()->orderBy('label')->get();
        $picked = Ids::in($request, 'pick');

        return new ProductsPage(
            narrowing: $narrowing,
            products: $products,
            found: $found,
            many: $found > self::COUNT_TO,
            total: $total,
            sort: $sort,
            showsCategory: in_array('category', (array) $request->input('columns', []), true),
            variants: $variants->groupBy('parent_id'),
            cells: CellTable::of([...$ids, ...array_values($variants->modelKeys())]),
            columns: $this->columns($request, $narrowing, $definitions, $covered),
            covered: $covered,
            definitions: $definitions,
            categories: CategoryTree::load()->flat(),
            views: SavedView::query()->orderBy('name')->get(),
            proposedViews: EditViews::proposed(),
            feeds: Feed::query()->orderBy('name')->pluck('name'),
            sizes: self::SIZES,
            picked: $picked,
            bulk: BulkForm::from($request, $picked, $narrowing, $found, $this->change, $this->delete),
        );
    }

    /** @param  Builder<Item>  $query */
    private function found(Builder $query): int
    {
        return DB::query()
            ->fromSub((clone $query)->select('items.id')->limit(self::COUNT_TO + 1), 'found')
            ->count();
    }

    /**
     * @param  Builder<Item>  $query
     * @return CursorPaginator<int, Item>
     */
    private function products(Builder $query, Request $request, GridSort $sort): CursorPaginator
    {
        return $sort
            ->order($query)
            ->with('category')
            ->cursorPaginate(
                in_array($request->integer('size'), self::SIZES, true) ? $request->integer('size') : self::PER_PAGE,
                cursor: PageCursor::from($request, $sort->column(), 'id'),
            )
            ->withQueryString();
    }

    /**
     * @param  Collection<int, Definition>  $definitions
     * @param  array<int, int>  $covered
     * @return Collection<int, Definition>
     */
    private function columns(Request $request, Narrowing $narrowing, Collection $definitions, array $covered): Collection
    {
        $wanted = array_values(array_diff(array_filter((array) $request->input('columns', []), is_string(...)), ['category']));
        $missing = array_map(
            fn (Condition $condition): string => in_array($condition->name, ['missing', 'gap'], true) ? $condition->value : '',
            $narrowing->conditions,
        );
        if ($wanted !== []) {
            return $definitions
                ->whereIn('slug', $wanted)
                ->sortBy(fn (Definition $definition): int => (int) array_search($definition->slug, $wanted, true))
                ->values();
        }

        $category = $narrowing->named('category');
        $expected =
            $category === null ? [] : Expected::load()->in(Category::query()->where('slug', $category->value)->value('id'));
        $wanted = $definitions->filter(
            fn (Definition $definition): bool => in_array($definition->id, $expected, true) ||
                in_array($definition->slug, $missing, true),
        );
        if ($wanted->isNotEmpty() && $expected !== []) {
            return $wanted
                ->sortByDesc(fn (Definition $definition): int => in_array($definition->slug, $missing, true) ? 1 : 0)
                ->values();
        }

        return $definitions
            ->where('slug', '!=', Definition::BRAND)
            ->sortByDesc(
                fn (Definition $definition): int => in_array($definition->slug, $missing, true)
                    ? PHP_INT_MAX
                    : $covered[$definition->id] ?? 0,
            )
            ->take(self::COLUMNS)
            ->values();
    }
}
