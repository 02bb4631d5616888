<?php

declare(strict_types=1);

namespace App\Data;

use App\Refused;
use Illuminate\Database\Connectors\SQLiteConnector;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;

/** A catalog in a directory that cannot be written, or on a disk that is full: what only reads works on, what would write is refused. */
final class ReadOnlyCatalog extends SQLiteConnector
{
    public static function open(string $data): void
    {
        foreach (['catalog.sqlite', 'app.key'] as $file) {
            is_file("{$data}/{$file}") || throw new Refused("The data directory \"{$data}\" cannot be written, and there is no catalog in it.");
        }
        config([
            'database.connections.catalog.driver_options.read_only' => true, 'cache.default' => 'array', 'session.driver' => 'array',
            'app.key' => trim((string) file_get_contents("{$data}/app.key")),
        ]);
        DB::purge('catalog');
    }

    /** @param  array<string, mixed>  $config */
    public function connect(array $config)
    {
        if (($config['driver_options']['read_only'] ?? false) === true) {
            return self::asItIs($config);
        }
        try {
            $pdo = parent::connect($config);
            StorageProblem::isFull() && $pdo->query('SELECT 1 FROM sqlite_master');

            return $pdo;
        } catch (PDOException $failure) {
            return StorageProblem::isFull() ? self::asItIs($config) : throw $failure;
        }
    }

    /**
     * Nobody writes there, so without a journal the file is as it is; one that is there is read with it.
     *
     * @param  array<string, mixed>  $config
     */
    private static function asItIs(array $config): PDO
    {
        $hasJournal = (int) @filesize("{$config['database']}-wal") > 0;

        return new PDO(
            'sqlite:file:'.rawurlencode((string) $config['database']).'?mode=ro'.($hasJournal ? '' : '&immutable=1'),
            options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY | 0x40],
        );
    }
}
