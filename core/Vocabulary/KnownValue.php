<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** A value as a merge sees it: its spellings by id, and how many distinct products carry it. */
final readonly class KnownValue
{
    /** @param  array<int, string>  $spellings  text by spelling id */
    public function __construct(
        public int $id,
        public string $label,
        public string $slug,
        public int $products,
        public array $spellings,
    ) {
    }
}
