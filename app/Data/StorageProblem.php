<?php

declare(strict_types=1);

namespace App\Data;

use PDOException;
use Throwable;

/** What a disk that is full, a directory that cannot be written and a damaged database are in words, with what to do. */
final class StorageProblem
{
    /** What SQLite says of a file that is broken */
    private const DAMAGED = '/malformed|not a database|disk I\/O error/';

    private const WORDS = [
        'database or disk is full' => 'The disk is full. Nothing was changed. Make room, then try again.',
        'No space left on device' => 'The disk is full. Nothing was changed. Make room, then try again.',
        'attempt to write a readonly database' => 'The data directory cannot be written. Nothing was changed. Make %s writable '.
        'for whoever runs Lokum.',
        'unable to open database file' => 'The database cannot be opened. Is %s there, and readable and writable for whoever runs Lokum?',
        'database disk image is malformed' => 'The catalog database is damaged. Stop Lokum and bring back a backup: bin/lokum '.
        'restore DIR. Shoppers are served meanwhile.',
        'file is not a database' => 'The catalog database is damaged. Stop Lokum and bring back a backup: bin/lokum restore '.
        'DIR. Shoppers are served meanwhile.',
        'disk I/O error' => 'The disk cannot be read or written. Nothing was changed. Look at the disk, then try again.',
        'database is locked' => 'Somebody else has been writing for too long. Nothing was changed. Try again.',
        'does not exist. Ensure this is an absolute path' => 'There is no catalog in %s. Any bin/lokum command makes one.',
    ];

    /** Less is as good as nothing: a database cannot even be opened. In bytes. */
    private const ROOM = 1 << 20;

    /** @return string|null null for a failure that is about something else */
    public static function inWords(Throwable $failure): ?string
    {
        for ($at = $failure; $at !== null; $at = $at->getPrevious()) {
            foreach (
                $at instanceof PDOException ||
                $at instanceof \ErrorException ||
                $at instanceof \RuntimeException ||
                $at instanceof \InvalidArgumentException
                    ? self::WORDS
                    : [] as $said => $words
            ) {
                if (str_contains($at->getMessage(), $said)) {
                    if (self::isFull() && ! str_contains($words, 'damaged')) {
                        $words = self::WORDS['No space left on device'];
                    }

                    return sprintf($words, (string) config('lokum.data'));
                }
            }
        }

        return null;
    }

    /**
     * Whether the disk under the data directory is full.
     *
     * @phpstan-impure
     */
    public static function isFull(): bool
    {
        $room = @disk_free_space((string) config('lokum.data'));

        return $room !== false && $room < self::ROOM;
    }

    /** Whether a file turned out to be damaged while it was read. */
    public static function isDamage(Throwable $failure): bool
    {
        return preg_match(self::DAMAGED, $failure->getMessage()) === 1;
    }
}
