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
     * @param  int|null  $decimals  that the field's numbers are shown with, 0 to 6; null: as many as they need, at most 3
     */
    public static function of(string $text, float $number, ?string $unit, ?int $decimals = null): string
    {
        if ($unit === null) {
            return $decimals === null ? trim($text) : number_format($number, $decimals, '.', '');
        }
        try {
            $written = Unit::find(NumberText::leading(trim($text))[1]);
        } catch (UnreadableQuantity) {
            // Somebody has said what the text stands for.
            $written = null;
        }
        if ($written === null || $written->symbol === Unit::find($unit)?->symbol) {
            return self::written($number, $decimals, self::DECIMALS)." {$unit}";
        }
        $whole = $number === 0.0 ? 1 : (int) floor(log10(abs($number))) + 1;

        return trim($text).' ('.self::written($number, $decimals, max(0, self::SIGNIFICANT - $whole))." {$unit})";
    }

    private static function written(float $number, ?int $decimals, int $most): string
    {
        $written = number_format($number, $decimals ?? $most, '.', '');

        return $decimals === null && str_contains($written, '.') ? rtrim(rtrim($written, '0'), '.') : $written;
    }
}
