<?php

declare(strict_types=1);

namespace App\Products;

use App\Catalog\Expected;
use App\Cells\CellChange;
use App\Cells\CellTable;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Models\Definition;
use App\Models\Item;
use App\Models\State;
use App\Support\Ids;
use App\Support\Refused;
use App\Values\FindValue;
use App\Values\SuggestValues;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class ProductsController
{
    public function index(Request $request, ShowProducts $show): View
    {
        return view('products.index', $show($request));
    }

    /** By what of a definition the list can be narrowed further. */
    public function choices(Request $request): View
    {
        $definition = Definition::query()->where('slug', $request->string('by')->toString())->first();

        return view('products.choices', [
            'choices' => $definition === null
                ? null
                : NarrowChoices::of(
                    $definition,
                    Narrowing::where(array_values(array_filter((array) $request->input('where', []), is_string(...)))),
                    $request->string('word')->toString(),
                ),
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
            'labels' => SuggestValues::labels($definitions),
            'cells' => CellTable::of([$item->id, ...array_values($item->variants->modelKeys())]),
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
            Ids::in($request, 'pick'),
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
}
