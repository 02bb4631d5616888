<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/** A number as it is typed into a field or an address: digits with a decimal point or comma, no unit and no exponent. */
final class TypedNumber
{
    private const PATTERN = '/^[+-]?(?:\d{1,15}(?:\.\d{1,12})?|\.\d{1,12})$/D';

    /** @return float|null always finite, below 10¹⁵; null for an empty text and for anything that is no such number */
    public static function read(string $text): ?float
    {
        $plain = str_replace([',', "\u{2212}"], ['.', '-'], trim($text));

        return preg_match(self::PATTERN, $plain) === 1 ? (float) $plain : null;
    }
}
