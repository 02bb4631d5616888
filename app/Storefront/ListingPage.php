<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\CountPage;
use App\Editions\EditionFile;
use App\Editions\EditionMeta;
use App\Editions\EditionProduct;
use App\Editions\Picks;
use App\Editions\SetQuestion;
use Lokum\Facet\Carriers;
use Lokum\Facet\ProductSet;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\SortOrder;

/** A listing as a shopper gets it: the filters with their counts, what is picked, one page of products. */
final readonly class ListingPage
{
    private const PER_PAGE = 24;

    /** @var list<ShownFilter> */
    public array $filters;

    /** @var non-empty-list<SortOrder> */
    public array $sorts;

    /** The number of the edition that all of it is from. */
    public int $edition;

    public int $products;

    public int $pages;

    /** The page of products that is shown; the last one, where another is asked for behind it. */
    public int $number;

    /** Sold-out products that are hidden until the shopper asks. */
    public int $hidden;

    /** @var list<EditionProduct> */
    public array $shown;

    private CountPage $count;

    public function __construct(private EditionFile $file, private ListingAddress $address)
    {
        $this->edition = (int) $file->meta(EditionMeta::Edition);
        $settings = $file->filters($address->page->lineup);
        $page = $file->pageSettings($address->page->lineup);
        $inStock = $file->notSoldOut();
        $hides = ($page['sold_out'] ?? null) === 'hidden' && ! $address->soldOut;
        $always = $hides ? ['sold out' => $inStock] : [];
        // Where all of a category is listed the edition knows what each term has before anything is picked.
        $carried = $hides || ! $address->page->isListing() ? null : $file->listingCounts($address->page->category);
        $this->count = $this->counted($settings, $address, $always, $carried, $carried === null || $address->isNarrowed());
        $bare = $address->isNarrowed()
            ? $this->counted($settings, $address->cleared(), $always, $carried, $carried === null)
            : $this->count;
        $this->filters = (new ShownFilters($file, $address, $this->count, $bare, $carried))->of($settings);
        $this->sorts = $address->page->sorts($file);
        $matching = $this->count->matching();
        $this->products = $matching->count();
        $this->hidden = $hides ? $this->count->counter->without('sold out')->matching->count() - $this->products : 0;
        $this->pages = max(1, (int) ceil($this->products / self::PER_PAGE));
        $this->number = min($address->number, $this->pages);
        $this->shown = $file->products->products(
            $this->page($matching, ($page['sold_out'] ?? null) === 'last' ? $inStock->products() : null),
        );
    }

    /** @return list<array{label: string, url: string}> what is picked, each with the address without it */
    public function chips(): array
    {
        $chips = [];
        foreach ($this->filters as $filter) {
            foreach ($filter->picked() as $term) {
                $chips[] = [
                    'label' => "{$filter->title}: {$term->label}",
                    'url' => $this->address->toggled($filter->key, $term->slug, $filter->combine)->url(),
                ];
            }
            if ($filter->from !== null || $filter->to !== null) {
                $chips[] = [
                    'label' => $filter->title.': '.$filter->rangeInWords(),
                    'url' => $this->address->without($filter->key)->url(),
                ];
            }
            if ($filter->words !== '') {
                $chips[] = [
                    'label' => "{$filter->title}: “{$filter->words}”",
                    'url' => $this->address->without($filter->key)->url(),
                ];
            }
        }

        return $chips;
    }

    /** @return list<string> what the shopper has to be told: picks that do nothing, numbers that were taken as others or lie outside */
    public function remarks(): array
    {
        $remarks = $this->address->remarks();
        foreach ($this->filters as $filter) {
            $low = $filter->steps !== null && $filter->from !== null && $filter->from < $filter->steps->min;
            $high = $filter->steps !== null && $filter->to !== null && $filter->to > $filter->steps->max;
            $beyond =
                $filter->steps !== null &&
                ($filter->from > $filter->steps->max || ($filter->to !== null && $filter->to < $filter->steps->min));
            if ($filter->steps !== null && ($low || $high || $beyond)) {
                $remarks[] = "{$filter->title} goes from {$filter->say($filter->steps->min)} to {$filter->say(
                    $filter->steps->max,
                )} here.";
            }
        }

        return $remarks;
    }

    /**
     * @return list<array{title: string, products: int, url: string}> where nothing is left: what dropping one filter would bring,
     *         most first
     */
    public function remedies(): array
    {
        $remedies = [];
        foreach ($this->products > 0 ? [] : $this->filters as $filter) {
            if ($filter->picked() !== [] || $filter->from !== null || $filter->to !== null || $filter->words !== '') {
                $products = $this->count->counter
                    ->without(
                        $filter->from !== null || $filter->to !== null
                            ? "range {$filter->key}"
                            : ($filter->words !== ''
                                ? "words {$filter->key}"
                                : $filter->key),
                    )
                    ->matching->count();
                if ($products !== 0) {
                    $remedies[] = [
                        'title' => $filter->title,
                        'products' => $products,
                        'url' => $this->address->without($filter->key)->url(),
                    ];
                }
            }
        }
        usort($remedies, fn (array $a, array $b): int => $b['products'] <=> $a['products']);

        return $remedies;
    }

    public function currency(): string
    {
        return $this->file->meta(EditionMeta::Currency);
    }

    /** @return list<int> numbers of the products on this page */
    private function page(ProductSet $matching, ?ProductSet $first): array
    {
        $order = array_column($this->sorts, null, 'slug')[$this->address->sort]->key();
        $offset = ($this->number - 1) * self::PER_PAGE;
        if ($first === null) {
            return $this->file->products->page($matching, $order, $offset, self::PER_PAGE);
        }
        $front = $matching->and($first);
        $found = $this->file->products->page($front, $order, $offset, self::PER_PAGE);

        return [
            ...$found,
            ...count($found) === self::PER_PAGE
                ? []
                : $this->file->products->page(
                    $matching->without($first),
                    $order,
                    max(0, $offset - $front->count()),
                    self::PER_PAGE - count($found),
                ),
        ];
    }

    /**
     * @param  list<FilterSettings>  $settings
     * @param  array<string, Carriers>  $asked
     * @param  array<int, int>|null  $carried  products of the listing by term, where that is known
     * @param  bool  $terms  whether terms are counted, or only the sets that the page makes itself
     */
    private function counted(array $settings, ListingAddress $address, array $asked, ?array $carried, bool $terms): CountPage
    {
        $combine = $attributes = $more = $nested = [];
        $pageTerms = new PageTerms($this->file, $address->page);
        foreach ($settings as $filter) {
            $combine[$filter->key] = $filter->combine;
            $sets = $pageTerms->sets($filter);
            if ($sets !== null) {
                $more[] = new SetQuestion($filter->key, $sets, $address->terms[$filter->key] ?? [], $filter->combine);
            } elseif ($filter->control === Control::Words) {
                if (isset($address->words[$filter->key])) {
                    $asked["words {$filter->key}"] = $this->file->products->having(
                        $filter->key,
                        $address->words[$filter->key],
                        $filter->wholeText,
                    );
                }
            } elseif ($terms && ! $filter->isScale() && $this->file->attribute($filter->key) !== null) {
                $attributes[] = $filter->key;
                if ($filter->control === Control::Nested) {
                    $nested[] = $filter->key;
                }
            }
        }
        $made = array_map(fn (SetQuestion $question): string => $question->name, $more);
        $picks = new Picks(array_diff_key($address->terms, array_flip($made)), $combine, $address->ranges);

        return new CountPage(
            $this->file,
            null,
            $picks,
            $attributes,
            $address->page->scope($this->file),
            $more,
            $asked,
            $nested,
            $carried,
        );
    }
}
