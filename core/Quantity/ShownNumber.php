<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/**
 * A number of a field as people read it: in the field's unit, and where it came in another, as it came with that beside it:
 * "2 fl oz (59.1 ml)".
 */
final class ShownNumber
{
    private const DECIMALS = 3;

    /** Digits of a number that was converted: it was not written as exactly as it comes out. */
    private const SIGNIFICANT = 3;

    /**
     * @param  string  $text  as it came
     * @param  float  $number  what it was read as, in the field's unit
     * @param  string|null  $unit  of the field
     */
    public static function of(string $text, float $number, ?string $unit): string
    {
        if ($unit === null) {
            return trim($text);
        }
        try {
            $written = Unit::find(NumberText::leading(trim($text))[1]);
        } catch (UnreadableQuantity) {
            // Somebody has said what the text stands for.
            $written = null;
        }
        if ($written === null || $written->symbol === Unit::find($unit)?->symbol) {
            return self::rounded($number, self::DECIMALS)." {$unit}";
        }
        $whole = $number === 0.0 ? 1 : (int) floor(log10(abs($number))) + 1;

        return trim($text).' ('.self::rounded($number, max(0, self::SIGNIFICANT - $whole))." {$unit})";
    }

    private static function rounded(float $number, int $decimals): string
    {
        $written = number_format($number, $decimals, '.', '');

        return str_contains($written, '.') ? rtrim(rtrim($written, '0'), '.') : $written;
    }
}
