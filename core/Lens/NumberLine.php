<?php

declare(strict_types=1);

namespace Lokum\Lens;

/**
 * Numbers on an axis. Where the greatest is over a hundred times the smallest and all are above zero, the axis counts in powers
 * of ten. Outliers are those beyond three times the middle half's spread from its ends (outer fences, J. W. Tukey 1977).
 */
final readonly class NumberLine
{
    public float $from;

    public float $to;

    public bool $powers;

    /** @var array{0: float, 1: float} what lies outside is far from the rest */
    public array $fences;

    /**
     * @param  non-empty-list<float>  $numbers  distinct, in any order
     * @param  list<int>  $products  that carry each of them; all one when not given
     */
    public function __construct(array $numbers, array $products = [])
    {
        asort($numbers);
        [$this->from, $this->to] = [min($numbers), max($numbers)];
        $this->powers = $this->from > 0 && $this->to / $this->from > 100;
        $weighted = [];
        foreach ($numbers as $i => $number) {
            $weighted[] = [$this->scaled($number), max(1, $products[$i] ?? 1)];
        }
        $total = array_sum(array_column($weighted, 1));
        [$low, $high] = [self::quantile($weighted, $total * 0.25), self::quantile($weighted, $total * 0.75)];
        $this->fences = [$low - 3 * ($high - $low), $high + 3 * ($high - $low)];
    }

    /** @return float from 0 to 1 */
    public function place(float $number): float
    {
        [$from, $to] = [$this->scaled($this->from), $this->scaled($this->to)];

        return $to <= $from ? 0.5 : ($this->scaled($number) - $from) / ($to - $from);
    }

    /** Whether a number lies beyond the fences; nothing does where more than half of all products have one number. */
    public function isOutlier(float $number): bool
    {
        return $this->fences[0] < $this->fences[1] &&
            ($this->scaled($number) < $this->fences[0] || $this->scaled($number) > $this->fences[1]);
    }

    /** @return list<float> round numbers along the axis, ten at most */
    public function marks(): array
    {
        if ($this->to <= $this->from) {
            return [$this->from];
        }
        $marks = [];
        if ($this->powers) {
            for ($power = (int) floor(log10($this->from)); $power <= log10($this->to); $power++) {
                foreach (log10($this->to / $this->from) > 4 ? [1] : [1, 3] as $times) {
                    $marks[] = $times * 10.0 ** $power;
                }
            }
        } else {
            $step = 10.0 ** floor(log10(($this->to - $this->from) / 5));
            $step *= ($this->to - $this->from) / $step > 25 ? 5 : (($this->to - $this->from) / $step > 10 ? 2 : 1);
            for ($mark = ceil($this->from / $step) * $step; $mark <= $this->to + $step / 1e6; $mark += $step) {
                $marks[] = round($mark, 10);
            }
        }

        return array_values(array_filter($marks, fn (float $mark): bool => $mark >= $this->from && $mark <= $this->to));
    }

    private function scaled(float $number): float
    {
        return $this->powers ? log10(max($number, 1e-300)) : $number;
    }

    /** @param  non-empty-list<array{0: float, 1: int}>  $weighted  in order */
    private static function quantile(array $weighted, float $share): float
    {
        $seen = 0;
        foreach ($weighted as [$number, $weight]) {
            $seen += $weight;
            if ($seen >= $share) {
                return $number;
            }
        }

        return $weighted[count($weighted) - 1][0];
    }
}
