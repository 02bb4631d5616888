<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use IntlDateFormatter;
use Lokum\Text\StrictKey;

/** Names of months in the languages that Lokum reads, from the Unicode CLDR, which the intl extension carries. */
final class MonthNames
{
    public const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl'];

    /** Alone ("Januar"), within a date ("de enero"), and short ("Jan."). */
    private const FORMS = ['LLLL', 'MMMM', 'LLL', 'MMM'];

    /** @return list<string> twelve strict keys, as the months are called alone */
    public static function in(string $language): array
    {
        return self::said($language, self::FORMS[0]);
    }

    /** @return int|null 1 to 12; null for a word that is no month */
    public static function known(string $word): ?int
    {
        /** @var array<string, int>|null $months */
        static $months = null;
        if ($months === null) {
            $months = [];
            foreach (self::LANGUAGES as $language) {
                foreach (self::FORMS as $form) {
                    foreach (self::said($language, $form) as $i => $name) {
                        $months[rtrim($name, '.')] ??= $i + 1;
                    }
                }
            }
        }

        return $months[rtrim(StrictKey::of($word), '.')] ?? null;
    }

    /** @return list<string> */
    private static function said(string $language, string $form): array
    {
        $formatter = new IntlDateFormatter($language, pattern: $form, timezone: 'UTC');

        return array_map(
            fn (int $month): string => StrictKey::of((string) $formatter->format((int) gmmktime(0, 0, 0, $month, 15, 2026))),
            range(1, 12),
        );
    }
}
