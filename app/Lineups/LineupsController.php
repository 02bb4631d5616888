<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Definitions\Coverage;
use App\Definitions\Definition;
use App\Publishing\DraftPages;
use App\Publishing\DraftTerms;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class LineupsController
{
    public function show(Request $request, Coverage $coverage, DraftPages $draft, DraftTerms $terms): View
    {
        $lineup = Lineup::ofTheShop();
        $filters = $lineup->filters()->with('definition')->get()->toBase();
        $pages = $draft->of($filters);
        $taken = $filters->pluck('definition_id')->filter()->all();
        $open = $filters->firstWhere('id', $request->integer('filter'));

        return view('lineups.show', [
            'lineup' => $lineup, 'filters' => $filters, 'open' => $open, 'products' => $coverage->products(), 'total' => $coverage->total(),
            'terms' => $filters->filter(fn (Filter $filter): bool => $filter->definition?->kind->isAttribute() ?? false)->mapWithKeys(fn (Filter $filter): array => [$filter->id => $terms->of($filter->definition)])->all(),
            'shows' => $filters->mapWithKeys(fn (Filter $filter): array => [$filter->id => count(array_filter($pages, fn (array $page): bool => $page[$filter->title] === null))])->all(),
            'absent' => $pages[0] ?? [], 'pages' => count($pages),
            'offers' => Definition::query()->accepted()->whereIn('kind', [Kind::Choice, Kind::Flag, Kind::Number])->whereNotIn('id', $taken)->orderBy('label')->get(),
            'fields' => array_diff_key([Filter::PRICE => 'Price', Filter::STOCK => 'In stock'], $filters->pluck('id', 'field')->filter()->all()),
        ]);
    }

    public function store(Request $request, EditLineup $edit): RedirectResponse
    {
        $change = $edit->add(Lineup::ofTheShop(), $request->string('source')->toString());

        return redirect()->route('line-ups', ['filter' => Filter::query()->max('id')])->with('done', $change->summary)->with('undo', $change->id);
    }

    public function update(Request $request, Filter $filter, EditLineup $edit): RedirectResponse
    {
        $change = $edit->save($filter, $request->all(), $request->integer('version'));

        return redirect()->route('line-ups', ['filter' => $filter->id])->with('done', $change->summary ?? 'Nothing was different.')->with('undo', $change?->id);
    }

    public function destroy(Filter $filter, EditLineup $edit): RedirectResponse
    {
        $change = $edit->remove($filter);

        return redirect()->route('line-ups')->with('done', $change->summary ?? '')->with('undo', $change?->id);
    }

    public function order(Request $request, EditLineup $edit): RedirectResponse
    {
        $change = $edit->order(Lineup::ofTheShop(), array_values(array_map(intval(...), (array) $request->input('ids', []))));

        return redirect()->back()->with('done', $change->summary ?? 'They stand in that order already.')->with('undo', $change?->id);
    }
}
