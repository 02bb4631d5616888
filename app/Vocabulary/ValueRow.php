<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Value;

/** A value as the workbench lists it. */
final readonly class ValueRow
{
    /** @param  list<array{id: int, text: string, products: int}>  $spellings  most products first */
    public function __construct(public Value $value, public int $products, public array $spellings)
    {
    }
}
