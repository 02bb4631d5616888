<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\CountPage;
use App\Publishing\EditionFile;
use App\Publishing\EditionTerm;
use Lokum\Facet\Steps;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\Look;

/** The filters of a page as they stand beside the products: those with something to offer, each with its terms and counts. */
final readonly class ShownFilters
{
    /** @var array<string, array<int, int>> */
    private array $counts;

    /** @var array<string, array<int, int>> before anything is picked */
    private array $before;

    private int $total;

    /** @param  array<int, int>|null  $carried  products of the listing by term, where that is known */
    public function __construct(
        private EditionFile $edition, private ListingAddress $address, private CountPage $count, CountPage $bare, ?array $carried,
    ) {
        $known = $carried === null ? [] : $this->byAttribute($carried);
        $counts = $count->counter->counts();
        $this->before = ($bare === $count ? $counts : $bare->counter->counts()) + $known;
        $this->counts = $counts + $known;
        $this->total = $bare->matching()->count();
    }

    /**
     * @param  array<int, int>  $carried
     * @return array<string, array<int, int>>
     */
    private function byAttribute(array $carried): array
    {
        $counts = [];
        foreach ($this->edition->filters($this->address->page->lineup) as $filter) {
            $attribute = $filter->control === Control::Bands ? null : $this->edition->attribute($filter->key);
            if ($attribute !== null) {
                $counts[$filter->key] = array_intersect_key($carried, $this->edition->terms($attribute, $filter->control === Control::Nested));
            }
        }

        return $counts;
    }

    /**
     * @param  list<FilterSettings>  $settings
     * @return list<ShownFilter>
     */
    public function of(array $settings): array
    {
        return array_values(array_filter(array_map(fn (FilterSettings $filter): ?ShownFilter => match (true) {
            $filter->isScale() => $this->scale($filter),
            $filter->control === Control::Words => ShownFilter::ofWords($filter, $this->address->words[$filter->key] ?? ''),
            $filter->control === Control::Bands => $this->sets(
                $filter,
                array_map(fn (Band $band): array => [$band->slug(), $this->words($filter, $band)], $filter->bands),
            ),
            $filter->key === 'category' => $this->sets(
                $filter,
                array_map(fn ($category): array => [$category->slug, $category->name], $this->edition->below($this->address->page->category)),
            ),
            default => isset($this->counts[$filter->key]) ? $this->terms($filter) : null,
        }, $settings), fn (?ShownFilter $filter): bool => $filter !== null && ! $filter->isEmpty()));
    }

    private function terms(FilterSettings $filter): ?ShownFilter
    {
        $attribute = $this->edition->attribute($filter->key);
        $all = $attribute === null ? [] : $this->edition->terms($attribute, $filter->control === Control::Nested);
        $offered = array_filter($all, fn (EditionTerm $term): bool => $filter->offers($term->parent ?? $term->id));
        $picked = $this->address->terms[$filter->key] ?? [];
        $before = array_map(
            fn (EditionTerm $term): int => $this->before[$filter->key][$term->id] ?? 0,
            array_filter($offered, fn (EditionTerm $term): bool => $term->parent === null),
        );
        if ($picked === [] && Absence::ofTerms($filter->kind, array_values($before), $this->total) !== null) {
            return null;
        }
        $below = [];
        foreach ($offered as $term) {
            if ($term->parent !== null && ($shown = $this->term($filter, $term, $picked)) !== null) {
                $below[$term->parent][] = $shown;
            }
        }
        $terms = [];
        foreach ($this->ordered($filter, $offered) as $term) {
            $shown = $term->parent === null ? $this->term($filter, $term, $picked, $below[$term->id] ?? []) : null;
            $shown === null ?: $terms[] = $shown;
        }

        return ShownFilter::ofTerms($filter, $attribute?->help, $terms);
    }

    /**
     * @param  list<string>  $picked
     * @param  list<ShownTerm>  $below
     */
    private function term(FilterSettings $filter, EditionTerm $term, array $picked, array $below = []): ?ShownTerm
    {
        $count = $this->counts[$filter->key][$term->id] ?? 0;
        $isPicked = in_array($term->slug, $picked, true);
        if (! $isPicked && (($this->before[$filter->key][$term->id] ?? 0) === 0 || $count === 0 && $filter->emptyTerms === EmptyTerms::Hide && array_filter($below, fn (ShownTerm $one): bool => $one->picked) === [])) {
            return null;
        }
        $look = $filter->looks[$term->id] ?? null;
        $dressed = $look === null
            ? $term->look
            : new Look(
                $look->colors ?: $term->look->colors,
                $look->label ?? $term->look->label,
                $look->help ?? $term->look->help,
                $look->picture ?? ($look->colors === [] ? $term->look->picture : null),
            );

        return new ShownTerm($term->slug, $look->label ?? $term->label, $dressed, $count, $isPicked, $below);
    }

    /**
     * @param  array<int, EditionTerm>  $terms
     * @return array<int, EditionTerm> pinned ones first, then in the filter's order, or the attribute's
     */
    private function ordered(FilterSettings $filter, array $terms): array
    {
        $first = [];
        foreach ([...$filter->pinned, ...$filter->sequence] as $id) {
            if (isset($terms[$id])) {
                $first[$id] = $terms[$id];
            }
        }

        return $first + $terms;
    }

    /** @param  list<array{0: string, 1: string}>  $names  of sets that the page makes itself, in order: slug and label */
    private function sets(FilterSettings $filter, array $names): ?ShownFilter
    {
        $counts = array_values($this->counts[$filter->key] ?? []);
        $before = array_values($this->before[$filter->key] ?? []);
        $picked = $this->address->terms[$filter->key] ?? [];
        if ($picked === [] && Absence::ofTerms($filter->kind, $before, $this->total) !== null && array_filter($before, fn (int $n): bool => $n > 0 && $n < $this->total) === []) {
            return null;
        }
        $terms = [];
        foreach ($names as $i => [$slug, $label]) {
            $isPicked = in_array($slug, $picked, true);
            if ($isPicked || ($before[$i] ?? 0) > 0 && (($counts[$i] ?? 0) > 0 || $filter->emptyTerms !== EmptyTerms::Hide)) {
                $terms[] = new ShownTerm($slug, $label, new Look, $counts[$i] ?? 0, $isPicked);
            }
        }

        return ShownFilter::ofTerms($filter, null, $terms);
    }

    private function words(FilterSettings $filter, Band $band): string
    {
        return BandWords::of($filter, $band);
    }

    private function scale(FilterSettings $filter): ?ShownFilter
    {
        if ($this->edition->numbers($filter->key) === null) {
            return null;
        }
        [$from, $to] = $this->address->ranges[$filter->key] ?? [null, null];
        $all = $this->count->endsOfListing($filter->key);
        if ($from === null && $to === null && Absence::ofScale($all) !== null) {
            return null;
        }
        $ends = $this->count->ends($filter->key, ownRange: false) ?? $all;

        return $ends === null ? null : ShownFilter::ofScale($filter, self::steps($filter, $ends), $from, $to);
    }

    /**
     * Fixed ends are kept; steps then count from the fixed minimum (C7).
     *
     * @param  array{0: float, 1: float}  $ends
     */
    public static function steps(FilterSettings $filter, array $ends): Steps
    {
        $step = ($filter->step ?? 0.0) > 0 ? (float) $filter->step : 1.0;
        $around = Steps::around($ends[0], $ends[1], $step);
        $from = $filter->from ?? $around->min;

        return new Steps($from, max($from, $filter->to ?? $around->max), $step);
    }
}
