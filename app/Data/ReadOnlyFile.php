<?php

declare(strict_types=1);

namespace App\Data;

use PDO;

/** A SQLite file opened to be read alone. Nobody writes it, so without a journal it is as it is; one that is there is read with it. */
final class ReadOnlyFile
{
    /** SQLITE_OPEN_URI, which PDO has no name for. */
    private const BY_ADDRESS = 0x40;

    public static function open(string $path): PDO
    {
        $hasJournal = (int) @filesize("{$path}-wal") > 0;

        return new PDO(
            'sqlite:file:'.rawurlencode($path).'?mode=ro'.($hasJournal ? '' : '&immutable=1'),
            options: [
                PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
                PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY | self::BY_ADDRESS,
            ],
        );
    }
}
