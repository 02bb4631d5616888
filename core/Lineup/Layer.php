<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** What one line-up says: filters that it adds, properties that it changes, filters that it drops, an order of its own. */
final readonly class Layer
{
    /**
     * @param  array<string, array<string, mixed>>  $added  full settings by key, in order
     * @param  array<string, array<string, mixed>>  $changed  changed properties of inherited filters, by key
     * @param  list<string>  $dropped  keys
     * @param  list<string>|null  $order  keys in the order wanted; null: as inherited, with its own at the end
     * @param  array<string, mixed>  $settings  of the page itself: sold out, sort orders
     */
    public function __construct(
        public int $id,
        public string $name,
        public array $added = [],
        public array $changed = [],
        public array $dropped = [],
        public ?array $order = null,
        public array $settings = [],
    ) {
    }
}
