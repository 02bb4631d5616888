<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** The unit that numbers of a list have left out, where all others there have one and the same (C2): 50 beside 40 mm, 60 mm and 80 mm. */
final class Units
{
    /** Values with the unit, from which on one without it has left it out. */
    private const ENOUGH = 3;

    /** The same where words stand before the number: from 3, beside from 5 years. */
    private const ENOUGH_BESIDE = 2;

    /** What stands behind a number and is none of it: H.265 plus. */
    private const UNIT = '/^(?!(?:plus|pro|max|mini|lite|ultra)$)[^\d+]+$/';

    private const NUMBER = '/^\d[\d.,]*$/';

    /** @var array<string, array<string, int>> values by what stands before their number, and by their unit */
    private array $values = [];

    /** @param  array<int, list<string>>  $words  of each value */
    public function __construct(array $words)
    {
        foreach ($words as $some) {
            $unit = count($some) > 1 ? array_pop($some) : '';
            $number = $some === [] ? '' : array_pop($some);
            if (preg_match(self::NUMBER, $number) === 1 && preg_match(self::UNIT, $unit) === 1) {
                $before = implode(' ', $some);
                $this->values[$before][$unit] = ($this->values[$before][$unit] ?? 0) + 1;
            }
        }
    }

    /**
     * @param  list<string>  $words  of a value
     * @return list<string> the same with the unit that it has left out, in the ways that numbers are written
     */
    public function beside(array $words): array
    {
        $number = $words === [] ? '' : $words[count($words) - 1];
        $before = implode(' ', array_slice($words, 0, -1));
        $units = $this->values[$before] ?? [];
        if (preg_match(self::NUMBER, $number) !== 1 || count($units) !== 1) {
            return [];
        }
        $unit = array_key_first($units);
        $whole = fn (string $written): string => ltrim("{$before} {$written} {$unit}");

        return $units[$unit] < ($before === '' ? self::ENOUGH : self::ENOUGH_BESIDE)
            ? []
            : [$whole($number), $whole(strtr($number, ',', '.')), $whole(strtr($number, '.', ','))];
    }
}
