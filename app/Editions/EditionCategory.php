<?php

declare(strict_types=1);

namespace App\Editions;

/** A category as an edition carries it. */
final readonly class EditionCategory
{
    /** @param  int  $products  its own and those below */
    private function __construct(
        public int $id,
        public ?int $parent,
        public string $name,
        public string $slug,
        public string $path,
        public int $depth,
        public int $products,
    ) {
    }

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        return new self(
            (int) $row['id'],
            $row['parent_id'] === null ? null : (int) $row['parent_id'],
            (string) $row['name'],
            (string) $row['slug'],
            (string) $row['path'],
            (int) $row['depth'],
            (int) $row['products'],
        );
    }
}
