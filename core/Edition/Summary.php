<?php

declare(strict_types=1);

namespace Lokum\Edition;

/** What an edition says, in so far as two editions are compared by it. */
final readonly class Summary
{
    /**
     * @param  int  $products  products listed
     * @param  int  $variants  variants of them, a product without any counting as one
     * @param  array<int, TermLine>  $terms  by id
     * @param  array<string, FilterLine>  $filters  what line-ups say of filters, in order, by the placement and the filter
     * @param  array<string, list<string>>  $pages  titles of the filters that show on each category's page, by slug
     * @param  string  $content  digest of the product data that shoppers see
     * @param  array<string, array<string, int>>  $ended  terms that addresses without a term of their own lead to, by slug, by attribute
     */
    public function __construct(
        public int $products,
        public int $variants,
        public array $terms,
        public array $filters,
        public array $pages,
        public string $content,
        public array $ended = [],
    ) {
    }
}
