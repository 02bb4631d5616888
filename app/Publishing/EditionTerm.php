<?php

declare(strict_types=1);

namespace App\Publishing;

use Lokum\Vocabulary\Look;

/** A term as an edition carries it. */
final readonly class EditionTerm
{
    /** @param  int  $products  that carry it, in the whole shop */
    private function __construct(public int $id, public string $slug, public string $label, public Look $look, public int $products)
    {
    }

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        $look = Look::fromJson($row['look'] === null ? null : (string) $row['look']);

        return new self((int) $row['id'], (string) $row['slug'], $look->label ?? (string) $row['label'], $look, (int) $row['products']);
    }
}
