<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Catalog\SortSql;
use App\Draft\DraftLineups;
use App\Draft\DraftTerms;
use App\Draft\FilterFacts;
use App\Draft\PageFacts;
use App\Models\Definition;
use App\Models\Item;
use App\Storefront\PageTerms;
use App\Storefront\ShownFilter;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\Absence;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\SortOrder;

/** A page as shoppers would get it if the draft were published now, with why each filter is here or is not. */
final readonly class DraftListing
{
    /** Filters of it that are shown beside the work, unless all are asked for. */
    public const SHOWN = 20;

    private const PICTURED = 6;

    public function __construct(private PageFacts $facts, private DraftTerms $terms)
    {
    }

    /** @return array{filters: list<ShownFilter>, absent: array<string, Absence>} by key */
    public function of(string $page, ComposedLineup $lineup, DraftLineups $all): array
    {
        $shown = [];
        $absent = [];
        foreach ($lineup->filters as $filter) {
            $settings = $filter->settings();
            $definition = $this->definition($filter);
            $offer = $this->offer($page, $settings, $definition, $all);
            if ($offer instanceof Offer) {
                $shown[] = new ShownFilter($settings, $offer, $definition === null || $definition->help === '' ? null : $definition->help);
            } else {
                $absent[$filter->key] = $offer;
            }
        }

        return ['filters' => $shown, 'absent' => $absent];
    }

    /** @return list<Item> the first products of the page, in its usual order */
    public function products(string $page, ComposedLineup $lineup): array
    {
        $order = SortOrder::offered($lineup->settings['sorts'] ?? null)[0];
        $soldOutLast = ($lineup->settings['sold_out'] ?? null) === 'last';
        $ids = array_column(
            DB::select(SortSql::of($order, $this->facts->scope($page)->product(), $soldOutLast).' LIMIT '.self::PICTURED),
            'id',
        );
        $items = Item::query()->whereKey($ids)->get()->keyBy('id');

        return array_values(array_filter(array_map(fn (int $id): ?Item => $items->get($id), $ids)));
    }

    private function offer(string $page, FilterSettings $filter, ?Definition $definition, DraftLineups $all): Offer|Absence
    {
        $facts = $this->facts->of($page, $filter->key);
        if ($filter->control === Control::Words) {
            return Offer::ofWords($facts->carrying);
        }
        if ($filter->isScale()) {
            return Offer::ofScale($filter, $facts->ends());
        }
        $counts = $filter->control === Control::Bands ? self::inBands($filter, $facts) : $facts->counts;
        if ($definition !== null && $filter->control === Control::Nested) {
            $counts += $this->facts->nested($page, $definition);
        }

        return Offer::ofTerms($filter, $this->offerable($page, $filter, $definition, $all), $counts, $counts, $facts->products);
    }

    /** @return list<OfferableTerm> */
    private function offerable(string $page, FilterSettings $filter, ?Definition $definition, DraftLineups $all): array
    {
        return match (true) {
            $filter->control === Control::Bands => PageTerms::bands($filter),
            $definition !== null => $this->terms->offerable($definition, $filter->order, $filter->control === Control::Nested),
            $filter->key === ProductField::Stock->value => ProductField::Stock->terms(),
            default => array_map(function (int $id) use ($all): OfferableTerm {
                $category = $all->tree->find($id);

                return new OfferableTerm($id, (string) $category?->slug, (string) $category?->name);
            }, $all->tree->below(ctype_digit($page) ? (int) $page : 0)),
        };
    }

    /** @return array<int, int> products by band, numbered from 1 */
    private static function inBands(FilterSettings $filter, FilterFacts $facts): array
    {
        $counts = [];
        foreach ($filter->bands as $i => $band) {
            $counts[$i + 1] = $facts->holding($band);
        }

        return $counts;
    }

    private function definition(ComposedFilter $filter): ?Definition
    {
        return Definition::liveBySlug($filter->key);
    }
}
