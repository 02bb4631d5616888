<?php

declare(strict_types=1);

namespace Lokum\Facet;

use InvalidArgumentException;

/**
 * A from–to scale in steps (C7). Steps count from the configured minimum: 0, 5, 10 … or 1, 6, 11 …; the last one is the
 * largest that does not pass the maximum.
 */
final readonly class Steps
{
    /** @throws InvalidArgumentException when the step is not above zero or the ends are the wrong way round */
    public function __construct(public float $min, public float $max, public float $step)
    {
        if (! is_finite($min) || ! is_finite($max) || ! is_finite($step) || $step <= 0 || $min > $max) {
            throw new InvalidArgumentException('A scale needs a step above zero and a maximum that is not below the minimum.');
        }
    }

    /**
     * The scale that holds all numbers from $low to $high: its ends are the nearest steps outside, counted from zero.
     */
    public static function around(float $low, float $high, float $step): self
    {
        return new self(self::clean(floor($low / $step + 1e-9) * $step), self::clean(ceil($high / $step - 1e-9) * $step), $step);
    }

    /**
     * The step of a scale for which nobody has said one: 1, or where the numbers lie closer than four the power of ten that leaves
     * at least ten steps (0.05 to 1 kg goes by 0.01).
     *
     * @param  float  $span  between the smallest and the largest number, from 0
     */
    public static function fitting(float $span): float
    {
        return $span <= 0 || $span >= 4 ? 1.0 : 10 ** floor(log10($span / 10));
    }

    /** The nearest stop of the scale; halfway goes up. Numbers outside snap to the end. */
    public function snap(float $number): float
    {
        $last = floor(($this->max - $this->min) / $this->step + 1e-9);
        $steps = min(max(floor(($number - $this->min) / $this->step + 0.5), 0.0), $last);

        return self::clean($this->min + $steps * $this->step);
    }

    /** @return list<float> the stops, at most $limit of them */
    public function stops(int $limit = 1000): array
    {
        $stops = [];
        $last = (int) floor(($this->max - $this->min) / $this->step + 1e-9);
        for ($i = 0; $i <= $last && $i < $limit; $i++) {
            $stops[] = self::clean($this->min + $i * $this->step);
        }

        return $stops;
    }

    /** Takes off what binary fractions add: 0.30000000000000004 is 0.3. */
    private static function clean(float $number): float
    {
        return round($number, 10);
    }
}
