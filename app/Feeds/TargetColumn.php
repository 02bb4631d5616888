<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use Lokum\Feed\Column;

/** What one column of a file leads to, and how that came about. */
final readonly class TargetColumn
{
    /**
     * @param  int  $index  of the column in the file
     * @param  Column|string|null  $target  attribute data, a known column, or left aside
     * @param  Definition|null  $definition  the one that exists already
     * @param  string  $why  in words, for the person who looks over the mapping
     * @param  bool  $described  whether a person said so (a new definition is then in use at once)
     * @param  bool  $own  whether a person said that it leads to no definition that is there
     */
    public function __construct(
        public int $index,
        public string $heading,
        public Column|string|null $target,
        public ?Definition $definition,
        public string $why,
        public bool $described = false,
        public bool $own = false,
    ) {
    }

    /** Whether nobody has said what it is: it would become a definition that is proposed. */
    public function isUnknown(): bool
    {
        return $this->column() !== null && $this->definition === null && ! $this->described && ! $this->own;
    }

    /** Whether its cells are kept as values or numbers; the known column "brand" is an attribute like any other. */
    public function column(): ?Column
    {
        return $this->target instanceof Column ? $this->target : null;
    }
}
