<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\CountPage;
use App\Publishing\EditionCategory;
use App\Publishing\EditionFile;
use App\Publishing\EditionProduct;
use Lokum\Facet\Combine;
use Lokum\Facet\Steps;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Vocabulary\Kind;

/** A listing as a shopper gets it: the filters with their counts, what is picked, one page of products. */
final readonly class ListingPage
{
    private const PER_PAGE = 24;

    /** @var list<ShownFilter> */
    public array $filters;

    public int $products;

    public int $pages;

    /** @var list<EditionProduct> */
    public array $shown;

    public function __construct(private EditionFile $edition, ?EditionCategory $category, private ListingAddress $address)
    {
        $settings = $edition->filters();
        $combine = [];
        $attributes = [];
        foreach ($settings as $filter) {
            $combine[(string) $filter['key']] = Combine::from((string) $filter['combine']);
            if ($filter['control'] !== Control::Scale->value && $edition->attribute((string) $filter['key']) !== null) {
                $attributes[] = (string) $filter['key'];
            }
        }
        $count = new CountPage($edition, $category, $address->picks($combine), $attributes);
        $bare = $address->isNarrowed() ? (new CountPage($edition, $category, (new \App\Publishing\Picks), $attributes)) : $count;
        $counts = $count->counter->counts();
        $before = $bare === $count ? $counts : $bare->counter->counts();
        $total = $bare->matching()->count();
        $filters = [];
        foreach ($settings as $filter) {
            $key = (string) $filter['key'];
            $filters[] = $filter['control'] === Control::Scale->value
                ? $this->scale($filter, $count)
                : (isset($counts[$key]) ? $this->terms($filter, $combine[$key], $counts[$key], $before[$key], $total) : null);
        }
        $this->filters = array_values(array_filter($filters, fn (?ShownFilter $filter): bool => $filter !== null));
        $matching = $count->matching();
        $this->products = $matching->count();
        $this->pages = max(1, (int) ceil($this->products / self::PER_PAGE));
        $page = min($address->page, $this->pages);
        $this->shown = $edition->products($edition->page($matching, $address->sort, ($page - 1) * self::PER_PAGE, self::PER_PAGE));
    }

    /** @return list<array{label: string, url: string}> what is picked, each with the address without it */
    public function chips(): array
    {
        $chips = [];
        foreach ($this->filters as $filter) {
            foreach ($filter->terms as $term) {
                if ($term->picked) {
                    $chips[] = ['label' => "{$filter->title}: {$term->label}", 'url' => $this->address->toggled($filter->key, $term->slug, $filter->combine)->url()];
                }
            }
            if ($filter->from !== null || $filter->to !== null) {
                $chips[] = ['label' => $filter->title.': '.$filter->rangeInWords(), 'url' => $this->address->without($filter->key)->url()];
            }
        }

        return $chips;
    }

    public function currency(): string
    {
        return $this->edition->meta('currency');
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<int, int>  $counts
     * @param  array<int, int>  $before  counts before anything is picked
     */
    private function terms(array $settings, Combine $combine, array $counts, array $before, int $total): ?ShownFilter
    {
        $key = (string) $settings['key'];
        $picked = $this->address->terms[$key] ?? [];
        if ($picked === [] && Absence::ofTerms(Kind::from((string) $settings['kind']), array_values($before), $total) !== null) {
            return null;
        }
        $hides = $settings['empty_terms'] === EmptyTerms::Hide->value;
        $attribute = $this->edition->attribute($key);
        $terms = [];
        foreach ($attribute === null ? [] : $this->edition->terms($attribute) as $id => $term) {
            $isPicked = in_array($term->slug, $picked, true);
            if ($before[$id] > 0 && ($counts[$id] > 0 || ! $hides) || $isPicked) {
                $terms[] = new ShownTerm($term->slug, $term->label, $term->look, $counts[$id], $isPicked, $this->address->toggled($key, $term->slug, $combine)->url());
            }
        }

        return ShownFilter::ofTerms($settings, $combine, $attribute?->help, $terms);
    }

    /** @param  array<string, mixed>  $settings */
    private function scale(array $settings, CountPage $count): ?ShownFilter
    {
        $key = (string) $settings['key'];
        if ($this->edition->numbers($key) === null) {
            return null;
        }
        [$from, $to] = $this->address->ranges[$key] ?? [null, null];
        $all = $count->endsOfListing($key);
        if ($from === null && $to === null && Absence::ofScale($all) !== null) {
            return null;
        }
        $ends = $count->ends($key, ownRange: false) ?? $all;
        $step = (float) ($settings['step'] ?? 0) ?: 1.0;

        return $ends === null ? null : ShownFilter::ofScale($settings, Steps::around($ends[0], $ends[1], $step), $from, $to);
    }
}
