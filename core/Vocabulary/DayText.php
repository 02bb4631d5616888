<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Text\Unicode;

/**
 * Dates in the ways people write them: 2026-11-30, 30.11.2026, 30/11/2026, 30 November 2026, Nov 30, 2026, 30. November 2026,
 * 30 de noviembre de 2026. Digits with dots are day first (common practice); with slashes or hyphens the numbers tell, or the
 * order that somebody has said.
 */
final class DayText
{
    /** 5/1/2023, 05-01-2023, 5. 1. 2023 */
    public const DIGITS = '~^(?<one>\d{1,2})\s*(?<mark>[./-])\s*(?<two>\d{1,2})\s*\k<mark>\s*(?<year>\d{4})$~D';

    /** 2023/1/5, 2023.01.05 */
    private const YEAR_FIRST = '~^(?<year>\d{4})\s*[./-]\s*(?<month>\d{1,2})\s*[./-]\s*(?<day>\d{1,2})$~D';

    /** 5 January 2023, 5th of Jan. 2023, 5. Januar 2023, 5 de enero de 2023, 1er mars 2023 */
    private const MONTH_SECOND = '~^(?<day>\d{1,2})(?:st|nd|rd|th|er|re|º|°|\.)?[\s-]+(?:of\s+|de\s+)?'.
        '(?<month>\pL+)\.?,?[\s-]+(?:de\s+)?(?<year>\d{4})$~uiD';

    /** January 5, 2023; Jan. 5th 2023 */
    private const MONTH_FIRST = '~^(?<month>\pL+)\.?\s+(?<day>\d{1,2})(?:st|nd|rd|th)?,?\s+(?<year>\d{4})$~uiD';

    /**
     * @param  DayOrder|null  $order  of digits with slashes or hyphens; null: nobody has said
     * @return int days since 1970-01-01
     *
     * @throws UnreadableDay
     */
    public static function read(string $text, ?DayOrder $order = null): int
    {
        $plain = trim((string) preg_replace('/[\s\p{Z}]+/u', ' ', Unicode::digits($text)));
        if (preg_match(self::DIGITS, $plain, $part) === 1) {
            $order = DayOrder::in($plain) ?? ($part['mark'] === '.' ? DayOrder::DayFirst : $order);
            $year = (int) $part['year'];
            $dayFirst = self::number($year, (int) $part['two'], (int) $part['one']);
            $monthFirst = self::number($year, (int) $part['one'], (int) $part['two']);
            if ($order === null && $dayFirst !== null && $monthFirst !== null && $dayFirst !== $monthFirst) {
                throw UnreadableDay::couldBeTwo($plain, $dayFirst, $monthFirst);
            }

            return ($order === DayOrder::MonthFirst ? $monthFirst : $dayFirst) ?? throw UnreadableDay::none($text);
        }
        foreach ([self::YEAR_FIRST, self::MONTH_SECOND, self::MONTH_FIRST] as $form) {
            if (preg_match($form, $plain, $part) === 1) {
                $month = ctype_digit($part['month']) ? (int) $part['month'] : MonthNames::known($part['month']) ?? 0;

                return self::number((int) $part['year'], $month, (int) $part['day']) ?? throw UnreadableDay::none($text);
            }
        }
        throw UnreadableDay::none($text);
    }

    private static function number(int $year, int $month, int $day): ?int
    {
        return Day::number(sprintf('%04d-%02d-%02d', $year, $month, $day));
    }
}
