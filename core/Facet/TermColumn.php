<?php

declare(strict_types=1);

namespace Lokum\Facet;

use Closure;

/**
 * Up to 255 terms of one attribute as a number for each carrier: 0 for none of them. A column is read where a page counts many terms
 * for few carriers; {@see Tally} says when. Terms that meet on one carrier stand in different columns.
 */
final readonly class TermColumn
{
    /** Terms in a column. */
    public const TERMS = 255;

    /**
     * @param  array<int, int>  $terms  id of the term by its number in the column, from 1
     * @param  VariantSet|null  $repeats  variants with the same term as an earlier one of their product; null of products
     * @param  Closure(int): string  $part  one block of the column, as {@see Blocks} cuts it
     */
    public function __construct(
        public Blocks $blocks,
        public array $terms,
        public ?VariantSet $repeats,
        private Closure $part,
    ) {
    }

    /** @param  int  $block  from 0 */
    public function part(int $block): string
    {
        return ($this->part)($block);
    }
}
