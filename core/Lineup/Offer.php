<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Facet\Steps;

/**
 * What a filter offers on a page (C6): its settings, the terms that there are and their counts go in; the terms in their order, a
 * scale or a text box come out, or the reason why the filter is not shown. The storefront, the page beside the work and drift all
 * stand on it.
 */
final readonly class Offer
{
    /** @param  list<OfferedTerm>  $terms  none for a scale and for a text box */
    private function __construct(public array $terms = [], public ?Steps $steps = null)
    {
    }

    /**
     * @param  list<OfferableTerm>  $terms  in the attribute's order
     * @param  array<int, int>  $before  products of the page by term, before anything is picked; a missing term has none
     * @param  array<int, int>  $now  the same after what is picked
     * @param  int  $products  of the page, before anything is picked
     * @param  list<string>  $picked  slugs
     */
    public static function ofTerms(
        FilterSettings $filter,
        array $terms,
        array $before,
        array $now,
        int $products,
        array $picked = [],
    ): self|Absence {
        $first = array_filter($terms, fn (OfferableTerm $term): bool => $term->parent === null);
        $ids = array_fill_keys(array_map(fn (OfferableTerm $term): int => $term->id, $first), true);
        $absence = $picked === [] ? self::absence($filter, array_intersect_key($before, $ids), $products) : null;
        if ($absence !== null) {
            return $absence;
        }
        $offered = self::ordered(
            $filter,
            array_filter($terms, fn (OfferableTerm $term): bool => $filter->offers($term->parent ?? $term->id)),
        );
        $below = [];
        foreach ($offered as $term) {
            $shown = $term->parent === null ? null : self::term($filter, $term, $before, $now, $picked);
            if ($shown !== null) {
                $below[$term->parent][] = $shown;
            }
        }
        $shown = [];
        foreach ($offered as $term) {
            $one = $term->parent === null ? self::term($filter, $term, $before, $now, $picked, $below[$term->id] ?? []) : null;
            if ($one !== null) {
                $shown[] = $one;
            }
        }

        return new self($shown);
    }

    /**
     * Fixed ends of the scale are kept; its steps then count from the fixed minimum (C7).
     *
     * @param  array{0: float, 1: float}|null  $before  smallest and largest number on the page, before anything is picked
     * @param  array{0: float, 1: float}|null  $now  the same after what is picked elsewhere; null: as before
     * @param  bool  $asked  whether a range is asked for
     */
    public static function ofScale(FilterSettings $filter, ?array $before, ?array $now = null, bool $asked = false): self|Absence
    {
        $absence = Absence::ofScale($before);
        if ($before === null || ($absence !== null && ! $asked)) {
            return $absence ?? Absence::NobodyCarriesIt;
        }
        [$low, $high] = $now ?? $before;
        $step = ($filter->step ?? 0.0) > 0 ? $filter->step : Steps::fitting($before[1] - $before[0]);
        $around = Steps::around($low, $high, $step);
        $from = $filter->from ?? $around->min;

        return new self(steps: new Steps($from, max($from, $filter->to ?? $around->max), $step));
    }

    /**
     * @param  int  $carrying  products of the page that carry a text, before anything is picked
     * @param  bool  $asked  whether a text is asked for
     */
    public static function ofWords(int $carrying, bool $asked = false): self|Absence
    {
        return $carrying === 0 && ! $asked ? Absence::NobodyCarriesIt : new self();
    }

    /**
     * Why a filter with terms has nothing to offer on a page that is narrowed by nothing; null where it has.
     *
     * @param  array<int, int>  $before  products of the page by term, of terms that are below no other
     * @param  int  $products  of the page
     */
    public static function absence(FilterSettings $filter, array $before, int $products): ?Absence
    {
        $counts = [];
        $leftOut = false;
        foreach ($before as $term => $count) {
            $isOffered = $count > 0 && $filter->offers($term);
            $leftOut = $leftOut || ($count > 0 && ! $isOffered);
            if ($isOffered) {
                $counts[] = $count;
            }
            // Two are something to choose from, whatever the others are.
            if (count($counts) > 1) {
                return null;
            }
        }

        return $counts === [] && $leftOut ? Absence::LeftOut : Absence::ofTerms($filter->loneTermNarrows(), $counts, $products);
    }

    /**
     * @param  array<int, int>  $before
     * @param  array<int, int>  $now
     * @param  list<string>  $picked
     * @param  list<OfferedTerm>  $below
     */
    private static function term(
        FilterSettings $filter,
        OfferableTerm $term,
        array $before,
        array $now,
        array $picked,
        array $below = [],
    ): ?OfferedTerm {
        $count = $now[$term->id] ?? 0;
        $isPicked = in_array($term->slug, $picked, true);
        $holdsPick = array_filter($below, fn (OfferedTerm $one): bool => $one->picked) !== [];
        $isGone = ($before[$term->id] ?? 0) === 0 || ($count === 0 && $filter->emptyTerms === EmptyTerms::Hide && ! $holdsPick);
        if ($isGone && ! $isPicked) {
            return null;
        }
        $own = $filter->looks[$term->id] ?? null;

        return new OfferedTerm(
            $term->slug,
            $own->label ?? $term->label,
            $term->look->under($own),
            $count,
            $isPicked,
            $below,
        );
    }

    /**
     * Pinned ones first, then in the filter's order, or the attribute's.
     *
     * @param  array<OfferableTerm>  $terms
     * @return array<int, OfferableTerm> by id
     */
    private static function ordered(FilterSettings $filter, array $terms): array
    {
        $byId = array_column($terms, null, 'id');
        $first = [];
        foreach ([...$filter->pinned, ...$filter->sequence] as $id) {
            if (isset($byId[$id])) {
                $first[$id] = $byId[$id];
            }
        }

        return $first + $byId;
    }
}
