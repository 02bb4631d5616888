<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Umbrellas that Lokum proposes, taken in one step. */
final class UmbrellasController
{
    public function show(Request $request, Definition $definition, ProposeUmbrellas $propose, ProductCounts $counts): View
    {
        abort_unless($definition->kind->isAttribute(), 404);

        $way = $request->string('by')->toString();
        $way = isset(ProposeUmbrellas::WAYS[$way]) ? $way : 'color';

        return view('values.umbrellas', [
            'definition' => $definition,
            'way' => $way,
            'proposals' => $propose->of($definition, $way),
            'products' => $counts->byValue($definition),
        ]);
    }

    public function store(Request $request, Definition $definition, GatherValues $gather): RedirectResponse
    {
        $groups = [];
        foreach ((array) $request->input('groups', []) as $label => $ids) {
            $groups[(string) $label] = array_values(array_map(intval(...), (array) $ids));
        }
        $change = $groups === [] ? throw new Refused('Tick at least one value.') : $gather->several($definition, $groups);

        return redirect()
            ->route('values.show', $definition)
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
