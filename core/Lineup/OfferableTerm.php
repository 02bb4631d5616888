<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Vocabulary\Look;

/** A term that a filter may offer: one of an attribute's, a band, a category below, in stock or sold out. */
final readonly class OfferableTerm
{
    /**
     * @param  int  $id  unlike that of any other term of the filter
     * @param  string  $slug  the word for it in addresses
     * @param  string  $label  what shoppers read where the filter says nothing else
     * @param  int|null  $parent  id of the umbrella that it is listed below
     */
    public function __construct(
        public int $id,
        public string $slug,
        public string $label,
        public Look $look = new Look(),
        public ?int $parent = null,
    ) {
    }
}
