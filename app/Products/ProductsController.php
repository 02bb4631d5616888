<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\CategoryTree;
use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Cells\CellChange;
use App\Cells\CellTable;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Condition;
use App\Cells\Narrowing;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Item;
use App\Models\SavedView;
use App\Models\State;
use App\Support\PageCursor;
use App\Support\Refused;
use App\Values\FindValue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class ProductsController
{
    private const SIZES = [20, 40, 100, 200];

    private const PER_PAGE = 40;

    private const COLUMNS = 4;

    private const COUNT_TO = 10000;

    public function index(Request $request, Coverage $coverage, ChangeCells $change): View
    {
        $narrowing = Narrowing::from($request);
        $sort = in_array($request->input('sort'), ['sku', 'id'], true) ? (string) $request->input('sort') : 'title';
        $query = $narrowing->query();
        $total = $coverage->total();
        $found = $narrowing->isOpen()
            ? $total
            : DB::query()
                ->fromSub((clone $query)->select('items.id')->limit(self::COUNT_TO + 1), 'found')
                ->count();
        $products = $query
            ->with('category')
            ->orderBy($sort, $request->input('down') ? 'desc' : 'asc')
            ->when($sort !== 'id', fn ($query) => $query->orderBy('id'))
            ->cursorPaginate(
                in_array($request->integer('size'), self::SIZES, true) ? $request->integer('size') : self::PER_PAGE,
                cursor: PageCursor::from($request, $sort, 'id'),
            )
            ->withQueryString();
        $variants = Item::query()->whereIn('parent_id', $products->pluck('id'))->orderBy('id')->get()->groupBy('parent_id');
        $definitions = Definition::query()->accepted()->orderBy('label')->get();
        $picked = array_values(array_map(intval(...), (array) $request->input('pick', [])));

        return view('products.index', [
            'narrowing' => $narrowing,
            'products' => $products,
            'found' => $found,
            'many' => $found > self::COUNT_TO,
            'total' => $total,
            'sort' => $sort,
            'variants' => $variants,
            'cells' => CellTable::of([...$products->pluck('id')->all(), ...$variants->flatten(1)->pluck('id')->all()]),
            'columns' => $this->columns($request, $narrowing, $definitions, $coverage->lately()),
            'covered' => $coverage->lately(),
            'definitions' => $definitions,
            'categories' => CategoryTree::load()->flat(),
            'brands' => Definition::query()->where('slug', Definition::BRAND)->first()?->values()->orderBy('label')->get() ?? collect(),
            'views' => SavedView::query()->orderBy('name')->get(),
            'proposedViews' => EditViews::proposed(),
            'feeds' => Feed::query()->orderBy('name')->pluck('name'),
            'sizes' => self::SIZES,
            'picked' => $picked,
            'bulk' => BulkForm::from($request, $picked, $narrowing, $found, $change),
        ]);
    }

    public function show(Item $item): View
    {
        abort_if($item->parent_id !== null, 404);
        $item->load('category', 'variants');

        $expected = Expected::load()->in($item->category_id);
        $definitions = Definition::query()
            ->accepted()
            ->orderBy('label')
            ->get()
            ->sortBy(fn (Definition $definition): int => in_array($definition->id, $expected, true) ? 0 : 1)
            ->values();

        return view('products.show', [
            'item' => $item,
            'definitions' => $definitions,
            'expected' => $expected,
            'undefined' => Definition::query()
                ->where('state', '!=', State::Accepted)
                ->whereNull('merged_into')
                ->orderBy('label')
                ->get(),
            'cells' => CellTable::of([$item->id, ...$item->variants->pluck('id')->all()]),
        ]);
    }

    /** One cell of one product or variant. */
    public function update(Request $request, Item $item, ChangeCells $change): RedirectResponse
    {
        $definition = Definition::query()
            ->where('slug', $request->string('definition')->toString())
            ->firstOrFail();
        $cell = CellChange::set($definition, CellChange::parts($definition, $request->input('value')));
        $unknown =
            $definition->kind !== Kind::Choice
                ? []
                : array_filter($cell->texts, fn (string $text): bool => FindValue::known($definition, $text) === null);
        if ($unknown !== [] && ! $request->boolean('make')) {
            throw new Refused(
                "{$definition->label} has no value \"".
                    implode('", "', $unknown).
                    '" yet. Press Set again to make '.
                    (count($unknown) === 1 ? 'it.' : 'them.'),
                'make',
            );
        }
        $done = $change(Chosen::items([$item->id]), $cell, [$item->id => $request->integer('version')]);

        return redirect()
            ->route('products.show', $item->parent_id ?? $item->id)
            ->with('done', $done->summary ?? 'Nothing was different.')
            ->with('undo', $done?->id);
    }

    /** Many cells of one definition: of the ticked products, or of all that the narrowing finds. */
    public function give(Request $request, ChangeCells $change): RedirectResponse
    {
        $form = BulkForm::from(
            $request,
            array_values(array_map(intval(...), (array) $request->input('pick', []))),
            Narrowing::from($request),
            0,
            null,
        );
        if ($form === null) {
            throw new Refused('Select at least one product, or all that match, first.');
        }
        $done = $change(
            $form->chosen,
            CellChange::from($form->definition ?? throw new Refused('Choose what to change.', 'give'), $request->all()),
            counted: $request->filled('counted') ? $request->integer('counted') : null,
        );

        return redirect(
            $request->string('back')->startsWith('/products') ? $request->string('back')->toString() : route('products'),
        )
            ->with('done', $done->summary ?? 'All of them had it already.')
            ->with('undo', $done?->id);
    }

    /**
     * @param  Collection<int, Definition>  $definitions
     * @param  array<int, int>  $covered
     * @return Collection<int, Definition>
     */
    private function columns(Request $request, Narrowing $narrowing, Collection $definitions, array $covered): Collection
    {
        $wanted = (array) $request->input('columns', []);
        $missing = array_map(
            fn (Condition $condition): string => in_array($condition->name, ['missing', 'gap'], true) ? $condition->value : '',
            $narrowing->conditions,
        );
        if ($wanted !== []) {
            return $definitions
                ->whereIn('slug', $wanted)
                ->sortBy(fn (Definition $definition): int|false => array_search($definition->slug, $wanted, true))
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
