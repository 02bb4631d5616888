<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\DraftTerms;
use App\Draft\PageFacts;
use App\Draft\Placement;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\State;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\SortOrder;
use Lokum\Lineup\TermChoice;

/** Composing what shoppers see, page by page, beside the page as it would be. */
final class LineupsController
{
    public function show(
        Request $request,
        PageFacts $facts,
        PageWorth $worth,
        LineupWarnings $warnings,
        DraftListing $listing,
        DraftTerms $terms,
    ): View {
        $all = DraftLineups::load();
        $page = $this->page($request, $all);
        $lineup = $all->of($page);
        $earned = $worth->of($page, $lineup);
        $open = $lineup->filters[$request->string('filter')->toString()] ?? null;
        $definition = $open === null ? null : Definition::query()->live()->where('slug', $open->key)->first();
        $with = $request->string('with')->toString();

        return view('lineups.show', [
            'all' => $all,
            'page' => $page,
            'at' => $this->placement($request, $page),
            'lineup' => $lineup,
            'worth' => $earned,
            'warnings' => $warnings->of($page, $lineup, $facts, $earned),
            'live' => $listing->of($page, $lineup, $all),
            'goods' => $listing->products($page, $lineup),
            'brand' => $facts->scope($page)->of,
            'offered' => array_map(
                fn (ComposedFilter $filter): int => count(
                    array_filter(
                        $facts->of($page, $filter->key)->counts,
                        fn (int $n, int $term): bool => $n > 0 && $filter->settings()->offers($term),
                        ARRAY_FILTER_USE_BOTH,
                    ),
                ),
                $lineup->filters,
            ),
            'facts_counts' => array_map(
                fn (ComposedFilter $filter): array => $filter->settings()->terms === TermChoice::Only
                    ? $facts->of($page, $filter->key)->counts
                    : [],
                $lineup->filters,
            ),
            'products' => $facts->products($page),
            'open' => $open,
            'settings' => $open === null ? null : $this->proposed($request, $open, $facts, $page),
            'facts' => $open === null ? null : $facts->of($page, $open->key),
            'terms' => $definition?->kind->isAttribute() ? $terms->of($definition) : [],
            'definition' => $definition,
            'why' => $request->boolean('why'),
            'offers' => Definition::query()
                ->where('state', State::Accepted)
                ->whereNotIn('slug', array_map(strval(...), array_keys($lineup->filters)))
                ->orderBy('label')
                ->get(),
            'fields' => array_filter(
                ProposeFilter::fields(),
                fn (ProductField $field): bool => ! isset($lineup->filters[$field->value]),
            ),
            'order' => $request->string('propose')->toString() === 'order' ? $worth->order($page, $lineup) : null,
            'proposal' => $request->string('propose')->toString() === 'lineup' ? $worth->proposal($page, LineupWarnings::MOST) : null,
            'compared' => $with !== ''
                    ? [
                        'page' => $with,
                        'lineup' => $all->of($this->known($with, $all)),
                    ]
                    : null,
            'sorts' => SortOrder::list($lineup->settings['sorts'] ?? null),
            'sortFields' => SortOrder::FIELDS +
                Definition::query()
                    ->where('state', State::Accepted)
                    ->whereIn('kind', ['number', 'date'])
                    ->pluck('label', 'slug')
                    ->all(),
        ]);
    }

    public function store(Request $request, EditLineup $edit): RedirectResponse
    {
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
                ...array_map(intval(...), (array) $request->input('admit', [])),
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
        $were = SortOrder::list($all->of($this->page($request, $all))->settings['sorts'] ?? null);
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
        $to = $request->string('to')->toString();
        $to = ctype_digit($to) ? "below:{$to}" : $to;
        $change = $edit->copy(
            $this->target($request),
            Placement::of($to, DraftLineups::load()->tree)->text(),
            $request->boolean('move'),
        );

        return redirect()
            ->route('line-ups', ['page' => LineupLedger::pageOf($to)])
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

    private function proposed(Request $request, ComposedFilter $filter, PageFacts $facts, string $page): FilterSettings
    {
        $way = $request->string('bands')->toString();
        if ($way === '') {
            return $filter->settings();
        }
        $found = $facts->of($page, $filter->key);
        $ends = $found->ends() ?? [0.0, 0.0];
        $number = min(12, max(2, $request->integer('number', 5)));
        $edges =
            $way === 'shares'
                ? ProposedBands::equalShares($found->numbers, $number)
                : ProposedBands::equalSteps($ends[0], $ends[1], $number);

        return FilterSettings::of(
            [
                'control' => Control::Bands->value,
                'bands' => array_map(
                    fn (Band $band): array => $band->toArray(),
                    array_values(array_filter(Band::between($edges), fn (Band $band): bool => $found->holding($band) > 0)),
                ),
            ] + $filter->given,
        );
    }

    private function page(Request $request, DraftLineups $all): string
    {
        return $this->known($request->string('page', Placement::SHOP)->toString(), $all);
    }

    private function known(string $page, DraftLineups $all): string
    {
        if (! ctype_digit($page)) {
            $bySlug = $all->tree->bySlug($page);

            return in_array($page, [Placement::SHOP, Placement::SEARCH, Placement::BRANDS], true)
                ? $page
                : ($bySlug === null
                    ? throw Refused::unknown('page', $page)
                    : (string) $bySlug->id);
        }

        return $all->tree->find((int) $page) === null ? throw Refused::unknown('page', $page) : $page;
    }

    /** Where changes made on a page are said: for it and all below, or for it alone. */
    private function placement(Request $request, string $page): string
    {
        return ctype_digit($page) ? ($request->string('at')->toString() === 'only' ? "only:{$page}" : "below:{$page}") : $page;
    }

    private function target(Request $request): string
    {
        $all = DraftLineups::load();

        return $this->placement($request, $this->page($request, $all));
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
