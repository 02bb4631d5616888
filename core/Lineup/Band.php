<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use InvalidArgumentException;

/**
 * Numbers that shoppers tick as one (C7): under, between or over. Bands made by hand hold both ends, where nobody says that an end
 * is open, and may overlap; proposed ones hold their lower end and not their upper, so that each number is in one of them.
 */
final readonly class Band
{
    /**
     * @param  float|null  $from  null: everything below
     * @param  float|null  $to  null: everything above
     * @param  bool  $holdsTo  whether a number equal to its upper end is in it
     * @param  bool  $holdsFrom  whether a number equal to its lower end is in it
     *
     * @throws InvalidArgumentException for a band without ends, or one that ends before it begins
     */
    public function __construct(
        public ?float $from,
        public ?float $to,
        public ?string $label = null,
        public bool $holdsTo = true,
        public bool $holdsFrom = true,
    ) {
        if ($from === null && $to === null) {
            throw new InvalidArgumentException('A band has a lower or an upper end.');
        }
        if ($from !== null && $to !== null && ($from > $to || ($from === $to && ! ($holdsTo && $holdsFrom)))) {
            throw new InvalidArgumentException("A band cannot end ({$to}) before it begins ({$from}).");
        }
    }

    /**
     * @param  list<float>  $edges  rising
     * @return list<self> one more than edges, together everything
     */
    public static function between(array $edges): array
    {
        $bands = [];
        foreach ([...$edges, null] as $i => $edge) {
            $from = $edges[$i - 1] ?? null;
            if ($from !== null || $edge !== null) {
                $bands[] = new self($from, $edge, null, false);
            }
        }

        return $bands;
    }

    /** @return list<self> of equal ones the first */
    public static function list(mixed $given): array
    {
        $bands = [];
        foreach (is_array($given) ? $given : [] as $one) {
            if (is_array($one)) {
                $number = fn (string $end): ?float => is_numeric($one[$end] ?? null) ? (float) $one[$end] : null;
                $one = new self(
                    $number('from'),
                    $number('to'),
                    is_string($one['label'] ?? null) && $one['label'] !== '' ? $one['label'] : null,
                    ($one['holds_to'] ?? true) !== false,
                    ($one['holds_from'] ?? true) !== false,
                );
            }
            if ($one instanceof self) {
                $bands[$one->slug()] ??= $one;
            }
        }

        return array_values($bands);
    }

    /** @return array{from: float|null, to: float|null, label: string|null, holds_to: bool, holds_from: bool} */
    public function toArray(): array
    {
        return [
            'from' => $this->from,
            'to' => $this->to,
            'label' => $this->label,
            'holds_to' => $this->holdsTo,
            'holds_from' => $this->holdsFrom,
        ];
    }

    /** Whether a number is in it: between its ends, and at an end where the band holds that. */
    public function holds(float $number): bool
    {
        return ($this->from === null || $number > $this->from || ($this->holdsFrom && $number === $this->from)) &&
            ($this->to === null || $number < $this->to || ($this->holdsTo && $number === $this->to));
    }

    /** The word for it in addresses: "0..20", "..5", "50..", "20..50-" where its upper end is not in it, "50-.." without its lower. */
    public function slug(): string
    {
        return ($this->from === null ? '' : self::plain($this->from).($this->holdsFrom ? '' : '-')).
            '..'.
            ($this->to === null ? '' : self::plain($this->to)).
            ($this->holdsTo || $this->to === null ? '' : '-');
    }

    /**
     * What a person should know about some bands: numbers that are in none, bands that share numbers, bands that hold no product.
     *
     * @param  list<self>  $bands
     * @param  array<int|string, int>  $products  by number (as a numeric string), of the page
     * @return list<string>
     */
    public static function remarks(array $bands, array $products): array
    {
        $remarks = [];
        $left = 0;
        $inBands = array_fill(0, count($bands), 0);
        foreach ($products as $number => $n) {
            $in = array_keys(array_filter($bands, fn (self $band): bool => $band->holds((float) $number)));
            $left += $in === [] ? $n : 0;
            foreach ($in as $i) {
                $inBands[$i] += $n;
            }
        }
        if ($left !== 0) {
            $remarks[] = number_format($left).($left === 1 ? ' product is' : ' products are').' in no band';
        }
        foreach ($bands as $i => $band) {
            if ($inBands[$i] <= 0) {
                $remarks[] = "{$band->words()} holds no product here";
            }
            foreach (array_slice($bands, $i + 1) as $other) {
                $shared = array_filter(
                    array_keys($products),
                    fn (int|string $number): bool => $band->holds((float) $number) && $other->holds((float) $number),
                );
                if ($shared !== []) {
                    $remarks[] = "{$band->words()} and {$other->words()} overlap";
                }
            }
        }

        return $remarks;
    }

    /** Its label, or its ends in words. */
    public function words(string $prefix = '', string $unit = '', ?int $decimals = null): string
    {
        $say = fn (float $number): string => $prefix.
            ($decimals === null ? self::plain($number) : number_format($number, $decimals)).
            ($unit === '' ? '' : " {$unit}");

        return $this->label ??
            match (true) {
                $this->from === null => 'Under '.$say((float) $this->to),
                $this->to === null => $this->holdsFrom ? $say($this->from).' and over' : 'Over '.$say($this->from),
                default => $prefix.
                    ($decimals === null ? self::plain($this->from) : number_format($this->from, $decimals)).
                    ' – '.
                    $say($this->to),
            };
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 6, '.', ''), '0'), '.');
    }
}
