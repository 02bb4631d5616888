<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\FilterFacts;
use App\Models\Definition;
use App\Models\Filter;
use App\Models\Item;
use App\Storefront\ShownFilter;
use App\Support\Page;
use Illuminate\Support\Collection;
use Lokum\Lineup\Absence;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\SortOrder;

/** A page of the shop being composed: its line-up, what each filter earns, the page as it would be, and one filter open. */
final readonly class LineupPage extends Page
{
    /**
     * @param  string  $page  a category's id, or "shop", "search", "brands"
     * @param  string  $at  the placement that changes are for
     * @param  array<string, FilterWorth>  $worth  by key
     * @param  array<int, int>|null  $shown  filters that show, by category (0: the whole shop); null where that is not known yet
     * @param  array<string, list<array{text: string, remedy: string, url: string, quiet?: string}>>  $warnings  by key of a filter
     * @param  array{filters: list<ShownFilter>, absent: array<string, Absence>}  $live  the page as it would be
     * @param  list<Item>  $goods  the first products of the page
     * @param  string|null  $brand  the value whose page is shown, where it is a brand page
     * @param  array<string, int>  $offered  terms that a filter offers, by key
     * @param  array<string, array<int, int>>  $chosenCounts  products by term, of filters that offer chosen terms only
     * @param  int  $products  of the page
     * @param  FilterSettings|null  $settings  of the open filter, with bands as they are proposed
     * @param  list<array{id: int, label: string, slug: string, look: string|null, products: int, page: string}>  $terms
     * @param  Definition|null  $definition  that the open filter is over
     * @param  bool  $why  whether the line-up is explained
     * @param  Collection<int, Definition>  $offers  definitions that a filter can be added over
     * @param  array<int, ProductField>  $fields  the same of fields
     * @param  list<string>|null  $order  the proposed order of filters
     * @param  list<FilterWorth>|null  $proposal  a proposed line-up
     * @param  array{page: string, lineup: ComposedLineup}|null  $compared
     * @param  non-empty-list<SortOrder>  $sorts
     * @param  array<string, string>  $sortFields  names by field
     * @param  Collection<int, Filter>  $shareable  filters of other line-ups that could be had here, too
     * @param  list<string>  $alsoIn  the other places that share the open filter
     */
    public function __construct(
        public DraftLineups $all,
        public string $page,
        public string $at,
        public ComposedLineup $lineup,
        public array $worth,
        public ?array $shown,
        public array $warnings,
        public array $live,
        public array $goods,
        public ?string $brand,
        public array $offered,
        public array $chosenCounts,
        public int $products,
        public ?ComposedFilter $open,
        public ?FilterSettings $settings,
        public ?FilterFacts $facts,
        public array $terms,
        public ?Definition $definition,
        public bool $why,
        public Collection $offers,
        public array $fields,
        public ?array $order,
        public ?array $proposal,
        public ?array $compared,
        public array $sorts,
        public array $sortFields,
        public Collection $shareable,
        public array $alsoIn,
    ) {
    }
}
