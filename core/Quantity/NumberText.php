<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Lokum\Text\Unicode;

/**
 * Numbers as people write them (C4): 1.5  1,5  1 500  1,500.25  1.500,25  1½  1 1/2  1-1/2  -3  +3.
 *
 * A single comma or point followed by anything but exactly three digits is a decimal mark. "1,500" and "1.500" could be
 * either; a comma there groups thousands and a point is decimal, as in English.
 */
final class NumberText
{
    private const FRACTIONS = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
        '⅙' => '1/6',
        '⅚' => '5/6',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
    ];

    /** What fractions of measures are written over (common practice). */
    private const UNDER = [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 16, 20, 32, 64, 100, 128];

    /** From here on nobody writes a fraction: 5/4 and 3/2 are, 10/3 is two numbers. */
    private const MOST_WHOLES = 3;

    private const PATTERN = '/^([+-]?)(?:(\d+)[ -](\d+)\/(\d+)(?![\d.,])|(\d+)\/(\d+)|(\d{1,3}(?:[ '.
        '\']\d{3})+(?:[.,]\d+)?|\d[\d.,]*|[.,]\d+))/u';

    /**
     * Reads the number at the start of a text and says what is behind it.
     *
     * @return array{0: BigRational, 1: string} the exact number and the rest, trimmed
     *
     * @throws UnreadableQuantity
     */
    public static function leading(string $text): array
    {
        $plain = (string) preg_replace('/[\s\p{Z}]+/u', ' ', trim(Unicode::digits($text)));
        $plain = str_replace(
            ["\u{2212}", "\u{2044}"],
            ['-', '/'],
            (string) preg_replace('/(?<=\d)\x{2019}(?=\d{3})/u', "'", $plain),
        );
        foreach (self::FRACTIONS as $sign => $fraction) {
            $plain = trim(str_replace([" {$sign}", $sign], " {$fraction}", $plain));
        }
        if (preg_match(self::PATTERN, $plain, $part, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw UnreadableQuantity::notANumber($text);
        }
        $number = match (true) {
            ($part[2] ?? null) !== null => self::fraction((string) $part[3], (string) $part[4], $text)->plus($part[2]),
            ($part[5] ?? null) !== null => self::fraction($part[5], (string) $part[6], $text),
            default => self::decimal((string) $part[7], $text),
        };

        return [$part[1] === '-' ? $number->negated() : $number, trim(substr($plain, strlen($part[0])))];
    }

    /**
     * A fraction as trades write them: 3/8, 5/4, 1/250. Two numbers beside each other are none: 12/24 V, 30/30 mm, 18/10.
     *
     * @throws UnreadableQuantity
     */
    private static function fraction(string $over, string $under, string $text): BigRational
    {
        $number = (int) $under === 0 ? throw UnreadableQuantity::notANumber($text) : BigRational::nd($over, $under);
        $isOne =
            $over === '1' ||
            (in_array((int) $under, self::UNDER, true) &&
                (string) $number->simplified()->getDenominator() === $under &&
                $number->isLessThan(self::MOST_WHOLES));

        return $isOne ? $number : throw UnreadableQuantity::notANumber($text);
    }

    private static function decimal(string $digits, string $text): BigRational
    {
        $digits = str_replace([' ', "'"], '', $digits);
        // A code such as 007 is not the number 7.
        if (preg_match('/^0\d/', $digits) === 1 || strlen($digits) > 40) {
            throw UnreadableQuantity::notANumber($text);
        }
        $digits = match (true) {
            preg_match('/^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/D', $digits) === 1 => str_replace(',', '', $digits),
            preg_match('/^\d{1,3}(?:\.\d{3})+,\d+$/D', $digits) === 1,
            preg_match('/^\d{1,3}(?:\.\d{3}){2,}$/D', $digits) === 1 => str_replace(['.', ','], ['', '.'], $digits),
            preg_match('/^\d*[.,]?\d+$/D', $digits) === 1 => str_replace(',', '.', $digits),
            default => throw UnreadableQuantity::notANumber($text),
        };

        return BigDecimal::of($digits)->toBigRational();
    }
}
