<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Editions\Blob;
use App\Support\Refused;
use PDO;

/** Writes an edition's file, beside the ones that are served. Nobody looks at it until it is finished and has its name. */
final class EditionWriter
{
    private const SCHEMA = '
        CREATE TABLE meta (key TEXT PRIMARY KEY, value TEXT NOT NULL) WITHOUT ROWID;
        CREATE TABLE categories (id INTEGER PRIMARY KEY, parent_id INTEGER, name TEXT NOT NULL, slug TEXT NOT NULL UNIQUE,
            path TEXT NOT NULL, depth INTEGER NOT NULL, products INTEGER NOT NULL, bits BLOB NOT NULL);
        CREATE TABLE attributes (id INTEGER PRIMARY KEY, slug TEXT NOT NULL UNIQUE, label TEXT NOT NULL, kind TEXT NOT NULL,
            level TEXT NOT NULL, help TEXT);
        CREATE TABLE terms (id INTEGER PRIMARY KEY, attribute_id INTEGER NOT NULL, position INTEGER NOT NULL, slug TEXT NOT NULL,
            label TEXT NOT NULL, look TEXT, products INTEGER NOT NULL, parent_id INTEGER, UNIQUE (attribute_id, slug));
        CREATE TABLE term_bits (id INTEGER PRIMARY KEY, bits BLOB NOT NULL);
        CREATE TABLE term_columns (attribute_id INTEGER NOT NULL, place INTEGER NOT NULL, terms TEXT NOT NULL, repeats BLOB,
            PRIMARY KEY (attribute_id, place)) WITHOUT ROWID;
        CREATE TABLE term_column_parts (attribute_id INTEGER NOT NULL, place INTEGER NOT NULL, block INTEGER NOT NULL,
            numbers BLOB NOT NULL, PRIMARY KEY (attribute_id, place, block));
        CREATE TABLE listing_counts (category_id INTEGER PRIMARY KEY, counts TEXT NOT NULL);
        CREATE TABLE numbers (field TEXT PRIMARY KEY, label TEXT NOT NULL, unit TEXT, level TEXT NOT NULL, numbers BLOB NOT NULL,
            present BLOB NOT NULL) WITHOUT ROWID;
        CREATE TABLE number_slices (field TEXT NOT NULL, digit INTEGER NOT NULL, bits BLOB NOT NULL, PRIMARY KEY (field,
            digit)) WITHOUT ROWID;
        CREATE TABLE lineups (id INTEGER PRIMARY KEY, settings TEXT NOT NULL);
        CREATE TABLE lineup_filters (lineup_id INTEGER NOT NULL, position INTEGER NOT NULL, settings TEXT NOT NULL,
            PRIMARY KEY (lineup_id, position)) WITHOUT ROWID;
        CREATE TABLE placements (page TEXT PRIMARY KEY, lineup_id INTEGER NOT NULL) WITHOUT ROWID;
        CREATE TABLE texts (field TEXT NOT NULL, bit INTEGER NOT NULL, folded TEXT NOT NULL);
        CREATE TABLE text_levels (field TEXT PRIMARY KEY, level TEXT NOT NULL, present BLOB) WITHOUT ROWID;
        CREATE TABLE redirects (attribute_id INTEGER NOT NULL, slug TEXT NOT NULL, leads_to INTEGER NOT NULL,
            PRIMARY KEY (attribute_id, slug)) WITHOUT ROWID;
        CREATE TABLE products (number INTEGER PRIMARY KEY, item INTEGER NOT NULL, sku TEXT NOT NULL, name TEXT NOT NULL,
            category_id INTEGER, price_from REAL, price_to REAL, currency TEXT, in_stock INTEGER, description TEXT, spellings TEXT);
        CREATE TABLE variants (product INTEGER NOT NULL, lane INTEGER NOT NULL, item INTEGER NOT NULL, sku TEXT NOT NULL, name TEXT,
            price REAL, stock INTEGER, spellings TEXT, PRIMARY KEY (product, lane)) WITHOUT ROWID;
        CREATE TABLE shown (id INTEGER PRIMARY KEY, definition INTEGER NOT NULL, level TEXT NOT NULL, label TEXT NOT NULL,
            text TEXT NOT NULL, colors TEXT, place INTEGER NOT NULL);
        CREATE TABLE search_texts (definition INTEGER NOT NULL, numbers BLOB NOT NULL, packed BLOB NOT NULL);
        CREATE TABLE shared_texts (id INTEGER PRIMARY KEY, definition INTEGER NOT NULL, folded TEXT NOT NULL);
        CREATE TABLE shared_carriers (text_id INTEGER PRIMARY KEY, bits BLOB NOT NULL);
        CREATE TABLE pages (term_id INTEGER PRIMARY KEY, attribute_id INTEGER NOT NULL, description TEXT, picture TEXT);
        CREATE TABLE orders (name TEXT NOT NULL, part INTEGER NOT NULL, numbers BLOB NOT NULL, ranks BLOB NOT NULL,
            PRIMARY KEY (name, part)) WITHOUT ROWID;';

