<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Value;
use Lokum\Text\StrictKey;

/** A value as the workbench lists it. */
final readonly class ValueRow
{
    public int $id;

    public string $label;

    public ?int $umbrella;

    public bool $held;

    /** @param  list<array{id: int, text: string, products: int}>  $spellings  most products first */
    public function __construct(public Value $value, public int $products, public array $spellings)
    {
        $row = $value->getAttributes();
        $this->id = $row['id'];
        $this->label = $row['label'];
        $this->umbrella = $row['umbrella_id'];
        $this->held = (bool) $row['held'];
    }

    /** Whether its label or one of its spellings has the letters in it. */
    public function isCalled(string $key): bool
    {
        return str_contains(StrictKey::of($this->label), $key) ||
            array_filter($this->spellings, fn (array $spelling): bool => str_contains(StrictKey::of($spelling['text']), $key)) !== [];
    }
}
