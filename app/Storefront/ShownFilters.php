<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\CountPage;
use App\Editions\EditionFile;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\ProductField;

/** The filters of a page as they stand beside the products, from an edition's counts by the one rule of what a filter offers. */
final readonly class ShownFilters
{
    /** @var array<string, array<int, int>> */
    private array $counts;

    /** @var array<string, array<int, int>> before anything is picked */
    private array $before;

    private int $total;

    private PageTerms $terms;

    /** @param  array<int, int>|null  $carried  products of the listing by term, where that is known */
    public function __construct(
        private EditionFile $edition,
        private ListingAddress $address,
        private CountPage $count,
        private CountPage $bare,
        private ?array $carried,
    ) {
        $this->counts = $count->counter->counts();
        $this->before = $bare === $count ? $this->counts : $bare->counter->counts();
        $this->total = $bare->matching()->count();
        $this->terms = new PageTerms($edition, $address->page);
    }

    /**
     * @param  list<FilterSettings>  $settings
     * @return list<ShownFilter> those with something to offer
     */
    public function of(array $settings): array
    {
        $shown = [];
        foreach ($settings as $filter) {
            $offer = $this->offer($filter);
            if ($offer instanceof Offer) {
                [$from, $to] = $this->address->ranges[$filter->key] ?? [null, null];
                $shown[] = new ShownFilter(
                    $filter,
                    $offer,
                    $this->edition->helpOf($filter->key),
                    $from,
                    $to,
                    $this->address->words[$filter->key] ?? '',
                    $this->address->whole === $filter->key,
                    $this->address->whole === $filter->key ? $this->address->inList : '',
                );
            }
        }

        return array_values(array_filter($shown, fn (ShownFilter $filter): bool => ! $filter->isEmpty()));
    }

    private function offer(FilterSettings $filter): Offer|Absence
    {
        if ($filter->isScale()) {
            return $this->scale($filter);
        }
        if ($filter->control === Control::Words) {
            $carrying = $this->edition->products->carryingText($filter->key);

            return Offer::ofWords(
                $carrying === null ? 0 : $this->bare->counter->matching()->countWith($carrying),
                isset($this->address->words[$filter->key]),
            );
        }
        $terms = $this->terms->of($filter);

        return $terms === null
            ? Absence::NobodyCarriesIt
            : Offer::ofTerms(
                $filter,
                $terms,
                $this->byTerm($filter, $terms, $this->before),
                $this->byTerm($filter, $terms, $this->counts),
                $this->total,
                $this->address->terms[$filter->key] ?? [],
            );
    }

    private function scale(FilterSettings $filter): Offer|Absence
    {
        if ($this->edition->numbers($filter->key) === null) {
            return Absence::NobodyCarriesIt;
        }

        return Offer::ofScale(
            $filter,
            $this->bare->ends($filter->key),
            $this->count->ends($filter->key, ownRange: false),
            isset($this->address->ranges[$filter->key]),
        );
    }

    /**
     * @param  list<OfferableTerm>  $terms
     * @param  array<string, array<int, int>>  $counts
     * @return array<int, int> products by term
     */
    private function byTerm(FilterSettings $filter, array $terms, array $counts): array
    {
        $counted = $counts[$filter->key] ?? null;
        if ($counted === null) {
            return $this->carried ?? [];
        }

        // Sets that the page makes itself are counted in the order of their terms.
        return $filter->control === Control::Bands || $filter->key === ProductField::Category->value
            ? array_combine(array_column($terms, 'id'), array_values($counted))
            : $counted;
    }
}
