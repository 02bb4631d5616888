<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\DraftPages;
use App\Draft\DraftTerms;
use App\Draft\FilterFacts;
use App\Draft\PageFacts;
use App\Models\Definition;
use App\Models\State;
use Illuminate\Http\Request;
use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\SortOrder;
use Lokum\Lineup\TermChoice;
use Lokum\Vocabulary\Kind;

/** Gathers what the room of line-ups shows of one page. */
final readonly class ShowLineups
{
    private const FEWEST_BANDS = 2;

    private const MOST_BANDS = 12;

    private const USUAL_BANDS = 5;

    public function __construct(
        private PageFacts $facts,
        private PageWorth $worth,
        private LineupWarnings $warnings,
        private DraftListing $listing,
        private DraftTerms $terms,
        private DraftPages $pages,
    ) {
    }

    public function __invoke(Request $request): LineupPage
    {
        $all = DraftLineups::load();
        $asked = AskedPage::from($request, $all);
        $page = $asked->name;
        $lineup = $all->of($page);
        $earned = $this->worth->of($page, $lineup);
        $open = $lineup->filters[$request->string('filter')->toString()] ?? null;
        $facts = $open === null ? null : $this->facts->of($page, $open->key);
        $definition = $open === null ? null : Definition::liveBySlug($open->key);
        $layer = $all->layer($asked->placement);
        $own = $open === null || $layer === null ? null : ShareFilter::own($layer->id, $open->key);
        $propose = $request->string('propose')->toString();
        $with = trim($request->string('with')->toString());
        $with = $with === '' ? '' : AskedPage::known($with, $all);

        return new LineupPage(
            all: $all,
            page: $page,
            at: $asked->placement,
            lineup: $lineup,
            worth: $earned,
            shown: $this->pages->shown(),
            warnings: $this->warnings->of($page, $lineup, $this->facts, $earned),
            live: $this->listing->of($page, $lineup, $all),
            goods: $this->listing->products($page, $lineup),
            brand: $this->facts->scope($page)->of,
            offered: array_map(fn (ComposedFilter $filter): int => $this->offered($page, $filter), $lineup->filters),
            chosenCounts: array_map(
                fn (ComposedFilter $filter): array => $filter->settings()->terms === TermChoice::Only
                    ? $this->facts->of($page, $filter->key)->counts
                    : [],
                $lineup->filters,
            ),
            products: $this->facts->products($page),
            open: $open,
            settings: $open === null || $facts === null ? null : $this->settings($request, $open, $facts),
            facts: $facts,
            terms: $definition?->kind->isAttribute() ? $this->terms->of($definition) : [],
            definition: $definition,
            why: $request->boolean('why'),
            offers: Definition::query()
                ->where('state', State::Accepted)
                ->whereNotIn('slug', array_map(strval(...), array_keys($lineup->filters)))
                ->orderBy('label')
                ->get(),
            fields: array_filter(
                ProposeFilter::fields(),
                fn (ProductField $field): bool => ! isset($lineup->filters[$field->value]),
            ),
            order: $propose === 'order' ? $this->worth->order($page, $lineup) : null,
            proposal: $propose === 'lineup' ? $this->worth->proposal($page, LineupWarnings::MOST) : null,
            compared: $with === '' ? null : ['page' => $with, 'lineup' => $all->of($with)],
            sorts: SortOrder::list($lineup->settings['sorts'] ?? null),
            sortFields: SortOrder::FIELDS + $this->numbers(),
            shareable: ShareFilter::offered($all, $asked->placement),
            alsoIn: $own === null ? [] : ShareFilter::alsoIn($own, $all),
        );
    }

    /** Terms of a filter that some product of the page carries. */
    private function offered(string $page, ComposedFilter $filter): int
    {
        $settings = $filter->settings();

        return count(
            array_filter(
                $this->facts->of($page, $filter->key)->counts,
                fn (int $n, int $term): bool => $n > 0 && $settings->offers($term),
                ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /** @return array<string, string> labels of numbers and dates, by slug */
    private function numbers(): array
    {
        return Definition::query()
            ->where('state', State::Accepted)
            ->whereIn('kind', [Kind::Number, Kind::Date])
            ->pluck('label', 'slug')
            ->all();
    }

    /** The filter's settings, with bands as they are proposed where that is asked for. */
    private function settings(Request $request, ComposedFilter $filter, FilterFacts $facts): FilterSettings
    {
        $way = $request->string('bands')->toString();
        if ($way === '') {
            return $filter->settings();
        }
        $ends = $facts->ends() ?? [0.0, 0.0];
        $number = min(self::MOST_BANDS, max(self::FEWEST_BANDS, $request->integer('number', self::USUAL_BANDS)));
        $edges =
            $way === 'shares'
                ? ProposedBands::equalShares($facts->numbers, $number)
                : ProposedBands::equalSteps($ends[0], $ends[1], $number);
        $bands = array_values(array_filter(Band::between($edges), fn (Band $band): bool => $facts->holding($band) > 0));

        return FilterSettings::of(
            ['control' => Control::Bands->value, 'bands' => array_map(fn (Band $band): array => $band->toArray(), $bands)] +
                $filter->given,
        );
    }
}
