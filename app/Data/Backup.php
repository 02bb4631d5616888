<?php

declare(strict_types=1);

namespace App\Data;

use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/**
 * A whole copy of a catalog, taken while it is in use: the database as of one moment, editions, suppliers' files, pictures and the
 * key, with a list of what belongs to it, so that a copy that is not whole is never restored.
 */
final class Backup
{
    /** feeds/12.csv, editions/7-0f3a.sqlite, catalog.sqlite */
    private const FILES = '#^(?:(?:feeds|editions|pictures)/[^/]+|catalog\.sqlite|app\.key)$#D';

    private const LIST = 'backup.json';

    private const FOLDERS = ['feeds', 'editions', 'pictures'];

    /**
     * @return array{files: int, bytes: int}
     *
     * @throws Refused
     */
    public static function make(string $to): array
    {
        $data = (string) config('lokum.data');
        if (file_exists($to) && (! is_dir($to) || (glob("{$to}/*") ?: []) !== [])) {
            throw new Refused("\"{$to}\" is there already, and not empty. Name a new directory.");
        }
        self::directory($to);
        try {
            DB::connection('catalog')->statement('VACUUM INTO ?', ["{$to}/catalog.sqlite"]);
            $files = ['catalog.sqlite', 'app.key'];
            self::copy("{$data}/app.key", "{$to}/app.key");
            foreach (self::FOLDERS as $folder) {
                self::directory("{$to}/{$folder}");
                foreach (glob("{$data}/{$folder}/*") ?: [] as $path) {
                    // What is being made or worked on belongs to nobody yet; an old edition may go meanwhile.
                    if (
                        is_file($path) &&
                        preg_match('/\.(?:part|lock)$|\/lock$/', $path) !== 1 &&
                        self::copy($path, "{$to}/{$folder}/".basename($path), mayGo: $folder === 'editions')
                    ) {
                        $files[] = "{$folder}/".basename($path);
                    }
                }
            }
            if (! self::isSound("{$to}/catalog.sqlite")) {
                throw new Refused('The copy of the catalog is damaged, so the catalog may be. Nothing was kept.');
            }
            $list = [];
            foreach ($files as $file) {
                chmod("{$to}/{$file}", 0600);
                $list[$file] = [
                    'bytes' => (int) filesize("{$to}/{$file}"),
                    'sha256' => (string) hash_file('sha256', "{$to}/{$file}"),
                ];
            }
            $json = (string) json_encode(
                ['made_at' => date(DATE_ATOM), 'files' => $list],
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            );
            // The list comes last: without it a backup is none.
            if (file_put_contents("{$to}/".self::LIST, $json) !== strlen($json)) {
                throw new Refused('The disk is full. The backup was not made.');
            }

            return ['files' => count($list), 'bytes' => array_sum(array_column($list, 'bytes'))];
        } catch (\Throwable $why) {
            self::remove($to);
            throw $why;
        }
    }

    /**
     * Puts a backup into the data directory, which has to be empty or new; what is there is moved aside where that is said.
     *
     * @return array{files: int, aside: string|null}
     *
     * @throws Refused for a backup that is not whole
     */
    public static function restore(string $from, string $data, bool $replace): array
    {
        $list = self::list($from);
        $aside = null;
        if ((glob("{$data}/*") ?: []) !== []) {
            if (! $replace) {
                throw new Refused(
                    "There is something in \"{$data}\" already. Choose another directory with LOKUM_DATA, or move it aside with --replace.",
                );
            }
            $aside = rtrim($data, '/').'.before-'.date('Ymd-His');
            if (! rename($data, $aside)) {
                throw new Refused("\"{$data}\" cannot be moved aside.");
            }
        }
        $new = rtrim($data, '/').'.restoring-'.bin2hex(random_bytes(4));
        try {
            self::directory($new);
            foreach (['', ...self::FOLDERS, 'inbox'] as $folder) {
                self::directory("{$new}/{$folder}");
            }
            foreach (array_keys($list) as $file) {
                self::copy("{$from}/{$file}", "{$new}/{$file}");
                chmod("{$new}/{$file}", 0600);
            }
            if (is_dir($data)) {
                rmdir($data);
            }
            if (! rename($new, $data)) {
                throw new Refused("\"{$data}\" cannot be made.");
            }
        } catch (\Throwable $why) {
            self::remove($new);
            if ($aside !== null) {
                rename($aside, $data);
            }
            throw $why;
        }

        return ['files' => count($list), 'aside' => $aside];
    }

    /** @return array<string, array{bytes: int, sha256: string}> by file, each as it was written */
    private static function list(string $from): array
    {
        $read = json_decode((string) @file_get_contents("{$from}/".self::LIST), true);
        $list =
            is_array($read) && is_array($read['files'] ?? null)
                ? $read['files']
                : throw new Refused("\"{$from}\" is no backup: it has no ".self::LIST.'.');
        foreach ($list as $file => $is) {
            $path = "{$from}/{$file}";
            if (
                preg_match(self::FILES, (string) $file) !== 1 ||
                ! is_file($path) ||
                filesize($path) !== ($is['bytes'] ?? null) ||
                hash_file('sha256', $path) !== ($is['sha256'] ?? null)
            ) {
                throw new Refused("The backup is not whole: {$file} is missing or not as it was written. Nothing was restored.");
            }
        }
        if (! (isset($list['catalog.sqlite'], $list['app.key']) && self::isSound("{$from}/catalog.sqlite"))) {
            throw new Refused('The catalog in the backup is damaged. Nothing was restored.');
        }

        return $list;
    }

    private static function isSound(string $database): bool
    {
        $check = ReadOnlyFile::open($database)->query('PRAGMA integrity_check');

        return $check !== false && $check->fetchColumn() === 'ok';
    }

    private static function copy(string $from, string $to, bool $mayGo = false): bool
    {
        if (! @copy($from, $to) || filesize($to) !== @filesize($from)) {
            if ($mayGo && ! is_file($from)) {
                @unlink($to);

                return false;
            }
            throw new Refused('"'.basename($from).'" cannot be copied. Is the disk full?');
        }

        return true;
    }

    private static function directory(string $path): void
    {
        if (! (is_dir($path) || @mkdir($path, 0700, true))) {
            throw new Refused("The directory \"{$path}\" cannot be made.");
        }
    }

    /** Only what a backup consists of. */
    private static function remove(string $path): void
    {
        foreach ([...self::FOLDERS, 'inbox', ''] as $folder) {
            array_map(fn (string $file) => is_file($file) && @unlink($file), glob("{$path}/{$folder}/*") ?: []);
            @rmdir(rtrim("{$path}/{$folder}", '/'));
        }
    }
}
