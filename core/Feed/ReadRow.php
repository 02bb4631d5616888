<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** A row of a feed after its own checks: what it says, or why it is refused. */
final readonly class ReadRow
{
    /**
     * @param  int  $line  physical line, from 1
     * @param  string  $sku  trimmed; empty where it is missing
     * @param  string|null  $parent  sku of the product that this row is a variant of
     * @param  array<string, string|float|int|list<CategoryPath>|null>  $fields  by known column; only the columns the file has
     * @param  array<int, list<string>>  $cells  spellings by column index; empty lists for missing cells
     * @param  array{column: string, reason: string}|null  $refusal  why the row cannot be taken
     */
    public function __construct(
        public int $line,
        public string $sku,
        public ?string $parent,
        public array $fields,
        public array $cells,
        public ?array $refusal = null,
    ) {
    }
}
