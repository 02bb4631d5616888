<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Reads measures into a field's unit. Exact rational arithmetic inside; only the result is rounded to a double. */
final class Quantity
{
    /**
     * The number in a field's unit. A text without a unit is taken to be in the field's own.
     *
     * @param  string|null  $field  the unit of the field, null for a bare number; one that Lokum does not know is
     *                              matched by its letters alone
     *
     * @throws UnreadableQuantity
     */
    public static function in(?string $field, string $text): float
    {
        [$number, $rest] = NumberText::leading($text);
        if ($rest !== '' && $rest !== $field) {
            $unit = Unit::of($rest);
            if ($field === null) {
                throw UnreadableQuantity::needsUnit($unit->symbol);
            }
            $wanted = Unit::of($field);
            if ($unit->dimension !== $wanted->dimension) {
                throw UnreadableQuantity::otherDimension($unit->symbol, $wanted->symbol);
            }
            $number = $number->multipliedBy($unit->factor)->dividedBy($wanted->factor);
        }
        $float = self::float($number);
        if (abs($float) > 1e15) {
            throw UnreadableQuantity::tooLarge($text);
        }

        return $float;
    }

    /** The nearest double to the exact number. */
    private static function float(BigRational $number): float
    {
        $simple = $number->simplified();
        if ($simple->getDenominator()->isEqualTo(1)) {
            return $simple->getNumerator()->toFloat();
        }

        return $simple->toScale(25, RoundingMode::HALF_EVEN)->toFloat();
    }
}
