<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Catalog\Category;
use App\Catalog\Item;
use App\Definitions\Definition;
use App\Publishing\DraftTerms;
use App\Storefront\BandWords;
use App\Storefront\ShownFilter;
use App\Storefront\ShownFilters;
use App\Storefront\ShownTerm;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedFilter;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\Look;

/** A page as shoppers would get it if the draft were published now, with why each filter is here or is not. */
final readonly class DraftListing
{
    private const PICTURED = 6;

    public function __construct(private PageFacts $facts, private DraftTerms $terms)
    {
    }

    /** @return array{filters: list<ShownFilter>, absent: array<string, Absence>} by title */
    public function of(string $page, ComposedLineup $lineup): array
    {
        $shown = [];
        $absent = [];
        foreach ($lineup->filters as $filter) {
            $found = $this->filter($page, $filter);
            if ($found instanceof ShownFilter) {
                $shown[] = $found;
            } else {
                $absent[$filter->key] = $found;
            }
        }

        return ['filters' => $shown, 'absent' => $absent];
    }

    /** @return list<Item> the first products of the page */
    public function products(string $page, Compositions $all): array
    {
        /** @var list<Item> $items */
        $items = array_values(Item::query()->whereNull('parent_id')->when(
            ctype_digit($page),
            fn ($query) => $query->whereIn(
                'category_id',
                $all->tree->find((int) $page)?->own_only ? [(int) $page] : $all->tree->withDescendants((int) $page),
            ),
        )->orderBy('title')->limit(self::PICTURED)->get()->all());

        return $items;
    }

    private function filter(string $page, ComposedFilter $composed): ShownFilter|Absence
    {
        $filter = $composed->settings();
        $facts = $this->facts->of($page, $filter->key);
        if ($facts->carrying === 0) {
            return Absence::NobodyCarriesIt;
        }
        if ($filter->control === Control::Words) {
            return ShownFilter::ofWords($filter, '');
        }
        if ($filter->control === Control::Bands) {
            $terms = array_map(
                fn (Band $band): array => [$band->slug(), BandWords::of($filter, $band), new Look, $facts->holding($band)],
                $filter->bands,
            );

            return $this->offered($filter, $facts->products, $terms, 0);
        }
        if ($filter->isScale()) {
            return Absence::ofScale($facts->ends())
                ?? ShownFilter::ofScale($filter, ShownFilters::steps($filter, $facts->ends() ?? [0.0, 0.0]), null, null);
        }

        return $this->offered($filter, $facts->products, $this->choices($filter, $facts), count(array_filter($facts->counts)));
    }

    /** @return list<array{0: string, 1: string, 2: Look, 3: int}> slug, label, look and products of each term */
    private function choices(FilterSettings $filter, FilterFacts $facts): array
    {
        if ($filter->key === Filter::STOCK) {
            return [['yes', 'In stock', new Look, $facts->counts[1] ?? 0], ['no', 'Sold out', new Look, $facts->counts[2] ?? 0]];
        }
        if ($filter->key === Filter::CATEGORY) {
            $below = [];
            foreach (Category::query()->whereKey(array_keys($facts->counts))->get()->sortBy('name') as $one) {
                $below[] = [$one->slug, $one->name, new Look, $facts->counts[$one->id]];
            }

            return $below;
        }
        $definition = Definition::query()->live()->where('slug', $filter->key)->first();
        $rows = $definition === null ? [] : array_column($this->terms->of($definition, $facts->counts, $filter->order), null, 'id');
        $first = array_intersect_key(array_replace(array_flip($filter->pinned), $rows), array_flip($filter->pinned), $rows);
        $terms = [];
        foreach ($first + $rows as $id => $row) {
            if ($filter->offers($id) && is_array($row)) {
                $look = $filter->looks[$id] ?? null;
                $own = Look::fromJson($row['look']);
                $terms[] = [
                    $row['slug'], $look->label ?? $own->label ?? $row['label'], $look !== null && ! $look->isUndressed() ? $look : $own,
                    $row['products'],
                ];
            }
        }

        return $terms;
    }

    /** @param  list<array{0: string, 1: string, 2: Look, 3: int}>  $terms */
    private function offered(FilterSettings $filter, int $products, array $terms, int $carried): ShownFilter|Absence
    {
        $with = array_values(array_filter($terms, fn (array $term): bool => $term[3] > 0));
        if ($with === [] && $carried > 0) {
            return Absence::LeftOut;
        }
        $single = count($with) === 1 && $with[0][3] < $products && $filter->control === Control::Bands;

        return ($single ? null : Absence::ofTerms($filter->kind, array_column($with, 3), $products))
            ?? ShownFilter::ofTerms(
                $filter,
                null,
                array_map(fn (array $term): ShownTerm => new ShownTerm($term[0], $term[1], $term[2], $term[3], false), $with),
            );
    }
}
