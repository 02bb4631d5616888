<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\Models\Category;
use App\Models\Change;
use App\Models\Filter;
use App\Support\Ids;
use App\Support\Refused;
use App\Vocabulary\LookForm;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Lineup\SortOrder;
use Lokum\Vocabulary\Look;

/** Composing what shoppers see, page by page, beside the page as it would be. */
final class LineupsController
{
    public function show(Request $request, ShowLineups $show): View
    {
        return view('lineups.show', $show($request));
    }

    public function store(Request $request, EditLineup $edit, ShareFilter $share): RedirectResponse
    {
        if (preg_match('/^shared:(\d{1,18})$/D', $request->string('source')->toString(), $part) === 1) {
            $filter = Filter::query()->with('definition')->find((int) $part[1]) ?? throw Refused::changedMeanwhile('the other line-up');

            return $this->back($request, $share($filter, $this->target($request)), ['filter' => $filter->key()]);
        }
        $sources = array_values(array_filter((array) $request->input('sources', [$request->input('source')]), is_string(...)));

        return $this->back(
            $request,
            $sources === [] ? throw new Refused('Choose what to filter by.') : $edit->several($sources, $this->target($request)),
            count($sources) === 1 ? ['filter' => $sources[0]] : [],
        );
    }

    public function update(Request $request, string $key, ChangeFilter $edit): RedirectResponse
    {
        $all = DraftLineups::load();
        $placement = $this->target($request);
        $filter = $all->of(LineupLedger::pageOf($placement))->filters[$key] ?? throw Refused::unknown('filter', $key);
        if ($request->has('propose')) {
            // What else was typed into the form stays in it.
            $request->flashExcept(['control', 'bands', 'propose', 'band_count', 'token']);

            return redirect()->route('line-ups', [
                ...$this->where($request),
                'filter' => $key,
                'bands' => $request->string('propose')->toString(),
                'number' => $request->integer('band_count', 5),
            ]);
        }

        return $this->back(
            $request,
            $edit->save(
                $key,
                (new FilterForm($request->all(), $filter->settings()))->read(),
                $placement,
                $request->string('token')->toString(),
            ),
            ['filter' => $key],
        );
    }

    /** Dresses one term for this filter alone, or lets it wear its own again. */
    public function dress(Request $request, string $key, int $term, ChangeFilter $edit): RedirectResponse
    {
        $placement = $this->target($request);
        $filter = DraftLineups::load()->of(LineupLedger::pageOf($placement))->filters[$key] ?? throw Refused::unknown('filter', $key);
        $looks = $filter->settings()->looks;
        $look = $request->boolean('undress') ? new Look() : LookForm::read($request, $looks[$term] ?? new Look());
        unset($looks[$term]);
        $looks += $look->isBare() ? [] : [$term => $look];

        return $this->back(
            $request,
            $edit->save(
                $key,
                ['looks' => FilterForm::looks($looks)] + $filter->given,
                $placement,
                $request->string('token')->toString(),
            ),
            ['filter' => $key],
        );
    }

    /** Lets terms that came later be shown too, where only chosen ones are. */
    public function admit(Request $request, string $key, ChangeFilter $edit): RedirectResponse
    {
        $placement = $this->target($request);
        $given = (
            DraftLineups::load()->of(LineupLedger::pageOf($placement))->filters[$key] ?? throw Refused::unknown('filter', $key)
        )->given;
        $chosen = array_values(
            array_unique([
                ...array_map(intval(...), (array) ($given['chosen'] ?? [])),
                ...Ids::in($request, 'admit'),
            ]),
        );

        return $this->back(
            $request,
            $edit->save(
                $key,
                ['chosen' => $chosen, 'seen' => $request->boolean('all') ? FilterForm::newest() : (int) ($given['seen'] ?? 0)] +
                    $given,
                $placement,
                ChangeFilter::token($given),
            ),
            ['filter' => $key],
        );
    }

    public function destroy(Request $request, string $key, EditLineup $edit): RedirectResponse
    {
        return $this->back($request, $edit->drop($key, $this->target($request)));
    }

    public function fallBack(Request $request, string $key, ChangeFilter $edit): RedirectResponse
    {
        return $this->back(
            $request,
            $edit->fallBack($key, $this->target($request), $request->string('property')->toString() ?: null),
            ['filter' => $key],
        );
    }

    /** Lets a filter that several line-ups share be this one's own. */
    public function part(Request $request, string $key, ShareFilter $share): RedirectResponse
    {
        return $this->back($request, $share->part($key, $this->target($request)), ['filter' => $key]);
    }

    public function order(Request $request, EditLineup $edit): RedirectResponse
    {
        return $this->back(
            $request,
            $edit->order(array_values(array_filter((array) $request->input('ids', []), is_string(...))), $this->target($request)),
        );
    }

    public function settings(Request $request, EditLineup $edit): RedirectResponse
    {
        $all = DraftLineups::load();
        $were = SortOrder::list($all->of(AskedPage::from($request, $all)->name)->settings['sorts'] ?? null);
        $sorts = array_map(
            fn (SortOrder $order): array => $order->toArray(),
            SortOrder::list(SortForm::read((array) $request->input('sorts', []), $were)),
        );
        $soldOut = $request->string('sold_out')->toString();
        $change = $edit->page(
            [
                'sold_out' => in_array($soldOut, ['shown', 'last', 'hidden'], true) ? $soldOut : null,
                // What was typed is meant, whether or not it was said to be.
                'sorts' => $request->boolean('own_sorts') ||
                    $sorts !== array_map(fn (SortOrder $order): array => $order->toArray(), $were)
                        ? $sorts
                        : null,
                'most' => $request->integer('most') > 0 ? min(50, $request->integer('most')) : null,
            ],
            $this->target($request),
        );

        return $this->back($request, $change);
    }

    public function copy(Request $request, MoveLineup $edit): RedirectResponse
    {
        $all = DraftLineups::load();
        $page = AskedPage::known(trim($request->string('to')->toString()), $all);
        $to = ctype_digit($page) ? "below:{$page}" : $page;
        $change = $edit->copy($this->target($request), Placement::of($to, $all->tree)->text(), $request->boolean('move'));

        return redirect()
            ->route('line-ups', ['page' => $page])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    public function remove(Request $request, MoveLineup $edit): RedirectResponse
    {
        return $this->back($request, $edit->remove($this->target($request)));
    }

    /** Whether a category's page lists what is below it, too. */
    public function own(Request $request, Category $category, ListOwnOnly $list): RedirectResponse
    {
        return $this->back($request, $list($category, $request->boolean('own_only')));
    }

    private function target(Request $request): string
    {
        return AskedPage::from($request, DraftLineups::load())->placement;
    }

    /** @return array<string, string> */
    private function where(Request $request): array
    {
        return array_filter(['page' => $request->string('page')->toString(), 'at' => $request->string('at')->toString()]);
    }

    /** @param  array<string, mixed>  $more */
    private function back(Request $request, ?Change $change, array $more = []): RedirectResponse
    {
        return redirect()
            ->route('line-ups', [...$this->where($request), ...$more])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