    private PDO $pdo;

    /** @var array<string, \PDOStatement> */
    private array $statements = [];

    /** @param  PDO  $catalog  gets the file attached as "edition", for what is copied from table to table; not in a transaction yet */
    public function __construct(private readonly string $path, private readonly PDO $catalog)
    {
        @unlink($path);
        $this->catalog->prepare('ATTACH ? AS edition')->execute([$path]);
        // The file is thrown away when anything goes wrong before it is finished, so it needs no journal of its own.
        $this->catalog->exec('PRAGMA edition.journal_mode = OFF; PRAGMA edition.synchronous = OFF; PRAGMA edition.cache_size = -65536');
    }

    /** @param  string|null  $from  the file of an edition that it begins as a copy of; null: it begins empty */
    public function begin(?string $from): void
    {
        if ($from !== null && ! @copy($from, $this->path)) {
            throw new Refused('The file of the edition before cannot be copied. Is the disk full?');
        }
        $this->pdo = new PDO('sqlite:'.$this->path, options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $this->pdo->exec('PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF; PRAGMA page_size = 16384;');
        if ($from === null) {
            $this->pdo->exec(self::SCHEMA);
        }
        $this->pdo->exec('CREATE TEMP TABLE found_by (number INTEGER NOT NULL, folded TEXT NOT NULL)');
        $this->pdo->exec('BEGIN');
    }

    /**
     * @param  list<mixed>  $row
     * @return int its number in the table
     */
    public function insert(string $table, array $row): int
    {
        $this->statements[$table] ??= $this->pdo->prepare(
            "INSERT INTO {$table} VALUES (".implode(', ', array_fill(0, count($row), '?')).')',
        );
        $hasBytes = false;
        foreach ($row as $i => $value) {
            if (is_float($value)) {
                $row[$i] = var_export($value, true);
            } elseif ($value instanceof Blob) {
                $hasBytes = true;
            }
        }
        // Columns have types of their own, so that a number may come as text; only bytes have to be named as such.
        if (! $hasBytes) {
            $this->statements[$table]->execute($row);

            return (int) $this->pdo->lastInsertId();
        }
        foreach ($row as $i => $value) {
            $this->statements[$table]->bindValue(
                $i + 1,
                $value instanceof Blob ? $value->bytes : $value,
                $value instanceof Blob ? PDO::PARAM_LOB : PDO::PARAM_STR,
            );
        }
        $this->statements[$table]->execute();

        return (int) $this->pdo->lastInsertId();
    }

    /** Takes rows out again: those with a value in a column, or all of a table. */
    public function remove(string $table, ?string $column = null, int|string|null $value = null): void
    {
        if ($column === null) {
            $this->pdo->exec("DELETE FROM {$table}");
        } else {
            $this->pdo->prepare("DELETE FROM {$table} WHERE {$column} = ?")->execute([$value]);
        }
    }

    /** Takes the sets out of who carries the texts of a definition. */
    public function removeCarriers(int $definition): void
    {
        $this->pdo->exec("DELETE FROM shared_carriers WHERE text_id IN (SELECT id FROM shared_texts WHERE definition = {$definition})");
    }

    /** @param  string  $where  in SQL */
    public function count(string $table, string $where): int
    {
        $counted = $this->pdo->query("SELECT COUNT(*) FROM {$table} WHERE {$where}");

        return $counted === false ? 0 : (int) $counted->fetchColumn();
    }

    /** @return iterable<list<mixed>> what was put into a table, in the words of a question */
    public function rows(string $sql): iterable
    {
        return Rows::from($this->pdo, $sql);
    }

    /** Copies all rows of another file of the same tables, which is removed. */
    public function takeIn(string $path): void
    {
        $this->pdo->exec('COMMIT');
        $this->pdo->prepare('ATTACH ? AS beside')->execute([$path]);
        $tables = $this->pdo->query("SELECT name FROM beside.sqlite_master WHERE type = 'table'");
        foreach ($tables === false ? [] : $tables->fetchAll(PDO::FETCH_COLUMN) as $table) {
            $this->pdo->exec("INSERT INTO main.{$table} SELECT * FROM beside.{$table}");
        }
        $this->pdo->exec('DETACH beside');
        unlink($path);
        $this->pdo->exec('BEGIN');
    }

    /** From here on the file is the catalog's connection to write. */
    public function handOver(): void
    {
        $this->pdo->exec('COMMIT');
        $this->statements = [];
        unset($this->pdo);
    }

    /** The catalog's connection ends its transaction and lets go of the file. */
    public function letGo(): void
    {
        $this->catalog->exec('COMMIT');
        $this->catalog->exec('DETACH edition');
    }

    /** Brings the file to the disk and gives it its name. */
    public function finish(string $name): void
    {
        $file = fopen($this->path, 'r+b');
        if ($file !== false) {
            fsync($file);
            fclose($file);
        }
        if (! rename($this->path, dirname($this->path).'/'.$name)) {
            throw new Refused('The file of the new edition cannot be given its name. Shoppers still see the edition before.');
        }
    }
}
