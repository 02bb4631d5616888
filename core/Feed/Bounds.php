<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** Within which figures a delivery is read by itself. What is beyond them is held, with the reason. */
final readonly class Bounds
{
    /** What each figure is called, where it is too large. */
    private const WORDS = [
        'refused' => 'rows are refused',
        'new' => 'products and variants are new',
        'changed' => 'products and variants change',
        'gone' => 'products and variants are gone',
        'jumps' => 'prices become less than half or more than twice',
        'values' => 'values are new',
        'headings' => 'headings are new',
    ];

    /** The same of one. */
    private const OF_ONE = [
        'refused' => 'row is refused',
        'new' => 'product or variant is new',
        'changed' => 'product or variant changes',
        'gone' => 'product or variant is gone',
        'jumps' => 'price becomes less than half or more than twice',
        'values' => 'value is new',
        'headings' => 'heading is new',
    ];

    private const ROWS = ['least_rows', 'most_rows'];

    /** As many as there may ever be. */
    private const ANY_ROWS = 1_000_000_000;

    /** What adds up from one delivery to the next. */
    private const GROWING = ['new', 'changed', 'gone', 'values'];

    /** Normal spreads are 1.4826 times the median distance (Rousseeuw and Croux 1993); three of them are let pass. */
    private const SPREADS = 3 * 1.4826;

    /** However even the past was, so much of the rows may differ, and so many at least. */
    private const SHARE = 0.05;

    private const LEAST = 5;

    /** So many deliveries at most count as missed. */
    private const MOST_MISSED = 6;

    /** Without a past: so much of the rows. */
    private const SHARE_AT_FIRST = 0.2;

    /** @param  array<string, int>  $most  by figure; one that is not in it has no bound */
    public function __construct(public int $leastRows, public int $mostRows, public array $most)
    {
    }

    /**
     * From what the feed has sent so far: the median of each figure and three times its spread (median absolute deviation, scaled to a
     * normal one: Hampel 1974), at least 5 % of the rows. Refused rows, jumps of prices and headings are measured the same way, but
     * nothing is let pass for the sake of the rows.
     *
     * @param  list<DeliveryFigures>  $past  the newest deliveries that were read, in any order; not the very first, in which all is new
     */
    public static function proposed(array $past): self
    {
        if ($past === []) {
            return new self(1, self::ANY_ROWS, array_fill_keys(['refused', 'gone', 'jumps', 'headings'], 0));
        }
        [$rows, $spread] = self::middle(array_column($past, 'rows'));
        $share = count($past) < 3 ? self::SHARE_AT_FIRST : self::SHARE;
        $room = (int) ceil(max($spread * self::SPREADS, $rows * $share * 2, self::LEAST));
        $most = [];
        foreach (array_keys(self::WORDS) as $figure) {
            [$usual, $spread] = self::middle(array_column($past, $figure));
            $most[$figure] = (int) ceil(
                $usual +
                    max(
                        $spread * self::SPREADS,
                        in_array($figure, ['refused', 'jumps', 'headings'], true) ? 0 : max($rows * $share, self::LEAST),
                    ),
            );
        }

        return new self(max(1, $rows - $room), $rows + $room, $most);
    }

    /**
     * How many deliveries came to nothing: the days since the last one that was read on which the source was looked at, by the median of
     * days from one delivery to the next. A feed that comes once a week and is looked for daily has missed none on its sixth day.
     *
     * @param  list<int>  $read  days on which deliveries were read, as whole numbers, in any order
     * @param  list<int>  $looked  days on which its source was looked at, in any order
     * @param  int  $today  the day itself does not count
     * @return int from 0 to 6
     */
    public static function missed(array $read, array $looked, int $today): int
    {
        $read = array_values(array_unique($read));
        sort($read);
        if ($read === []) {
            return 0;
        }
        $last = end($read);
        $days = array_unique(array_filter($looked, fn (int $day): bool => $day > $last && $day < $today));
        $gaps = array_map(fn (int $one, int $next): int => $next - $one, array_slice($read, 0, -1), array_slice($read, 1));

        return min(self::MOST_MISSED, intdiv(count($days), max(1, (int) self::median($gaps))));
    }

    /**
     * After deliveries that came to nothing more is new, changed and gone at once.
     *
     * @param  int  $missed  how many, from 0: {@see missed()}
     */
    public function after(int $missed): self
    {
        $most = $this->most;
        foreach (array_intersect_key($most, array_flip(self::GROWING)) as $figure => $bound) {
            $most[$figure] = $bound * (1 + $missed);
        }

        return new self($this->leastRows, $this->mostRows, $most);
    }

    /**
     * @param  array<string, mixed>  $data  as {@see toArray()} gives it; a figure that is empty or not in it has no bound
     *
     * @throws BadBound for one that is no whole number from 0, or that nothing is called
     */
    public static function from(array $data): self
    {
        $said = [];
        $figures = [...self::ROWS, ...array_keys(self::WORDS)];
        foreach (array_filter($data, fn (mixed $value): bool => $value !== null && $value !== '') as $figure => $value) {
            if (! in_array($figure, $figures, true)) {
                throw BadBound::unknown($figure, ...$figures);
            }
            $number = filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => 0]]);
            $said[$figure] = $number === false ? throw BadBound::noNumber($figure, $value) : $number;
        }

        return new self(
            $said['least_rows'] ?? 1,
            $said['most_rows'] ?? self::ANY_ROWS,
            array_intersect_key($said, self::WORDS),
        );
    }

    /** @return array<string, int> */
    public function toArray(): array
    {
        return ['least_rows' => $this->leastRows] + ($this->hasMostRows() ? ['most_rows' => $this->mostRows] : []) + $this->most;
    }

    /** @return list<string> why a delivery is not read by itself, each with its figure and the bound; none: it is within */
    public function exceededBy(DeliveryFigures $delivery): array
    {
        $reasons = [];
        if ($delivery->rows < $this->leastRows) {
            $reasons[] = number_format($delivery->rows).' rows, at least '.number_format($this->leastRows).' are usual';
        }
        if ($delivery->rows > $this->mostRows) {
            $reasons[] = number_format($delivery->rows).' rows, at most '.number_format($this->mostRows).' are usual';
        }
        foreach (self::WORDS as $figure => $words) {
            $most = $this->most[$figure] ?? null;
            /** @var int $has */
            $has = $delivery->{$figure};
            if ($most !== null && $has > $most) {
                $reasons[] = number_format($has).' '.($has === 1 ? self::OF_ONE[$figure] : $words).
                    ($most === 0 ? ', none is let pass' : ', at most '.number_format($most).' are let pass');
            }
        }

        return $reasons;
    }

    /** As one plain sentence. */
    public function inWords(): string
    {
        $parts = [];
        foreach (self::WORDS as $figure => $words) {
            if (isset($this->most[$figure])) {
                $parts[] = ($this->most[$figure] === 0 ? 'no' : 'at most '.number_format($this->most[$figure]))." {$words}";
            }
        }

        $rows = $this->hasMostRows()
            ? number_format($this->leastRows).' to '.number_format($this->mostRows).' rows'
            : 'at least '.number_format($this->leastRows).($this->leastRows === 1 ? ' row' : ' rows');

        return "Read by itself with {$rows}".
            ($parts === [] ? '' : ', where '.implode(', ', $parts)).'; else it is held.';
    }

    private function hasMostRows(): bool
    {
        return $this->mostRows < self::ANY_ROWS;
    }

    /** @return array<string, string> what can be bounded from above, in words */
    public static function figures(): array
    {
        return self::WORDS;
    }

    /**
     * @param  list<int>  $numbers
     * @return array{0: int, 1: float} median and median distance from it
     */
    private static function middle(array $numbers): array
    {
        $median = self::median($numbers);

        return [(int) round($median), self::median(array_map(fn (int $number): float => abs($number - $median), $numbers))];
    }

    /** @param  list<int|float>  $numbers */
    private static function median(array $numbers): float
    {
        sort($numbers);
        $n = count($numbers);

        return $n === 0 ? 0.0 : ($numbers[intdiv($n - 1, 2)] + $numbers[intdiv($n, 2)]) / 2;
    }
}
