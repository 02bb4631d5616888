<?php

declare(strict_types=1);

namespace App\Data;

use App\Support\Refused;
use Closure;
use Illuminate\Encryption\Encrypter;

/** Makes the data directory what this version of Lokum expects: created when missing, nobody else's to read, its databases up to date. */
final class Setup
{
    private const DIRECTORIES = ['', '/feeds', '/inbox', '/editions', '/pictures'];

    private const FILES = [
        'app.key',
        'schema',
        'catalog.sqlite',
        'catalog.sqlite-wal',
        'catalog.sqlite-shm',
        'runtime.sqlite',
        'runtime.sqlite-wal',
        'runtime.sqlite-shm',
    ];

    /** @param  (Closure(string): mixed)|null  $say  gets what whoever stands at the terminal should know */
    public static function ensure(?Closure $say = null): void
    {
        $data = (string) config('lokum.data');
        if (is_dir($data) && ! is_writable($data)) {
            ReadOnlyCatalog::open($data);

            return;
        }
        foreach (self::DIRECTORIES as $below) {
            if (! is_dir($data.$below) && ! @mkdir($data.$below, 0700, true) && ! is_dir($data.$below)) {
                throw new Refused(
                    "The directory \"{$data}{$below}\" cannot be made. Is the disk full, or the directory above it somebody else's?",
                );
            }
        }
        self::keepToItself($data);
        self::ensureKey($data.'/app.key', $say ?? fn () => null);
        Migrations::bringUpToDate($data, $say ?? fn () => null);
        self::keepToItself($data);
    }

    /** Whatever they were: what lies in the data directory is for its owner alone. */
    private static function keepToItself(string $data): void
    {
        foreach (self::DIRECTORIES as $below) {
            if ((fileperms($data.$below) & 0777) !== 0700) {
                @chmod($data.$below, 0700);
            }
        }
        foreach (self::FILES as $file) {
            if (is_file("{$data}/{$file}") && (fileperms("{$data}/{$file}") & 0777) !== 0600) {
                @chmod("{$data}/{$file}", 0600);
            }
        }
        foreach (glob("{$data}/{feeds,editions,pictures}/*", GLOB_BRACE) ?: [] as $file) {
            if ((fileperms($file) & 0077) !== 0) {
                @chmod($file, 0600);
            }
        }
    }

    /** @param  Closure(string): mixed  $say */
    private static function ensureKey(string $file, Closure $say): void
    {
        $key = is_file($file) ? trim((string) file_get_contents($file)) : null;
        if ($key === null || $key === '') {
            if ($key !== null) {
                $say(
                    'app.key was empty, so a new one was made: everybody signs in anew, and receivers of notices have to be added anew.',
                );
            }
            // Written aside and linked, so that of several first starts at once all have the same.
            $aside = "{$file}.".bin2hex(random_bytes(4));
            if (@file_put_contents($aside, 'base64:'.base64_encode(Encrypter::generateKey('AES-256-CBC'))) === false) {
                throw new Refused("\"{$file}\" cannot be written. Is the disk full?");
            }
            chmod($aside, 0600);
            if ($key === '') {
                rename($aside, $file);
            } else {
                @link($aside, $file);
            }
            @unlink($aside);
            $key = trim((string) file_get_contents($file));
        }
        $bytes = base64_decode((string) preg_replace('/^base64:/', '', $key), true);
        if ($bytes === false || ! Encrypter::supported($bytes, 'AES-256-CBC')) {
            throw new Refused(
                "\"{$file}\" holds no key. Put back the one from a backup, or remove the file and have a new one made.",
            );
        }
        config(['app.key' => $key]);
    }
}
