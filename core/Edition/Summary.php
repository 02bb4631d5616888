<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** What an edition says, in so far as two editions are compared by it. */
final readonly class Summary
{
    /** What the content is a sum by, so that something said since can be added. */
    public const MODULUS = 4294967291;

    /**
     * @param  int  $products  products listed
     * @param  int  $variants  variants of them, a product without any counting as one
     * @param  array<int, TermLine>  $terms  by id
     * @param  array<string, FilterLine>  $filters  what line-ups say of filters, in order, by the placement and the filter
     * @param  array<string, list<string>>  $pages  titles of the filters that show on each category's page, by slug
     * @param  string  $content  digest of the product data that shoppers see
     * @param  array<string, array<string, int>>  $ended  terms that addresses without a term of their own lead to, by slug, by attribute
     * @param  array<string, float>  $carried  share of the products, or of the variants where it is theirs, that carry an attribute,
     *         0 to 1, by its label
     * @param  array<string, int>  $listed  products of each category's page, by slug
     * @param  array<string, string>  $led  slugs of attributes by the ones that they had before
     */
    public function __construct(
        public int $products,
        public int $variants,
        public array $terms,
        public array $filters,
        public array $pages,
        public string $content,
        public array $ended = [],
        public array $led = [],
        public array $carried = [],
        public array $listed = [],
    ) {
    }

    /**
     * Editions of before say less: what is missing is empty.
     *
     * @param  array{products: int, variants: int, terms: array<int, TermLine>, filters: array<string, FilterLine>,
     *         pages: array<string, list<string>>, content: string, ended?: array<string, array<string, int>>,
     *         led?: array<string, string>, carried?: array<string, float>, listed?: array<string, int>}  $kept
     */
    public function __unserialize(array $kept): void
    {
        $this->products = $kept['products'];
        $this->variants = $kept['variants'];
        $this->terms = $kept['terms'];
        $this->filters = $kept['filters'];
        $this->pages = $kept['pages'];
        $this->content = $kept['content'];
        $this->ended = $kept['ended'] ?? [];
        $this->led = $kept['led'] ?? [];
        $this->carried = $kept['carried'] ?? [];
        $this->listed = $kept['listed'] ?? [];
    }

    /**
     * The same after a change of products, of which the sum of their digests is known.
     *
     * @param  int  $change  what the change adds to the sum
     */
    public function withContentAdded(int $change): self
    {
        if ($change === 0) {
            return $this;
        }
        [$items, $rest] = explode(':', $this->content, 2) + [1 => ''];
        $sum = ((((int) $items + $change) % self::MODULUS) + self::MODULUS) % self::MODULUS;

        return new self(
            $this->products,
            $this->variants,
            $this->terms,
            $this->filters,
            $this->pages,
            "{$sum}:{$rest}",
            $this->ended,
            $this->led,
            $this->carried,
            $this->listed,
        );
    }

    /**
     * The same where attributes are called otherwise, so that a new word in addresses is one difference and not one for each term.
     *
     * @param  array<string, string>  $led  slugs by the ones that end
     */
    public function calling(array $led): self
    {
        if ($led === []) {
            return $this;
        }
        $said = [];
        foreach ($led as $old => $new) {
            $said[(string) json_encode($old)] = (string) json_encode($new);
        }
        $filters = [];
        foreach ($this->filters as $name => $line) {
            $words = explode(' ', $name);
            $words[] = $led[$last = array_pop($words)] ?? $last;
            $filters[implode(' ', $words)] = new FilterLine($line->title, $line->adds, strtr($line->says, $said));
        }

        return new self(
            $this->products,
            $this->variants,
            array_map(fn (TermLine $term): TermLine => $term->of($led[$term->attribute] ?? $term->attribute), $this->terms),
            $filters,
            $this->pages,
            $this->content,
            $this->ended,
            $this->led,
            $this->carried,
            $this->listed,
        );
    }
}
