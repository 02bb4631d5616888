<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigRational;

/** Sheet sizes by name: the A, B and C series of ISO 216 and ISO 269, in whole millimetres. */
final class SheetSize
{
    /** A4, DIN A4, iso-c5, B 10 */
    private const SHEET = '/^(?:(?:DIN|ISO)[ -]?)?([ABC]) ?(10|\d)$/Di';

    /** Size 0 of each series, the longer side first. A half is cut across the longer side, and what is left of a millimetre is dropped. */
    private const LARGEST = ['A' => [1189, 841], 'B' => [1414, 1000], 'C' => [1297, 917]];

    /** The trimmed sizes by name: A4 is 210 x 297 mm, the shorter side first. Null where the text names none. */
    public static function find(string $text): ?Dimensions
    {
        if (preg_match(self::SHEET, $text, $part) !== 1) {
            return null;
        }
        [$long, $short] = self::LARGEST[strtoupper($part[1])];
        for ($cut = 0; $cut < (int) $part[2]; $cut++) {
            [$long, $short] = [$short, intdiv($long, 2)];
        }

        return new Dimensions(
            array_map(fn (int $mm): Quantity => new Quantity(BigRational::of($mm), Unit::of('mm')), [$short, $long]),
        );
    }
}
