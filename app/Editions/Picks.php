<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Combine;

/** What a shopper has asked for: terms by attribute, ranges by field. */
final readonly class Picks
{
    /**
     * @param  array<string, list<string>>  $terms  slugs of terms, by slug of the attribute
     * @param  array<string, Combine>  $combine  how the picks of an attribute work together; any, where nothing is said
     * @param  array<string, array{0: float|null, 1: float|null}>  $ranges  from and to, by field
     */
    public function __construct(public array $terms = [], public array $combine = [], public array $ranges = [])
    {
    }
}
