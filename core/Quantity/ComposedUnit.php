<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/** Units made of others: m², g/cm³, l/min, N·m, sq ft, lm per W. */
final class ComposedUnit
{
    /** Between units: kg/m2, N·m, W.h */
    private const JOINED = '/\s*([\/·*⋅]|(?<=[a-z\]])\.(?=[a-z\[]))\s*/iu';

    private const PARTS = 6;

    private const POWERS = [
        '²' => 2,
        '³' => 3,
        '^2' => 2,
        '^3' => 3,
        '2' => 2,
        '3' => 3,
    ];

    /** A unit written as a quotient or power of known ones ("g/m2", "km per hour", "m³"); null where a part is unknown. */
    public static function find(string $text): ?Unit
    {
        $text = (string) preg_replace('/\s+per\s+/u', '/', $text);
        if ($text === '' || strlen($text) > 60 || preg_match('/^[\d.]/', $text) === 1) {
            return null;
        }
        $unit = null;
        $parts = preg_split(self::JOINED, $text, self::PARTS, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        for ($i = 0; $i < count($parts); $i += 2) {
            $part = self::power($parts[$i]) ?? (mb_strlen($parts[$i]) > 1 ? self::power(mb_strtolower($parts[$i])) : null);
            if ($part === null) {
                return null;
            }
            $unit = $unit === null ? $part : self::times($unit, $part, $parts[$i - 1] === '/' ? -1 : 1);
        }

        return $unit;
    }

    /** One unit with its power: m2, cm³, square metre. */
    private static function power(string $text): ?Unit
    {
        if (preg_match('/^(sq(?:uare)?|cu(?:bic)?)\.? (.+)$/ui', $text, $part) === 1) {
            return self::raised($part[2], str_starts_with(mb_strtolower($part[1]), 's') ? 2 : 3);
        }
        if (preg_match('/^(.+?)(²|³|\^?[23])$/u', $text, $part) === 1) {
            return self::raised($part[1], self::POWERS[$part[2]]);
        }

        return UnitTable::get()->named($text);
    }

    private static function raised(string $name, int $power): ?Unit
    {
        $unit = UnitTable::get()->named($name);
        if ($unit === null || $unit->offset !== null) {
            return null;
        }

        return new Unit(
            $unit->symbol.['', '', '²', '³'][$power],
            array_map(fn (int $of): int => $of * $power, $unit->powers),
            $unit->factor->power($power),
            $unit->ucum.$power,
        );
    }

    private static function times(Unit $unit, Unit $other, int $sign): ?Unit
    {
        if ($unit->offset !== null || $other->offset !== null) {
            return null;
        }
        $powers = $unit->powers;
        foreach ($other->powers as $base => $power) {
            $powers[$base] = ($powers[$base] ?? 0) + $sign * $power;
        }
        ksort($powers);
        $between = $sign === 1 ? ['·', '.'] : ['/', '/'];

        return new Unit(
            $unit->symbol.$between[0].$other->symbol,
            array_filter($powers, fn (int $power): bool => $power !== 0),
            $sign === 1 ? $unit->factor->multipliedBy($other->factor) : $unit->factor->dividedBy($other->factor),
            $unit->ucum.$between[1].$other->ucum,
        );
    }
}
