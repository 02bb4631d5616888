<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\EditionFile;
use App\Editions\Picks;
use Illuminate\Http\Request;
use Lokum\Facet\Combine;
use Lokum\Lineup\AddressWords;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\SortOrder;
use Lokum\Vocabulary\Day;

/**
 * The address of a listing: /shop/c/paint?color=red,blue&price=5..10&sort=price&page=2. The same picks have one address, whatever
 * order they were ticked in; ended terms lead to the ones that stayed.
 */
final readonly class ListingAddress
{
    /** Characters of what is looked for in a list. */
    private const LONGEST = 100;

    /**
     * @param  array<string, list<string>>  $terms  slugs by filter key
     * @param  array<string, array{0: float|null, 1: float|null}>  $ranges  by filter key
     * @param  array<string, string>  $words  texts by filter key
     * @param  string  $sort  slug of a sort order; the first one is not written
     * @param  bool  $soldOut  whether sold-out products are asked for, where they are hidden
     * @param  bool  $moved  whether a term in the address has become another
     * @param  list<string>  $days  keys whose ranges are days
     * @param  list<string>  $refused  why picks do nothing
     * @param  list<string>  $told  what was taken as something near it
     * @param  list<string>  $unknown  parameters that mean nothing
     * @param  string  $whole  key of the filter whose long list is asked for as a whole
     * @param  string  $inList  what is looked for in that list
     */
    private function __construct(
        public ShopPage $page,
        public array $terms,
        public array $ranges,
        public array $words,
        public string $sort,
        public int $number,
        private string $usualSort,
        public bool $soldOut = false,
        public bool $moved = false,
        private array $days = [],
        public array $refused = [],
        public array $told = [],
        public array $unknown = [],
        public string $whole = '',
        public string $inList = '',
    ) {
    }

    public static function read(Request $request, EditionFile $edition, ShopPage $page): self
    {
        $picks = new PickReader($edition, $page, $request->query->all());
        $known = array_map(fn (SortOrder $order): string => $order->slug, $page->sorts($edition));
        $sort = (string) $request->query('sort', '');
        $refused = $picks->refused;
        if ($sort !== '' && ! in_array($sort, $known, true)) {
            $refused[] = 'There is no sort order “'.mb_strimwidth($sort, 0, 60, '…').'” here.';
        }
        $number = (string) $request->query('page', '1');
        $filters = $edition->filters($page->lineup);
        $whole = (string) $request->query(AddressWords::WHOLE_LIST, '');
        $days = array_filter(
            $filters,
            fn (FilterSettings $filter): bool => $filter->control === Control::Dates,
        );

        return new self(
            $page,
            $picks->terms,
            $picks->ranges,
            $picks->words,
            in_array($sort, $known, true) ? $sort : $known[0],
            preg_match('/^\d{1,7}$/D', $number) === 1 ? max(1, (int) $number) : 1,
            $known[0],
            $request->query('sold-out') === '1',
            $picks->moved,
            array_map(fn (FilterSettings $filter): string => $filter->key, array_values($days)),
            $refused,
            $picks->told,
            $picks->unknown,
            in_array($whole, array_column($filters, 'key'), true) ? $whole : '',
            trim(mb_substr((string) $request->query(AddressWords::IN_LIST, ''), 0, self::LONGEST)),
        );
    }

    /** @return list<string> what a shopper has to be told about this address */
    public function remarks(): array
    {
        return [...$this->refused, ...$this->told, ...$this->page->words->remarks ?? []];
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
            'terms' => array_diff_key($this->terms, [$key => 0]),
            'ranges' => array_diff_key($this->ranges, [$key => 0]),
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

    /** The same with every term of a filter listed. */
    public function whole(string $key): self
    {
        return $this->with(['whole' => $key]);
    }

    /** Where what is typed behind it is looked for in a filter's long list. */
    public function inList(string $key): string
    {
        $url = $this->whole($key)->url();

        return "{$url}&".AddressWords::IN_LIST.'=';
    }

    /** @param  array<string, Combine>  $combine  by filter key */
    public function picks(array $combine): Picks
    {
        return new Picks($this->terms, $combine, $this->ranges);
    }

    public function url(): string
    {
        $query = [];
        foreach ($this->fields() as $name => $text) {
            $query[] = rawurlencode((string) $name).'='.implode(',', array_map(rawurlencode(...), explode(',', $text)));
        }
        if ($this->sort !== $this->usualSort) {
            $query[] = 'sort='.rawurlencode($this->sort);
        }
        if ($this->number > 1) {
            $query[] = 'page='.$this->number;
        }

        if ($this->whole !== '') {
            $query[] = AddressWords::WHOLE_LIST.'='.rawurlencode($this->whole);
        }

        return $this->page->path.($query === [] ? '' : '?'.implode('&', $query));
    }

    /** @return array<string, string> all that narrows the page, as the address and hidden fields of forms write it */
    public function fields(): array
    {
        $text = (string) $this->page->words?->text;
        $fields = $text === '' ? [] : ['q' => $text];
        $terms = $this->terms;
        ksort($terms);
        foreach ($terms as $key => $slugs) {
            $fields[$key] = implode(',', $slugs);
        }
        foreach ($this->ranges as $key => [$from, $to]) {
            $fields[$key] = $this->end((string) $key, $from).'..'.$this->end((string) $key, $to);
        }

        return $fields + $this->words + ($this->soldOut ? ['sold-out' => '1'] : []);
    }

    private function end(string $key, ?float $end): string
    {
        return $end === null ? '' : (in_array($key, $this->days, true) ? Day::text($end) : (string) $end);
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        $all = $changes + ['number' => 1] + get_object_vars($this);

        return new self(
            $this->page,
            $all['terms'],
            $all['ranges'],
            $all['words'],
            $this->sort,
            $all['number'],
            $this->usualSort,
            $all['soldOut'],
            days: $this->days,
            whole: $all['whole'],
        );
    }
}
