<?php

declare(strict_types=1);

namespace App\Support;

use DateTimeInterface;
use Illuminate\Support\HtmlString;
use IntlDateFormatter;
use NumberFormatter;

/** How pages write numbers, money and texts with stray spaces, in the shop's language. */
final class Format
{
    /** Room that a reader would not see: before, behind, hard, or twice */
    private const ROOM = '/(^[\s\x{00A0}]+|[\s\x{00A0}]+$|\x{00A0}+|\s{2,})/u';

    public static function number(int|float $number): string
    {
        return (string) self::formatter(NumberFormatter::DECIMAL)->format($number);
    }

    /** How many more or fewer: +22,000, −3. */
    public static function difference(int $number): string
    {
        return ($number > 0 ? '+' : ($number < 0 ? '−' : '')).self::number(abs($number));
    }

    public static function money(?float $amount, ?string $currency): string
    {
        return $amount === null
            ? ''
            : (string) self::formatter(NumberFormatter::CURRENCY)->formatCurrency(
                $amount,
                $currency ?: (string) config('lokum.currency'),
            );
    }

    /** @return list<string> the shop's currency by its code and its sign */
    public static function currencyNames(): array
    {
        $code = (string) config('lokum.currency');

        return array_values(array_unique([$code, self::unit($code)]));
    }

    /** The sign of a currency, or a unit as it is. */
    public static function unit(string $unit): string
    {
        if (preg_match('/^[A-Z]{3}$/D', $unit) !== 1) {
            return $unit;
        }
        $formatter = new NumberFormatter(config('lokum.locale').'@currency='.$unit, NumberFormatter::CURRENCY);

        return $formatter->getSymbol(NumberFormatter::CURRENCY_SYMBOL) ?: $unit;
    }

    /** A moment in the shop's language, at the clock of its place. */
    public static function moment(DateTimeInterface $moment): string
    {
        return (string) (new IntlDateFormatter(
            (string) config('lokum.locale'),
            IntlDateFormatter::MEDIUM,
            IntlDateFormatter::SHORT,
            (string) config('lokum.timezone'),
        ))->format($moment);
    }

    public static function share(int $part, int $whole): int
    {
        return $whole === 0 ? 0 : (int) ($part === $whole ? 100 : min(99, round((100 * $part) / $whole)));
    }

    public static function count(int $count, string $one, ?string $many = null): string
    {
        return self::number($count).' '.($count === 1 ? $one : $many ?? $one.'s');
    }

    public static function bytes(int $bytes): string
    {
        return match (true) {
            $bytes < 1000 => $bytes.' B',
            $bytes < 1_000_000 => round($bytes / 1000).' kB',
            default => round($bytes / 1_000_000, 1).' MB',
        };
    }

    /** A text as it came in, with the spaces nobody would see marked: · at the ends or doubled, ⍽ no-break. */
    public static function spelling(string $text): HtmlString
    {
        $mark = fn (string $spaces): string => '<span class="stray" title="stray space">'.
            str_replace("\u{00A0}", '⍽', (string) preg_replace('/[^\S\x{00A0}]/u', '·', $spaces)).
            '</span>';
        $html = '';
        foreach (
            preg_split(self::ROOM, mb_scrub($text), -1, PREG_SPLIT_DELIM_CAPTURE) ?: [
                $text,
            ] as $i => $part
        ) {
            $html .= $i % 2 === 1 ? $mark($part) : e($part);
        }

        return new HtmlString($html);
    }

    private static function formatter(int $style): NumberFormatter
    {
        static $formatters = [];

        $locale = (string) config('lokum.locale');

        return $formatters["{$locale} {$style}"] ??= new NumberFormatter($locale, $style);
    }
}
