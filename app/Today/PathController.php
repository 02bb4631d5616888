<?php

declare(strict_types=1);

namespace App\Today;

use App\Catalog\CategoryTree;
use App\Definitions\ProposeExpected;
use App\Definitions\SaveDefinition;
use App\Definitions\SayExpected;
use App\Lineups\ProposeLineups;
use App\Models\Definition;
use App\Models\State;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;

/** The steps of a new catalog that Lokum can take by itself once somebody has said so. */
final class PathController
{
    /** What the steps are about, fetched when the page is there. */
    public function merge(FoundMeanwhile $found): View
    {
        return view('today.merge', ['alike' => $found->alike()]);
    }

    public function expected(ProposeExpected $propose): View
    {
        return view('today.expected', [
            'proposed' => $propose->all(),
            'labels' => Definition::query()->pluck('label', 'id'),
            'tree' => CategoryTree::load(),
        ]);
    }

    public function lineups(ProposeLineups $propose): View
    {
        return view('today.line-ups', ['plan' => $propose->plan()]);
    }

    public function accept(SaveDefinition $save): RedirectResponse
    {
        $ids = array_values(Definition::query()->where('state', State::Proposed)->pluck('id')->all());
        $change = $ids === [] ? null : $save->several($ids, State::Accepted);

        return redirect()
            ->route('today')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function expect(ProposeExpected $propose, SayExpected $say): RedirectResponse
    {
        $proposed = $propose->all();
        if ($proposed === []) {
            throw new Refused('No definition is carried by most products of a category. Say it by hand, or go on without.');
        }
        $change = $say->all($proposed);

        return redirect()
            ->route('today')
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function compose(ProposeLineups $propose): RedirectResponse
    {
        $change = $propose();

        return redirect()->route('today')->with('done', $change->summary)->with('undo', $change->id);
    }
}
