<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** One filter as the counting sees it: which terms it offers, and which of them are picked. */
final readonly class Question
{
    /**
     * @param  string  $name  the attribute's slug
     * @param  list<int>  $terms  ids of the terms it offers
     * @param  list<int>  $picks  ids of the picked ones; of a term that is not in $terms, too
     */
    public function __construct(
        public string $name,
        public array $terms,
        public array $picks = [],
        public Combine $combine = Combine::Any,
    ) {
    }
}
