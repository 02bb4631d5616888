<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Data\ManyRows;
use Illuminate\Support\Facades\DB;
use PDO;

/**
 * Where a feed's rows stand while they are judged: temporary tables of this connection, on disk when they grow. Nobody else
 * sees them, they lock nothing, and they are gone when the connection is, however it ends.
 */
final class Staging
{
    private const TABLES = [
        'staged_rows' => 'line INTEGER PRIMARY KEY, sku TEXT NOT NULL, parent TEXT, hash TEXT NOT NULL, same INTEGER NOT NULL,
            item_id INTEGER, name TEXT, category TEXT, also TEXT, price REAL, currency TEXT, stock INTEGER, description TEXT, image TEXT,
            parent_id INTEGER, changed INTEGER NOT NULL DEFAULT 0',
        'staged_cells' => 'line INTEGER NOT NULL, col INTEGER NOT NULL, text_id INTEGER NOT NULL, PRIMARY KEY (line, col, text_id)',
        'staged_texts' => 'id INTEGER PRIMARY KEY, col INTEGER NOT NULL, text TEXT NOT NULL, key TEXT, spelling_id INTEGER,
            value_id INTEGER, number REAL, problem TEXT, fate TEXT',
        'staged_columns' => 'col INTEGER PRIMARY KEY, definition_id INTEGER NOT NULL, level TEXT NOT NULL',
        'staged_others' => 'item_id INTEGER PRIMARY KEY',
        'staged_gone' => 'item_id INTEGER PRIMARY KEY',
        'staged_moves' => 'item_id INTEGER PRIMARY KEY',
        'staged_refusals' => 'line INTEGER NOT NULL, sku TEXT, "column" TEXT NOT NULL, reason TEXT NOT NULL',
    ];

    public readonly PDO $pdo;

    /** @var array<string, ManyRows> rows to be written, by table and columns */
    private array $waiting = [];

    /** @var array<string, \PDOStatement> */
    private array $statements = [];

    public function __construct()
    {
        $this->pdo = DB::connection()->getPdo();
        $this->drop();
        foreach (self::TABLES as $table => $columns) {
            $this->pdo->exec(
                "CREATE TEMP TABLE {$table} ({$columns})".(str_contains($columns, 'PRIMARY KEY (') ? ' WITHOUT ROWID' : ''),
            );
        }
    }

    /** @param  list<mixed>  $row  in the order of the table's columns, without those at the end that nothing is known of */
    public function add(string $table, array $row): void
    {
        $count = count($row);
        $rows = $this->waiting[$table.$count] ??= new ManyRows(
            $this->pdo,
            "temp.{$table} (".implode(', ', self::columns($table, $count)).')',
        );
        $rows->add(...$row);
    }

    /** Writes what is waiting, and makes the indexes that the judging needs. */
    public function settle(): void
    {
        foreach ($this->waiting as $rows) {
            $rows->end();
        }
        $this->pdo->exec(
            'CREATE INDEX temp.staged_rows_sku ON staged_rows(sku); CREATE INDEX temp.staged_rows_parent ON staged_rows(parent)
                WHERE parent IS NOT NULL',
        );
    }

    /** @param  list<mixed>  $values */
    public function run(string $sql, array $values = []): int
    {
        $statement = $this->statements[$sql] ??= $this->pdo->prepare($sql);
        $statement->execute($values);

        return $statement->rowCount();
    }

    /**
     * @param  list<mixed>  $values
     * @return iterable<array<string, mixed>>
     */
    public function rows(string $sql, array $values = []): iterable
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($values);
        while (($row = $statement->fetch(PDO::FETCH_ASSOC)) !== false) {
            yield $row;
        }
    }

    /** @param  list<mixed>  $values */
    public function number(string $sql, array $values = []): int
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($values);

        return (int) $statement->fetchColumn();
    }

    /** @throws \Throwable whatever the work throws; everything it staged is then still there, the catalog untouched */
    public function transaction(\Closure $work): void
    {
        // Deferred: it writes temporary tables only, so it never asks for the catalog's write lock.
        $this->pdo->exec('BEGIN DEFERRED');
        try {
            $work();
        } finally {
            $this->pdo->exec('COMMIT');
        }
    }

    public function drop(): void
    {
        foreach (array_keys(self::TABLES) as $table) {
            $this->pdo->exec("DROP TABLE IF EXISTS temp.{$table}");
        }
    }

    /** @return list<string> the first ones of a table */
    private static function columns(string $table, int $count): array
    {
        $names = array_map(fn (string $column): string => explode(' ', trim($column))[0], explode(',', self::TABLES[$table]));

        return array_slice($names, 0, $count);
    }
}
