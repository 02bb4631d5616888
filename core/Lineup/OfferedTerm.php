<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Vocabulary\Look;

/** A term beside a listing, as shoppers see it. */
final readonly class OfferedTerm
{
    /**
     * @param  int  $count  products after picking it (C6)
     * @param  list<self>  $below  its values, where the filter shows them
     */
    public function __construct(
        public string $slug,
        public string $label,
        public Look $look,
        public int $count,
        public bool $picked,
        public array $below = [],
    ) {
    }

    public function isAvailable(): bool
    {
        return $this->count > 0 || $this->picked;
    }
}
