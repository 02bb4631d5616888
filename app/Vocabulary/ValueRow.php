<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Value;
use Lokum\Text\StrictKey;

/** A value as the workbench lists it. */
final readonly class ValueRow
{
    /** @param  list<array{id: int, text: string, products: int}>  $spellings  most products first */
    public function __construct(public Value $value, public int $products, public array $spellings)
    {
    }

    /** Whether its label or one of its spellings has the letters in it. */
    public function isCalled(string $key): bool
    {
        return str_contains(StrictKey::of($this->value->label), $key) ||
            array_filter($this->spellings, fn (array $spelling): bool => str_contains(StrictKey::of($spelling['text']), $key)) !== [];
    }
}
