<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Quantity;
use Lokum\Quantity\Unit;

/**
 * Masses and volumes of a list in pounds, ounces or gallons beside those in grams or liters, where one is the other as trades round it
 * (C2): 5 kg and 11 lb. Lengths are left alone: 8 mm and 5/16" are two spanners.
 */
final class RoundedMeasures
{
    /** 11 lb, 3.4 fl. oz */
    private const MEASURE = '/^(?<number>\d{1,9}(?:[.,]\d{1,9})?) ?(?<unit>\pL[\pL. ]{0,15})$/u';

    /** Units that are rounded beside those of the metric system. */
    private const CUSTOMARY = ['oz', 'lb', 'st', 'fl oz', 'pt', 'qt', 'gal', 'uk fl oz', 'uk pt', 'uk gal'];

    /** With one digit, a pound is anything from half a one on. */
    private const DIGITS = 2;

    /** Share that the two may be apart. */
    private const NEAR = 0.01;

    /** @var array<int, string> what the other in another unit meets others by, by value */
    private array $others = [];

    /**
     * @param  array<int, string>  $texts  strict keys, their signs in plain form
     * @param  array<int, string>  $keys  what each meets others by
     */
    public function __construct(array $texts, array $keys)
    {
        /** @var array<string, array<string, array{0: float, 1: string}>> $sides by what is measured and side: size in its base, text */
        $sides = [];
        foreach ($texts as $i => $text) {
            $unit = preg_match(self::MEASURE, $text, $part) === 1 ? Unit::find(rtrim($part['unit'], '. ')) : null;
            $kind = $unit === null ? '' : (string) json_encode($unit->powers);
            if ($unit !== null && in_array($unit->powers, [Unit::of('g')->powers, Unit::of('l')->powers], true)) {
                $side = in_array($unit->symbol, self::CUSTOMARY, true) ? 'customary' : 'metric';
                $size = Quantity::in($unit->symbol, $part['number']) * $unit->factor->toFloat();
                $sides["{$kind} {$side}"][$keys[$i]] ??= [$size, $text];
            }
        }
        foreach ($sides as $kind => $measures) {
            if (str_ends_with($kind, ' customary')) {
                $this->match($measures, $sides[str_replace(' customary', ' metric', $kind)] ?? [], $keys);
            }
        }
    }

    /** @return list<string> the key of the one that a value is, rounded or more exactly; empty where there is none, or several */
    public function of(int $i): array
    {
        return isset($this->others[$i]) ? [$this->others[$i]] : [];
    }

    /**
     * @param  array<string, array{0: float, 1: string}>  $customary  by key
     * @param  array<string, array{0: float, 1: string}>  $metric
     * @param  array<int, string>  $keys
     */
    private function match(array $customary, array $metric, array $keys): void
    {
        asort($metric);
        $sizes = array_column($metric, 0);
        $metricKeys = array_keys($metric);
        $found = [];
        foreach ($customary as $key => [$size, $text]) {
            for ($at = self::firstFrom($sizes, $size * (1 - self::NEAR)); ($sizes[$at] ?? INF) <= $size * (1 + self::NEAR); $at++) {
                $other = $metricKeys[$at];
                if (Rounding::areOne($text, $metric[$other][1], self::DIGITS)) {
                    $found[$key][$other] = $found[$other][$key] = true;
                }
            }
        }
        // What could be several is left to people.
        foreach ($keys as $i => $key) {
            $other = count($found[$key] ?? []) === 1 ? array_key_first($found[$key]) : null;
            if ($other !== null && count($found[$other]) === 1) {
                $this->others[$i] = $other;
            }
        }
    }

    /** @param  list<float>  $sizes  rising; the place of the first that is not below */
    private static function firstFrom(array $sizes, float $least): int
    {
        [$low, $high] = [0, count($sizes)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $sizes[$middle] < $least ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low;
    }
}
