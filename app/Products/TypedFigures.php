<?php

declare(strict_types=1);

namespace App\Products;

/** What typing or pasting into the grid does. */
final readonly class TypedFigures
{
    /**
     * @param  int  $placed  cells that can be taken
     * @param  int  $changed  products and variants that change
     * @param  list<string>  $new  values that are made
     * @param  list<array{item: int, sku: string, definition: string, text: string, reason: string}>  $refused
     */
    public function __construct(public int $placed, public int $changed, public array $new, public array $refused)
    {
    }
}
