<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Support\Format;
use Lokum\Facet\Combine;
use Lokum\Facet\Steps;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\OfferedTerm;
use Lokum\Lineup\ProductField;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Day;

/** A filter beside a listing. */
final readonly class ShownFilter
{
    /** Terms that a page lists at once; of more, the first only. */
    private const LONG = 300;

    private const FIRST = 100;

    public string $key;

    public string $title;

    public ?string $group;

    public Control $control;

    public Combine $combine;

    public bool $open;

    public ?string $unit;

    /** @var list<OfferedTerm> none for a scale */
    public array $terms;

    /** The stops of a scale. */
    public ?Steps $steps;

    /**
     * @param  string|null  $help  of the attribute, where the filter has none of its own
     * @param  float|null  $from  lower end of the range that is asked for
     * @param  float|null  $to  upper end
     * @param  string  $words  text that is asked for
     * @param  bool  $whole  whether every term is listed, however many there are
     * @param  string  $inList  what is looked for in a long list
     */
    public function __construct(
        public FilterSettings $settings,
        Offer $offer,
        private ?string $help = null,
        public ?float $from = null,
        public ?float $to = null,
        public string $words = '',
        private bool $whole = false,
        private string $inList = '',
    ) {
        [$this->terms, $this->steps] = [$offer->terms, $offer->steps];
        [$this->key, $this->title, $this->group, $this->control, $this->combine] = [
            $settings->key,
            $settings->title,
            $settings->group,
            $settings->control,
            $settings->combine,
        ];
        $this->unit = $settings->unit ?? ($settings->key === ProductField::Price->value ? (string) config('lokum.currency') : null);
        $this->open = $settings->open || $from !== null || $to !== null || $words !== '' || $this->picked() !== [];
    }

    /**
     * @param  list<self>  $filters
     * @return list<non-empty-list<self>> those that stand under one heading together; the others together where they follow each other
     */
    public static function grouped(array $filters): array
    {
        $groups = [];
        $number = -1;
        foreach ($filters as $i => $filter) {
            $number += $i > 0 && $filters[$i - 1]->group === $filter->group ? 0 : 1;
            $groups[$number][] = $filter;
        }

        return array_values($groups);
    }

    public function help(): ?string
    {
        return $this->settings->help ?? $this->help;
    }

    /** Whether nothing is left to choose after what was picked elsewhere. */
    public function isEmpty(): bool
    {
        return $this->terms === [] && $this->steps === null && $this->control !== Control::Words;
    }

    public function isSingle(): bool
    {
        return $this->combine === Combine::One;
    }

    /** The name of its form fields for terms. */
    public function field(): string
    {
        return $this->key.($this->isSingle() ? '' : '[]');
    }

    /** @return list<OfferedTerm> those below umbrellas, too */
    public function picked(): array
    {
        $picked = [];
        foreach ($this->terms as $term) {
            array_push($picked, ...array_filter([$term, ...$term->below], fn (OfferedTerm $one): bool => $one->picked));
        }

        return $picked;
    }

    /**
     * The terms that the page lists: of a long list the picked ones and the first, or those that are called like what is looked for,
     * until the whole of it is asked for.
     *
     * @return list<OfferedTerm>
     */
    public function listed(): array
    {
        if (count($this->terms) <= self::LONG || ($this->whole && $this->inList === '')) {
            return $this->terms;
        }
        $key = StrictKey::of($this->inList);
        $first = array_slice(
            $key === ''
                ? $this->terms
                : array_filter($this->terms, fn (OfferedTerm $term): bool => str_contains(StrictKey::of($term->label), $key)),
            0,
            $key === '' ? self::FIRST : self::LONG,
            preserve_keys: true,
        );
        $picked = array_filter($this->terms, fn (OfferedTerm $term): bool => $term->picked);
        $listed = $first + $picked;
        ksort($listed);

        return array_values($listed);
    }

    /** Whether there are terms that the page does not list. */
    public function isCut(): bool
    {
        return count($this->terms) > self::LONG && (! $this->whole || $this->inList !== '');
    }

    /** A number with what stands before and behind it. */
    public function say(float $number): string
    {
        if ($this->control === Control::Dates) {
            return Day::text($number);
        }

        return $this->settings->prefix.
            ($this->settings->decimals === null ? Format::number($number) : number_format($number, $this->settings->decimals)).
            ($this->unit === null ? '' : ' '.Format::unit($this->unit));
    }

    public function rangeInWords(): string
    {
        return match (true) {
            $this->from === null => 'up to '.$this->say((float) $this->to),
            $this->to === null => $this->say($this->from).' and over',
            default => $this->say($this->from).' – '.$this->say($this->to),
        };
    }
}
