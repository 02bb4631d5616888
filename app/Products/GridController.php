<?php

declare(strict_types=1);

namespace App\Products;

use App\Models\Definition;
use App\Models\Item;
use App\Models\SavedView;
use App\Values\SuggestValues;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Lokum\Vocabulary\Level;

/** What the grid asks for while somebody types in it. */
final class GridController
{
    /** Cells that were typed or pasted: looked over (check), or put in. */
    public function cells(Request $request, TypeCells $type): JsonResponse
    {
        $cells = TypeCells::cells($request->input('cells'));
        if ($request->boolean('check')) {
            $figures = $type->consequences($cells, true);

            return response()->json(['panel' => view('products.paste', ['figures' => $figures])->render()]);
        }
        [$change, $figures] = $type($cells, $request->boolean('make'));

        return response()->json([
            'done' => $change?->summary,
            'undo' => $change === null ? null : route('history.take-back', $change),
            'refused' => $figures->refused,
            'cells' => $this->shown($cells),
        ]);
    }

    public function saveView(Request $request, EditViews $edit): RedirectResponse
    {
        $change = $edit->save($request->string('name')->toString(), $request->all());

        return redirect()
            ->route('products', $request->only(EditViews::KEPT))
            ->with('done', $change->summary ?? 'It was saved so already.')
            ->with('undo', $change?->id);
    }

    public function removeView(SavedView $view, EditViews $edit): RedirectResponse
    {
        $change = $edit->remove($view);

        return redirect()
            ->route('products')
            ->with('done', $change->summary ?? '')
            ->with('undo', $change?->id);
    }

    /** Values that fit what is being typed; those that only look alike are marked. */
    public function suggest(Request $request, SuggestValues $suggest): JsonResponse
    {
        $definition = Definition::called($request->string('definition')->toString()) ?? abort(404);

        return response()->json($suggest($definition, $request->string('q')->toString()));
    }

    /**
     * The cells as they stand now, those of the product or the variants beside them too.
     *
     * @param  list<TypedCell>  $cells
     * @return list<array{item: int, definition: string, html: string}>
     */
    private function shown(array $cells): array
    {
        $ids = array_map(fn (TypedCell $cell): int => $cell->item, $cells);
        $parents = Item::query()->whereKey($ids)->whereNotNull('parent_id')->pluck('parent_id')->all();
        $items = Item::query()
            ->whereKey([...$ids, ...$parents])
            ->orWhereIn('parent_id', $ids)
            ->with('variants')
            ->get();
        $tokens = new GridTokens(array_values($items->all()));
        $shown = [];
        foreach (collect($cells)->map(fn (TypedCell $cell): Definition => $cell->definition)->unique('id') as $definition) {
            foreach ($items as $item) {
                if ($definition->level === Level::Variant || $item->parent_id === null) {
                    $shown[] = [
                        'item' => $item->id,
                        'definition' => $definition->slug,
                        'html' => CellMarkup::cell($tokens->of($item, $definition)),
                    ];
                }
            }
        }

        return $shown;
    }
}
