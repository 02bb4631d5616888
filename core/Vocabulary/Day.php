<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use DateTimeImmutable;
use DateTimeZone;

/** A calendar day as ISO 8601 writes it (2026-11-30), kept as a number that can be counted and compared. */
final class Day
{
    /** @return int|null days since 1970-01-01; null for a text that is no day, such as 2026-02-30 */
    public static function number(string $text): ?int
    {
        $day =
            preg_match('/^\d{4}-\d{2}-\d{2}$/D', $text) === 1
                ? DateTimeImmutable::createFromFormat('!Y-m-d', $text, new DateTimeZone('UTC'))
                : false;

        return $day === false || $day->format('Y-m-d') !== $text ? null : intdiv($day->getTimestamp(), 86400);
    }

    /** @param  float  $number  days since 1970-01-01 */
    public static function text(float $number): string
    {
        return gmdate('Y-m-d', (int) $number * 86400);
    }
}
