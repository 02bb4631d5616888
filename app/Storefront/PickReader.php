<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionFile;
use Lokum\Facet\Combine;
use Lokum\Lineup\AddressWords;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\TypedRange;

/**
 * Reads what is picked from an address. Every pick either counts or is answered with a sentence; ended terms and definitions lead
 * to the ones that stayed.
 */
final class PickReader
{
    private const LONGEST = 200;

    private const MOST_PICKS = 100;

    /** @var array<string, list<string>> slugs of terms by filter key */
    public array $terms = [];

    /** @var array<string, array{0: float|null, 1: float|null}> by filter key */
    public array $ranges = [];

    /** @var array<string, string> texts by filter key */
    public array $words = [];

    /** @var list<string> why picks do nothing */
    public array $refused = [];

    /** @var list<string> what was taken as something near it */
    public array $told = [];

    /** @var list<string> parameters that no edition knows */
    public array $unknown = [];

    /** Whether a pick in the address has become another. */
    public bool $moved = false;

    /** @var array<string, string> keys of filters by the address of a definition that was merged into theirs */
    private readonly array $ended;

    private readonly PageTerms $pageTerms;

    /** @param  array<string, mixed>  $query */
    public function __construct(private readonly EditionFile $edition, ShopPage $page, private array $query)
    {
        $this->pageTerms = new PageTerms($edition, $page);
        $this->ended = $edition->endedAttributes();
        $filters = $edition->filters($page->lineup);
        foreach ($this->ended as $old => $key) {
            if (isset($this->query[$old]) && in_array($key, array_column($filters, 'key'), true)) {
                $this->query[$key] = [...$this->texts($key), ...$this->texts($old)];
                unset($this->query[$old]);
                $this->moved = true;
            }
        }
        foreach ($filters as $filter) {
            match (true) {
                ! isset($this->query[$filter->key]) => null,
                $filter->isScale() => $this->range($filter),
                $filter->control === Control::Words => $this->text($filter),
                default => $this->picks($filter),
            };
        }
        $this->others(array_column($filters, 'key'));
        $this->bound();
    }

    /** @return array<string> a form without scripts sends each tick, and each end of a range, by itself */
    private function texts(string $key): array
    {
        $given = $this->query[$key] ?? [];

        return array_filter(
            is_array($given) ? $given : explode(',', is_scalar($given) ? (string) $given : ''),
            fn (mixed $text): bool => is_string($text) && $text !== '',
        );
    }

    private function range(FilterSettings $filter): void
    {
        $given = $this->query[$filter->key];
        [$from, $to] = is_array($given)
            ? [(string) ($given['from'] ?? ''), (string) ($given['to'] ?? '')]
            : [...explode('..', is_scalar($given) ? (string) $given : '', 2), ''];
        $range = TypedRange::read($filter, $from, $to);
        array_push($this->refused, ...$range->refused);
        if ($range->from === null && $range->to === null) {
            return;
        }
        if ($this->edition->numbers($filter->key) === null) {
            $this->refused[] = "{$filter->title}: no product carries a number, so it does not narrow the page.";

            return;
        }
        array_push($this->told, ...$range->snapped);
        $this->ranges[$filter->key] = [$range->from, $range->to];
    }

    private function text(FilterSettings $filter): void
    {
        $given = $this->query[$filter->key];
        $text = trim(mb_substr(is_scalar($given) ? (string) $given : '', 0, self::LONGEST));
        if ($text !== '') {
            $this->words[$filter->key] = $text;
        }
    }

    private function picks(FilterSettings $filter): void
    {
        $known = [];
        foreach ($this->pageTerms->of($filter) ?? [] as $term) {
            $known[$term->slug] = $term;
        }
        $attribute = $this->edition->attribute($filter->key);
        $picked = [];
        foreach ($this->texts($filter->key) as $text) {
            $leads = isset($known[$text]) || $attribute === null ? null : $this->edition->redirect($attribute, $text);
            $this->moved = $this->moved || $leads !== null;
            $term = $known[$leads ?? $text] ?? null;
            if ($term instanceof OfferableTerm && $filter->offers($term->parent ?? $term->id)) {
                $picked[$term->slug] = true;
            } elseif ($term instanceof OfferableTerm) {
                $this->refused[] = "{$filter->title}: {$term->label} is not offered here, so it does not narrow the page.";
            } else {
                $this->refused[] =
                    "{$filter->title}: “".
                    mb_strimwidth($text, 0, 60, '…').
                    '” is not offered here, so it does not narrow the page.';
            }
        }
        $slugs = array_map(strval(...), array_keys($picked));
        sort($slugs);
        if ($filter->combine === Combine::One && count($slugs) > 1) {
            $slugs = array_slice($slugs, -1);
            $this->told[] = "{$filter->title} takes one pick at a time.";
        }
        if ($slugs !== []) {
            $this->terms[$filter->key] = $slugs;
        }
    }

    /** @param  list<string>  $keys  of the page's filters */
    private function others(array $keys): void
    {
        foreach (array_diff(array_map(strval(...), array_keys($this->query)), $keys, AddressWords::NO_FILTERS) as $key) {
            $label = $this->edition->labelOf($this->ended[$key] ?? $key);
            if ($this->texts($key) === []) {
                continue;
            }
            if ($label === null) {
                $this->unknown[] = mb_strimwidth($key, 0, 60, '…');
            } else {
                $this->refused[] = "This page has no filter “{$label}”, so what was picked there does not narrow it.";
            }
        }
    }

    /** An address with very many picks is no shopper's. */
    private function bound(): void
    {
        $left = self::MOST_PICKS;
        foreach ($this->terms as $key => $slugs) {
            if (count($slugs) > $left) {
                $this->refused[] = 'Only the first '.self::MOST_PICKS.' picks count.';
            }
            $this->terms[$key] = array_slice($slugs, 0, max(0, $left));
            $left -= count($this->terms[$key]);
        }
        $this->terms = array_filter($this->terms);
        $this->refused = array_slice(array_values(array_unique($this->refused)), 0, 8);
    }
}
