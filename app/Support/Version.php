<?php

declare(strict_types=1);

namespace App\Support;

/** Which Lokum this is: the newest heading of CHANGELOG.md. */
final class Version
{
    /** "## 0.16.0", but not "## Unreleased" */
    private const HEADING = '/^## (\d\S*)/m';

    public static function current(): string
    {
        preg_match(self::HEADING, (string) file_get_contents(base_path('CHANGELOG.md')), $found);

        return $found[1] ?? 'unknown';
    }
}
