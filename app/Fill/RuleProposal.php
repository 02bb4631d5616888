<?php

declare(strict_types=1);

namespace App\Fill;

use App\Models\Definition;
use App\Models\FillSource;

/** A rule that Lokum proposes, and what it would win. */
final readonly class RuleProposal
{
    /**
     * @param  array<string, mixed>  $settings
     * @param  int  $wins  products that get a value
     * @param  int  $doubtful  products for which it finds several
     * @param  list<array{before: string, words: string, behind: string}>  $samples
     * @param  bool  $more  whether there are more products than were looked at
     */
    public function __construct(
        public Definition $definition,
        public FillSource $source,
        public array $settings,
        public int $wins,
        public int $doubtful,
        public array $samples,
        public bool $more = false,
    ) {
    }

    /** @return array<string, mixed> what a new rule starts with */
    public function asForm(): array
    {
        return ['definition' => $this->definition->slug, 'source' => $this->source->value] + $this->settings;
    }

    public function sentence(): string
    {
        return $this->source === FillSource::Category
            ? "Names below {$this->settings['branch']} are its values"
            : 'Its values stand in product names';
    }
}
