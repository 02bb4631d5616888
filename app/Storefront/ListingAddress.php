<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\EditionFile;
use App\Publishing\Picks;
use Illuminate\Http\Request;
use Lokum\Facet\Combine;
use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\SortOrder;

/**
 * The address of a listing: /shop/c/paint?color=red,blue&price=5..10&sort=price&page=2. The same picks have one address, whatever
 * order they were ticked in; ended terms lead to the ones that stayed.
 */
final readonly class ListingAddress
{
    private const LONGEST = 200;

    /**
     * @param  array<string, list<string>>  $terms  slugs by filter key
     * @param  array<string, array{0: float|null, 1: float|null}>  $ranges  by filter key
     * @param  array<string, string>  $words  texts by filter key
     * @param  string  $sort  slug of a sort order; the first one is not written
     * @param  bool  $soldOut  whether sold-out products are asked for, where they are hidden
     * @param  bool  $moved  whether a term in the address has become another
     * @param  list<string>  $days  keys whose ranges are days
     */
    private function __construct(
        public ShopPage $page, public array $terms, public array $ranges, public array $words, public string $sort, public int $number,
        private string $usualSort, public bool $soldOut = false, public bool $moved = false, private array $days = [],
    ) {
    }

    public static function read(Request $request, EditionFile $edition, ShopPage $page): self
    {
        $terms = $ranges = $words = [];
        $moved = false;
        foreach ($edition->filters($page->lineup) as $filter) {
            $given = $request->query($filter->key);
            // A form without scripts sends each tick, and each end of a range, by itself.
            $texts = array_filter(is_array($given) ? $given : explode(',', (string) $given), is_string(...));
            if ($filter->isScale()) {
                $range = is_array($given)
                    ? self::ends($filter, (string) ($texts['from'] ?? ''), (string) ($texts['to'] ?? ''))
                    : self::ends($filter, ...explode('..', (string) $given, 2) + [1 => '']);
                if ($range !== [null, null]) {
                    $ranges[$filter->key] = $range;
                }
            } elseif ($filter->control === Control::Words) {
                $text = trim(mb_substr(is_array($given) ? '' : (string) $given, 0, self::LONGEST));
                if ($text !== '') {
                    $words[$filter->key] = $text;
                }
            } else {
                [$known, $leads] = self::known($edition, $page, $filter);
                foreach ($texts as $text) {
                    if (isset($known[$text])) {
                        $terms[$filter->key][] = $text;
                    } elseif (($leadsTo = $leads($text)) !== null) {
                        $terms[$filter->key][] = $leadsTo;
                        $moved = true;
                    }
                }
                if (isset($terms[$filter->key])) {
                    $terms[$filter->key] = array_values(array_unique($terms[$filter->key]));
                    sort($terms[$filter->key]);
                    if ($filter->combine === Combine::One) {
                        $terms[$filter->key] = array_slice($terms[$filter->key], -1);
                    }
                }
            }
        }
        $sorts = $page->sorts($edition);
        $sort = (string) $request->query('sort', '');
        $known = array_map(fn (SortOrder $order): string => $order->slug, $sorts);

        return new self(
            $page,
            $terms,
            $ranges,
            $words,
            in_array($sort, $known, true) ? $sort : $known[0],
            max(1, (int) $request->query('page', '1')),
            $known[0],
            $request->query('sold-out') === '1',
            $moved,
            array_map(
                fn (FilterSettings $filter): string => $filter->key,
                array_values(array_filter(
                    $edition->filters($page->lineup),
                    fn (FilterSettings $filter): bool => $filter->control === Control::Dates,
                )),
            ),
        );
    }

    public function isNarrowed(): bool
    {
        return $this->terms !== [] || $this->ranges !== [] || $this->words !== [];
    }

    public function toggled(string $key, string $slug, Combine $combine): self
    {
        $now = $this->terms[$key] ?? [];
        $picked = match (true) {
            in_array($slug, $now, true) => array_values(array_diff($now, [$slug])),
            $combine === Combine::One => [$slug],
            default => [...$now, $slug],
        };
        sort($picked);

        return $this->with(['terms' => array_filter([$key => $picked] + $this->terms)]);
    }

    public function without(string $key): self
    {
        return $this->with([
            'terms' => array_diff_key($this->terms, [$key => 0]), 'ranges' => array_diff_key($this->ranges, [$key => 0]),
            'words' => array_diff_key($this->words, [$key => 0]),
        ]);
    }

    public function cleared(): self
    {
        return $this->with(['terms' => [], 'ranges' => [], 'words' => []]);
    }

    public function onPage(int $number): self
    {
        return $this->with(['number' => $number]);
    }

    public function withSoldOut(bool $asked): self
    {
        return $this->with(['soldOut' => $asked]);
    }

    /** @param  array<string, Combine>  $combine  by filter key */
    public function picks(array $combine): Picks
    {
        return new Picks($this->terms, $combine, $this->ranges);
    }

    public function url(): string
    {
        $query = [];
        if ($this->page->words !== null && $this->page->words !== '') {
            $query[] = 'q='.rawurlencode($this->page->words);
        }
        $terms = $this->terms;
        ksort($terms);
        foreach ($terms as $key => $slugs) {
            $query[] = rawurlencode((string) $key).'='.implode(',', array_map(rawurlencode(...), $slugs));
        }
        foreach ($this->ranges as $key => [$from, $to]) {
            $day = fn (?float $end): string => $end === null ? '' : (in_array($key, $this->days, true) ? gmdate('Y-m-d', (int) $end * 86400) : (string) $end);
            $query[] = rawurlencode((string) $key).'='.$day($from).'..'.$day($to);
        }
        foreach ($this->words as $key => $text) {
            $query[] = rawurlencode((string) $key).'='.rawurlencode($text);
        }
        if ($this->sort !== $this->usualSort) {
            $query[] = 'sort='.$this->sort;
        }
        if ($this->soldOut) {
            $query[] = 'sold-out=1';
        }
        if ($this->number > 1) {
            $query[] = 'page='.$this->number;
        }

        return $this->page->path.($query === [] ? '' : '?'.implode('&', $query));
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        $all = $changes + ['number' => 1] + get_object_vars($this);

        return new self(
            $this->page, $all['terms'], $all['ranges'], $all['words'], $this->sort, $all['number'], $this->usualSort, $all['soldOut'],
            days: $this->days,
        );
    }

    /** @return array{0: array<string, true>, 1: callable(string): (string|null)} what can be picked, and where an ended pick leads */
    private static function known(EditionFile $edition, ShopPage $page, FilterSettings $filter): array
    {
        $nowhere = fn (string $slug): ?string => null;
        if ($filter->control === Control::Bands) {
            return [array_fill_keys(array_map(fn (Band $band): string => $band->slug(), $filter->bands), true), $nowhere];
        }
        if ($filter->key === 'category') {
            return [array_fill_keys(array_column($edition->below($page->category), 'slug'), true), $nowhere];
        }
        $attribute = $edition->attribute($filter->key);

        return $attribute === null ? [[], $nowhere]
            : [
                array_fill_keys(array_column($edition->terms($attribute, $filter->control === Control::Nested), 'slug'), true),
                fn (string $slug): ?string => $slug === '' ? null : $edition->redirect($attribute, $slug),
            ];
    }

    /** @return array{0: float|null, 1: float|null} the wrong way round is set right */
    private static function ends(FilterSettings $filter, string $from, string $to): array
    {
        $number = fn (string $text): ?float => match (true) {
            $filter->control === Control::Dates && preg_match('/^\d{4}-\d{2}-\d{2}$/D', trim($text)) === 1 => floor((float) strtotime(trim($text).' UTC') / 86400),
            is_numeric(str_replace(',', '.', trim($text))) => (float) str_replace(',', '.', trim($text)),
            default => null,
        };
        $ends = [$number($from), $number($to)];

        return $ends[0] !== null && $ends[1] !== null && $ends[0] > $ends[1] ? [$ends[1], $ends[0]] : $ends;
    }
}
