<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

/** Numbers of a spreadsheet as people see them: dates as days, shares as per cent, leading zeros where the format has them. */
final class SheetNumber
{
    /** Formats of dates that have a number instead of a text (ECMA-376, 18.8.30), those of East Asian languages too. */
    private const DATES = [14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 36, 50, 51, 52, 53, 54, 55, 56, 57, 58];

    private const SHARES = [9, 10];

    private const SECONDS = 86400;

    /**
     * @param  string  $number  as it is stored
     * @param  string|int  $format  as text, or the number of one that every spreadsheet knows
     * @param  bool  $from1904  whether days count from 1904 (ECMA-376, 18.17.4.1)
     */
    public static function text(string $number, string|int $format, bool $from1904): string
    {
        if (! is_numeric($number)) {
            return $number;
        }
        // Texts in quotes, colors in brackets and escaped signs say nothing about what the number is.
        $code = is_int($format) ? '' : strtolower((string) preg_replace('/"[^"]*"|\[[^\]]*\]|\\\\./', '', explode(';', $format)[0]));

        return match (true) {
            in_array($format, self::DATES, true),
            $code !== '' && preg_match('/[dy]/', $code) === 1 && ! str_contains($code, '0') => self::day((float) $number, $from1904),
            in_array($format, self::SHARES, true), str_contains($code, '%') => self::plain((string) round((float) $number * 100, 10)).' %',
            preg_match('/^0{2,}$/D', $code) === 1 && ctype_digit($number) => str_pad($number, strlen($code), '0', STR_PAD_LEFT),
            default => self::plain($number),
        };
    }

    /** @param  float  $serial  days since the end of 1899 (the 29th of February 1900 is counted, which there was not), or 1904 */
    private static function day(float $serial, bool $from1904): string
    {
        $days = floor($serial) + ($from1904 ? 1462 : 0);
        $seconds = (int) round(($serial - floor($serial)) * self::SECONDS);
        $at = (int) (($days - 25569 + ($days < 60 ? 1 : 0)) * self::SECONDS);

        return gmdate('Y-m-d', $at).($seconds === 0 ? '' : ' '.gmdate('H:i:s', $seconds));
    }

    /** Without an exponent, and without what binary fractions add. */
    private static function plain(string $number): string
    {
        if (preg_match('/^-?\d+$/D', $number) === 1) {
            return $number;
        }
        $shortest = (string) json_encode((float) $number);

        return preg_match('/[eE]/', $shortest) === 1
            ? rtrim(rtrim(sprintf('%.12F', (float) $number), '0'), '.')
            : $shortest;
    }
}
