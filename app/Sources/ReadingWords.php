<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\ReadingFigures;
use App\Models\Reading;

/** What a delivery brought, in one line of figures. */
final class ReadingWords
{
    public static function of(Reading $reading): string
    {
        $figures = ReadingFigures::judged($reading->figures ?? []);
        $parts = array_filter([
            'new' => $figures->new,
            'changed' => $figures->changed,
            'gone' => $figures->gone,
            'new values' => $figures->values,
            'rows refused' => $figures->refused,
        ]);

        return number_format($figures->rows).' rows: '.
            ($parts === []
                ? 'nothing is different'
                : implode(', ', array_map(fn (string $what, int $n): string => number_format($n)." {$what}", array_keys($parts), $parts))).
            '.';
    }
}
