<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Vocabulary\Look;

/** A term as an edition carries it. */
final readonly class EditionTerm
{
    /**
     * @param  int  $products  that carry it, in the whole shop
     * @param  int|null  $parent  the umbrella that it is below
     */
    private function __construct(
        public int $id,
        public string $slug,
        public string $label,
        public Look $look,
        public int $products,
        public ?int $parent,
    ) {
    }

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        $look = Look::fromJson($row['look'] === null ? null : (string) $row['look']);

        return new self(
            (int) $row['id'],
            (string) $row['slug'],
            $look->label ?? (string) $row['label'],
            $look,
            (int) $row['products'],
            $row['parent_id'] === null ? null : (int) $row['parent_id'],
        );
    }
}
