<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Vocabulary\Kind;

/** An attribute as an edition carries it. */
final readonly class EditionAttribute
{
    private function __construct(
        public int $id,
        public string $slug,
        public string $label,
        public Kind $kind,
        public ?string $help,
    ) {
    }

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        return new self(
            (int) $row['id'],
            (string) $row['slug'],
            (string) $row['label'],
            Kind::from((string) $row['kind']),
            $row['help'] === null ? null : (string) $row['help'],
        );
    }
}
