<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Definitions\Coverage;
use App\Definitions\Definition;
use App\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

final class ProductsController
{
    private const PER_PAGE = 40;

    private const COLUMNS = 4;

    private const COUNT_TO = 10000;

    public function index(Request $request, Coverage $coverage, SetValues $setValues): View
    {
        $narrowing = Narrowing::from($request);
        $sort = in_array($request->input('sort'), ['sku', 'id'], true) ? (string) $request->input('sort') : 'title';
        $query = $narrowing->query();
        $total = $coverage->total();
        $found = $narrowing->isOpen() ? $total : DB::query()->fromSub((clone $query)->select('items.id')->limit(self::COUNT_TO + 1), 'found')->count();
        $products = $query->with('category')->orderBy($sort, $request->input('down') ? 'desc' : 'asc')->when($sort !== 'id', fn ($query) => $query->orderBy('id'))->cursorPaginate(self::PER_PAGE)->withQueryString();
        $variants = Item::query()->whereIn('parent_id', $products->pluck('id'))->orderBy('id')->get()->groupBy('parent_id');
        $definitions = Definition::query()->accepted()->orderBy('label')->get();
        $picked = array_values(array_map(intval(...), (array) $request->input('pick', [])));

        return view('products.index', [
            'narrowing' => $narrowing, 'products' => $products, 'found' => $found, 'many' => $found > self::COUNT_TO, 'total' => $total, 'sort' => $sort,
            'variants' => $variants, 'cells' => CellTable::of([...$products->pluck('id')->all(), ...$variants->flatten(1)->pluck('id')->all()]),
            'columns' => $this->columns($request, $definitions, $coverage->products()), 'covered' => $coverage->products(), 'definitions' => $definitions,
            'categories' => CategoryTree::load()->flat(), 'brands' => Definition::query()->where('slug', Definition::BRAND)->first()?->values()->orderBy('label')->get() ?? collect(),
            'picked' => $picked, 'giving' => $this->giving($request, $picked, $setValues),
        ]);
    }

    public function show(Item $item): View
    {
        abort_if($item->parent_id !== null, 404);
        $item->load('category', 'variants');

        return view('products.show', ['item' => $item, 'definitions' => Definition::query()->accepted()->orderBy('label')->get(),
            'cells' => CellTable::of([$item->id, ...$item->variants->pluck('id')->all()])]);
    }

    /** One cell of one product or variant. */
    public function update(Request $request, Item $item, SetValues $set): RedirectResponse
    {
        $definition = Definition::query()->where('slug', $request->string('definition')->toString())->firstOrFail();
        $change = $set([$item->id], $definition, $this->texts($request, $definition), SetMode::Set, [$item->id => $request->integer('version')]);

        return redirect()->route('products.show', $item->parent_id ?? $item->id)->with('done', $change->summary ?? 'Nothing was different.')->with('undo', $change?->id);
    }

    public function give(Request $request, SetValues $set): RedirectResponse
    {
        $items = array_values(array_map(intval(...), (array) $request->input('pick', [])));
        if ($items === []) {
            throw new Refused('Select at least one product first.');
        }
        $definition = Definition::query()->where('slug', $request->string('give')->toString())->first() ?? throw new Refused('Choose what to give.', 'give');
        $change = $set($items, $definition, $this->texts($request, $definition), SetMode::tryFrom($request->string('mode')->toString()) ?? SetMode::Set);

        return redirect($request->string('back')->startsWith('/products') ? $request->string('back')->toString() : route('products'))
            ->with('done', $change->summary ?? 'All of them had it already.')->with('undo', $change?->id);
    }

    /** @return list<string> what was typed, several parted by the definition's separator */
    private function texts(Request $request, Definition $definition): array
    {
        $texts = array_map(strval(...), (array) $request->input('value', []));
        $texts = $definition->multiple ? array_merge(...array_map(fn (string $text): array => explode($definition->separator, $text), $texts)) : $texts;

        return array_values(array_unique(array_filter(array_map(trim(...), $texts), fn (string $text): bool => $text !== '')));
    }

    /**
     * @param  Collection<int, Definition>  $definitions
     * @param  array<int, int>  $covered
     * @return Collection<int, Definition>
     */
    private function columns(Request $request, Collection $definitions, array $covered): Collection
    {
        $wanted = (array) $request->input('columns', []);
        $missing = (array) $request->input('missing', []);
        if ($wanted !== []) {
            return $definitions->whereIn('slug', $wanted)->values();
        }

        return $definitions->where('slug', '!=', Definition::BRAND)->sortByDesc(fn (Definition $definition): int => (in_array($definition->slug, $missing, true) ? PHP_INT_MAX : 0) ?: ($covered[$definition->id] ?? 0))->take(self::COLUMNS)->values();
    }

    /**
     * @param  list<int>  $picked
     * @return array{definition: Definition, mode: SetMode, texts: list<string>, figures: array<string, mixed>|null, problem: string|null}|null
     */
    private function giving(Request $request, array $picked, SetValues $setValues): ?array
    {
        $definition = Definition::query()->where('slug', $request->string('give')->toString())->first();
        if ($definition === null || $picked === []) {
            return null;
        }
        $texts = $this->texts($request, $definition);
        $mode = SetMode::tryFrom($request->string('mode')->toString()) ?? SetMode::Set;
        try {
            return ['definition' => $definition, 'mode' => $mode, 'texts' => $texts, 'figures' => $setValues->consequences($picked, $definition, $texts, $mode), 'problem' => null];
        } catch (Refused $why) {
            return ['definition' => $definition, 'mode' => $mode, 'texts' => $texts, 'figures' => null, 'problem' => $why->getMessage()];
        }
    }
}
