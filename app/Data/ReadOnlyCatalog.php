<?php

declare(strict_types=1);

namespace App\Data;

use App\Support\Refused;
use Illuminate\Database\Connectors\SQLiteConnector;
use Illuminate\Support\Facades\DB;
use PDOException;

/** A catalog in a directory that cannot be written, or on a disk that is full: what only reads works on, what would write is refused. */
final class ReadOnlyCatalog extends SQLiteConnector
{
    public static function open(string $data): void
    {
        foreach (['catalog.sqlite', 'app.key'] as $file) {
            if (! is_file("{$data}/{$file}")) {
                throw new Refused("The data directory \"{$data}\" cannot be written, and there is no catalog in it.");
            }
        }
        config([
            'database.connections.catalog.driver_options.read_only' => true,
            'cache.default' => 'array',
            'session.driver' => 'array',
            'app.key' => trim((string) file_get_contents("{$data}/app.key")),
        ]);
        DB::purge('catalog');
    }

    /** @param  array<string, mixed>  $config */
    public function connect(array $config)
    {
        if (($config['driver_options']['read_only'] ?? false) === true) {
            return ReadOnlyFile::open((string) $config['database']);
        }
        try {
            $pdo = parent::connect($config);
            if (StorageProblem::isFull()) {
                $pdo->query('SELECT 1 FROM sqlite_master');
            }

            return $pdo;
        } catch (PDOException $failure) {
            return StorageProblem::isFull() ? ReadOnlyFile::open((string) $config['database']) : throw $failure;
        }
    }
}
