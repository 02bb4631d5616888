<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** What shoppers would find different if the catalog were published now (C13). */
final readonly class Drift
{
    /**
     * @param  list<TermLine>  $new
     * @param  list<TermLine>  $gone  that no term follows
     * @param  list<array{0: TermLine, 1: TermLine}>  $ledOn  gathered or merged: the term before, and the one that is ticked instead
     * @param  list<array{0: TermLine, 1: TermLine}>  $renamed  before and after
     * @param  list<array{0: TermLine, 1: TermLine}>  $regrouped  umbrellas that hold other values, before and after
     * @param  list<array{0: TermLine, 1: TermLine}>  $redressed  before and after
     * @param  list<array{0: TermLine, 1: TermLine}>  $recounted  before and after
     * @param  list<array{attribute: string, from: string, to: string|null}>  $addresses  of terms, that will lead elsewhere; to
     *         nothing, where no term follows
     * @param  array{appearing: list<string>, disappearing: list<string>, changed: list<string>, reordered: bool}  $filters  by title
     * @param  array<string, array{appearing: list<string>, disappearing: list<string>}>  $pages  by category slug; only those that differ
     * @param  int  $products  products more (or fewer, below zero) than served
     * @param  int  $variants  likewise
     * @param  bool  $content  whether names, prices, stock or other product data differ
     * @param  array<string, string>  $attributes  slugs that attributes have from now on, by the ones that they had
     */
    private function __construct(
        public array $new,
        public array $gone,
        public array $ledOn,
        public array $renamed,
        public array $regrouped,
        public array $redressed,
        public array $recounted,
        public array $addresses,
        public array $filters,
        public array $pages,
        public int $products,
        public int $variants,
        public bool $content,
        public array $attributes,
    ) {
    }

    /**
     * @param  Summary|null  $served  null before the first edition: then everything is new
     */
    public static function between(?Summary $served, Summary $draft): self
    {
        $served ??= new Summary(0, 0, [], [], [], '');
        $known = array_fill_keys(array_map(fn (TermLine $term): string => $term->attribute, $served->terms), true);
        $attributes = array_intersect_key($draft->led, $known);
        $served = $served->calling($attributes);
        $renamed = $regrouped = $redressed = $recounted = [];
        $pairs = self::pairs($served, $draft);
        foreach ($pairs as $id => $before) {
            $after = $draft->terms[$id];
            if ($before->label !== $after->label || $before->slug !== $after->slug) {
                $renamed[] = [$before, $after];
            }
            if ($before->holds !== $after->holds) {
                $regrouped[] = [$before, $after];
            }
            if ($before->look !== $after->look) {
                $redressed[] = [$before, $after];
            }
            if ($before->products !== $after->products) {
                $recounted[] = [$before, $after];
            }
        }
        $stays = array_fill_keys(array_map(fn (TermLine $before): int => $before->id, $pairs), true);

        $addresses = self::addresses($served, $draft);
        $gone = array_diff_key($served->terms, $stays);
        $ledOn = self::ledOn($gone, $addresses, $draft);

        return new self(
            array_values(array_diff_key($draft->terms, $pairs)),
            array_values(array_diff_key($gone, $ledOn)),
            array_values($ledOn),
            $renamed,
            $regrouped,
            $redressed,
            $recounted,
            $addresses,
            self::filters($served, $draft),
            self::pages($served, $draft),
            $draft->products - $served->products,
            $draft->variants - $served->variants,
            $served->content !== $draft->content,
            $attributes,
        );
    }

    /**
     * How many differences there are for a person: each term and filter that changed counts once, all counts together
     * once, products together once.
     */
    public function differences(): int
    {
        return count($this->new) +
            count($this->gone) +
            count($this->ledOn) +
            count($this->renamed) +
            count($this->regrouped) +
            count($this->redressed) +
            count($this->attributes) +
            count($this->filters['appearing']) +
            count($this->filters['disappearing']) +
            count($this->filters['changed']) +
            ($this->filters['reordered'] ? 1 : 0) +
            ($this->recounted === [] ? 0 : 1) +
            ($this->products !== 0 || $this->variants !== 0 || $this->content ? 1 : 0);
    }

    /**
     * Terms that are the same for shoppers: by their number, or by their address where a value has become an umbrella or an umbrella
     * was made anew.
     *
     * @return array<int, TermLine> the one before, by the number of the one after
     */
    private static function pairs(Summary $served, Summary $draft): array
    {
        $pairs = array_intersect_key($served->terms, $draft->terms);
        $left = [];
        foreach (array_diff_key($served->terms, $pairs) as $term) {
            $left[$term->attribute][$term->slug] = $term;
        }
        foreach (array_diff_key($draft->terms, $pairs) as $id => $term) {
            if (isset($left[$term->attribute][$term->slug])) {
                $pairs[$id] = $left[$term->attribute][$term->slug];
            }
        }

        return $pairs;
    }

    /**
     * @param  array<int, TermLine>  $gone
     * @param  list<array{attribute: string, from: string, to: string|null}>  $addresses
     * @return array<int, array{0: TermLine, 1: TermLine}>
     */
    private static function ledOn(array $gone, array $addresses, Summary $draft): array
    {
        $leads = $bySlug = $ledOn = [];
        foreach ($addresses as $one) {
            $leads[$one['attribute']][$one['from']] = $one['to'];
        }
        foreach ($draft->terms as $term) {
            $bySlug[$term->attribute][$term->slug] = $term;
        }
        foreach ($gone as $id => $term) {
            $to = $bySlug[$term->attribute][$leads[$term->attribute][$term->slug] ?? ''] ?? null;
            if ($to !== null) {
                $ledOn[$id] = [$term, $to];
            }
        }

        return $ledOn;
    }

    /** @return array{appearing: list<string>, disappearing: list<string>, changed: list<string>, reordered: bool} */
    private static function filters(Summary $served, Summary $draft): array
    {
        [$new, $gone] = [array_diff_key($draft->filters, $served->filters), array_diff_key($served->filters, $draft->filters)];
        $changed = array_filter(
            $draft->filters,
            fn (FilterLine $line, string $name): bool => isset($served->filters[$name])
                ? $served->filters[$name]->says !== $line->says
                : ! $line->adds,
            ARRAY_FILTER_USE_BOTH,
        );
        $both = array_keys(array_intersect_key(self::adding($served->filters), self::adding($draft->filters)));

        return [
            'appearing' => self::titles(self::adding($new)),
            'disappearing' => self::titles(self::adding($gone)),
            'changed' => [...self::titles($changed), ...self::titles(array_diff_key($gone, self::adding($gone)))],
            'reordered' => $both !== array_keys(array_intersect_key(self::adding($draft->filters), self::adding($served->filters))),
        ];
    }

    /**
     * @param  array<string, FilterLine>  $lines
     * @return list<string>
     */
    private static function titles(array $lines): array
    {
        return array_values(array_map(fn (FilterLine $line): string => $line->title, $lines));
    }

    /**
     * @param  array<string, FilterLine>  $lines
     * @return array<string, FilterLine>
     */
    private static function adding(array $lines): array
    {
        return array_filter($lines, fn (FilterLine $line): bool => $line->adds);
    }

    /** @return list<array{attribute: string, from: string, to: string|null}> */
    private static function addresses(Summary $served, Summary $draft): array
    {
        $stays = [];
        foreach ($draft->terms as $term) {
            $stays[$term->attribute][$term->slug] = true;
        }
        $moved = [];
        foreach ($served->terms as $id => $term) {
            if (! isset($stays[$term->attribute][$term->slug])) {
                $leads = $draft->terms[$id] ?? ($draft->terms[$draft->ended[$term->attribute][$term->slug] ?? 0] ?? null);
                $moved[] = ['attribute' => $term->attribute, 'from' => $term->slug, 'to' => $leads?->slug];
            }
        }

        return $moved;
    }

    /** @return array<string, array{appearing: list<string>, disappearing: list<string>}> */
    private static function pages(Summary $served, Summary $draft): array
    {
        $pages = [];
        foreach (array_keys($served->pages + $draft->pages) as $slug) {
            $before = $served->pages[$slug] ?? [];
            $after = $draft->pages[$slug] ?? [];
            $appearing = array_values(array_diff($after, $before));
            $disappearing = array_values(array_diff($before, $after));
            if ($appearing !== [] || $disappearing !== []) {
                $pages[$slug] = ['appearing' => $appearing, 'disappearing' => $disappearing];
            }
        }

        return $pages;
    }
}
