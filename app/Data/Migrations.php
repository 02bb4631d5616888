<?php

declare(strict_types=1);

namespace App\Data;

use App\Support\Refused;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Brings the databases up to date: one process at a time, each database in one transaction, so that a kill leaves it as it was. Before
 * a catalog that is in use is changed, a copy of it is kept.
 */
final class Migrations
{
    /** Migrations of each database, below database/migrations. */
    private const DATABASES = ['catalog' => '', 'runtime' => '/runtime'];

    private const COPIES = 3;

    /** @param  Closure(string): mixed  $say */
    public static function bringUpToDate(string $data, Closure $say): void
    {
        $stamp = self::stamp();
        if (self::isUpToDate($data, $stamp)) {
            return;
        }
        $lock = @fopen("{$data}/setup.lock", 'c');
        if ($lock === false || ! flock($lock, LOCK_EX)) {
            throw new Refused("\"{$data}/setup.lock\" cannot be opened. Is the disk full?");
        }
        try {
            // Another start may have done it meanwhile.
            clearstatcache();
            if (! self::isUpToDate($data, self::stamp())) {
                self::run($data, $stamp, $say);
            }
        } finally {
            fclose($lock);
        }
    }

    /** @param  Closure(string): mixed  $say */
    private static function run(string $data, string $stamp, Closure $say): void
    {
        foreach (self::DATABASES as $name => $below) {
            $file = "{$data}/{$name}.sqlite";
            if (! is_file($file)) {
                touch($file);
            }
            chmod($file, 0600);
            if ($name === 'catalog' && self::isBehind($name)) {
                self::keepCopy($data, $say);
            }
            DB::connection($name)->transaction(
                fn () => Artisan::call('migrate', [
                    '--database' => $name,
                    '--path' => "database/migrations{$below}",
                    '--force' => true,
                ]),
            );
        }
        if (@file_put_contents("{$data}/schema", $stamp, LOCK_EX) !== strlen($stamp)) {
            @unlink("{$data}/schema");
            throw new Refused("\"{$data}/schema\" cannot be written. Is the disk full?");
        }
    }

    private static function isUpToDate(string $data, string $stamp): bool
    {
        return is_file("{$data}/catalog.sqlite") &&
            is_file("{$data}/runtime.sqlite") &&
            is_file("{$data}/schema") &&
            file_get_contents("{$data}/schema") === $stamp;
    }

    /** Whether there is something to change in what somebody uses already. */
    private static function isBehind(string $name): bool
    {
        $schema = DB::connection($name)->getSchemaBuilder();

        return $schema->hasTable('migrations') &&
            DB::connection($name)->table('migrations')->count() < count(glob(database_path('migrations/*.php')) ?: []) &&
            DB::connection($name)->table('migrations')->exists();
    }

    /** @param  Closure(string): mixed  $say */
    private static function keepCopy(string $data, Closure $say): void
    {
        $copy = "{$data}/before-update-".date('Ymd-His').'.sqlite';
        $part = "{$data}/before-update.part";
        if (is_file($part)) {
            unlink($part);
        }
        try {
            DB::connection('catalog')->statement('VACUUM INTO ?', [$part]);
        } catch (Throwable $why) {
            @unlink($part);
            throw $why;
        }
        rename($part, $copy);
        chmod($copy, 0600);
        $copies = glob("{$data}/before-update-*.sqlite") ?: [];
        sort($copies);
        array_map(unlink(...), array_slice($copies, 0, -self::COPIES));
        $say("The catalog is brought up to date. As it was before it is kept in {$copy}.");
    }

    private static function stamp(): string
    {
        $files = [];
        foreach (self::DATABASES as $below) {
            array_push($files, ...array_map(basename(...), glob(database_path("migrations{$below}/*.php")) ?: []));
        }

        return md5(implode('|', $files));
    }
}
