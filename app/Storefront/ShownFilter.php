<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Format;
use Lokum\Facet\Combine;
use Lokum\Facet\Steps;
use Lokum\Lineup\Control;

/** A filter beside a listing. */
final readonly class ShownFilter
{
    /**
     * @param  list<ShownTerm>  $terms  none for a scale
     * @param  Steps|null  $steps  for a scale
     */
    private function __construct(
        public string $key,
        public string $title,
        public Control $control,
        public Combine $combine,
        public bool $open,
        public ?string $unit,
        public ?string $help,
        public array $terms,
        public ?Steps $steps = null,
        public ?float $from = null,
        public ?float $to = null,
    ) {
    }

    /**
     * @param  array<string, mixed>  $settings
     * @param  list<ShownTerm>  $terms
     */
    public static function ofTerms(array $settings, Combine $combine, ?string $help, array $terms): self
    {
        $picked = array_filter($terms, fn (ShownTerm $term): bool => $term->picked) !== [];

        return new self((string) $settings['key'], (string) $settings['title'], Control::from((string) $settings['control']), $combine, $settings['open'] || $picked, null, $help, $terms);
    }

    /** @param  array<string, mixed>  $settings */
    public static function ofScale(array $settings, Steps $steps, ?float $from, ?float $to): self
    {
        return new self((string) $settings['key'], (string) $settings['title'], Control::Scale, Combine::Any, $settings['open'] || $from !== null || $to !== null,
            $settings['unit'] ?? ($settings['key'] === 'price' ? (string) config('lokum.currency') : null), null, [], $steps, $from, $to);
    }

    public function rangeInWords(): string
    {
        $unit = $this->unit === null ? '' : ' '.Format::unit($this->unit);

        return match (true) {
            $this->from === null => "up to {$this->to}{$unit}",
            $this->to === null => "{$this->from}{$unit} and over",
            default => "{$this->from} – {$this->to}{$unit}",
        };
    }
}
