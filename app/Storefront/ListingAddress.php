<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Publishing\EditionCategory;
use App\Publishing\EditionFile;
use App\Publishing\Picks;
use Illuminate\Http\Request;
use Lokum\Facet\Combine;

/**
 * The address of a listing: /shop/c/paint?color=red,blue&price=5..10&sort=price&page=2. The same picks have one address, whatever
 * order they were ticked in; ended terms lead to the ones that stayed.
 */
final readonly class ListingAddress
{
    public const SORTS = ['name' => 'Name', 'price' => 'Price, low to high', 'price-down' => 'Price, high to low', 'new' => 'Newest'];

    /**
     * @param  array<string, list<string>>  $terms  slugs by filter key
     * @param  array<string, array{0: float|null, 1: float|null}>  $ranges  by filter key
     * @param  bool  $moved  whether a term in the address has become another
     */
    private function __construct(private ?string $category, public array $terms, public array $ranges, public string $sort, public int $page, public bool $moved = false)
    {
    }

    public static function read(Request $request, EditionFile $edition, ?EditionCategory $category): self
    {
        $terms = $ranges = [];
        $moved = false;
        foreach ($edition->filters() as $filter) {
            $key = (string) $filter['key'];
            $given = $request->query($key);
            // A form without scripts sends each tick, and each end of a range, by itself.
            $texts = is_array($given) ? $given : explode(',', (string) $given);
            if ($filter['control'] === 'scale') {
                $range = is_array($given) ? self::ends((string) ($given['from'] ?? ''), (string) ($given['to'] ?? '')) : self::ends(...explode('..', (string) $given, 2) + [1 => '']);
                if ($range !== [null, null]) {
                    $ranges[$key] = $range;
                }

                continue;
            }
            $attribute = $edition->attribute($key);
            $known = $attribute === null ? [] : array_column($edition->terms($attribute), 'slug');
            foreach ($texts as $text) {
                if (! is_string($text) || $text === '' || $attribute === null) {
                    continue;
                }
                if (in_array($text, $known, true)) {
                    $terms[$key][] = $text;
                } elseif (($leadsTo = $edition->redirect($attribute, $text)) !== null) {
                    $terms[$key][] = $leadsTo;
                    $moved = true;
                }
            }
            if (isset($terms[$key])) {
                $terms[$key] = array_values(array_unique($terms[$key]));
                sort($terms[$key]);
                if ($filter['combine'] === Combine::One->value) {
                    $terms[$key] = array_slice($terms[$key], -1);
                }
            }
        }
        $sort = (string) $request->query('sort', 'name');

        return new self($category?->slug, $terms, $ranges, isset(self::SORTS[$sort]) ? $sort : 'name', max(1, (int) $request->query('page', '1')), $moved);
    }

    public function isPicked(string $key, string $slug): bool
    {
        return in_array($slug, $this->terms[$key] ?? [], true);
    }

    public function isNarrowed(): bool
    {
        return $this->terms !== [] || $this->ranges !== [];
    }

    public function toggled(string $key, string $slug, Combine $combine): self
    {
        $terms = $this->terms;
        $now = $terms[$key] ?? [];
        $terms[$key] = match (true) {
            in_array($slug, $now, true) => array_values(array_diff($now, [$slug])),
            $combine === Combine::One => [$slug],
            default => [...$now, $slug],
        };
        sort($terms[$key]);

        return new self($this->category, array_filter($terms), $this->ranges, $this->sort, 1);
    }

    public function without(string $key): self
    {
        return new self($this->category, array_diff_key($this->terms, [$key => 0]), array_diff_key($this->ranges, [$key => 0]), $this->sort, 1);
    }

    public function cleared(): self
    {
        return new self($this->category, [], [], $this->sort, 1);
    }

    public function sorted(string $sort): self
    {
        return new self($this->category, $this->terms, $this->ranges, $sort, 1);
    }

    public function onPage(int $page): self
    {
        return new self($this->category, $this->terms, $this->ranges, $this->sort, $page);
    }

    /** @param  array<string, Combine>  $combine  by filter key */
    public function picks(array $combine): Picks
    {
        return new Picks($this->terms, $combine, $this->ranges);
    }

    public function url(): string
    {
        $query = [];
        foreach ($this->terms as $key => $slugs) {
            $query[] = rawurlencode((string) $key).'='.implode(',', array_map(rawurlencode(...), $slugs));
        }
        foreach ($this->ranges as $key => [$from, $to]) {
            $query[] = rawurlencode((string) $key).'='.($from ?? '').'..'.($to ?? '');
        }
        if ($this->sort !== 'name') {
            $query[] = 'sort='.$this->sort;
        }
        if ($this->page > 1) {
            $query[] = 'page='.$this->page;
        }

        return ($this->category === null ? route('shop', absolute: false) : route('shop.category', $this->category, false)).($query === [] ? '' : '?'.implode('&', $query));
    }

    /** @return array{0: float|null, 1: float|null} the wrong way round is set right */
    private static function ends(string $from, string $to): array
    {
        $number = fn (string $text): ?float => is_numeric(str_replace(',', '.', trim($text))) ? (float) str_replace(',', '.', trim($text)) : null;
        $ends = [$number($from), $number($to)];

        return $ends[0] !== null && $ends[1] !== null && $ends[0] > $ends[1] ? [$ends[1], $ends[0]] : $ends;
    }
}
