<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/** Which number comes first in dates of digits with slashes or hyphens: 05/01/2023 is 5 January, or May 1. */
enum DayOrder: string
{
    case DayFirst = 'day';
    case MonthFirst = 'month';

    public function label(): string
    {
        return $this === self::DayFirst ? 'day first: 05/01/2023 is 5 January' : 'month first: 05/01/2023 is 1 May';
    }

    /** As it is written in some texts: told by the first number that can be no month; null where none tells. */
    public static function in(string $text): ?self
    {
        if (preg_match(DayText::DIGITS, $text, $part) !== 1 || $part['mark'] === '.') {
            return null;
        }

        return match (true) {
            (int) $part['one'] > 12 && (int) $part['two'] <= 12 => self::DayFirst,
            (int) $part['two'] > 12 && (int) $part['one'] <= 12 => self::MonthFirst,
            default => null,
        };
    }
}
