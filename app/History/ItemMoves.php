<?php

declare(strict_types=1);

namespace App\History;

use Illuminate\Support\Facades\DB;
use PDO;

/**
 * Products and variants that come, go or change in one change of History, set by set: how each stood before is noted, and setting
 * that back notes in its turn how it stood, so that it can be done again.
 */
final readonly class ItemMoves
{
    private const COLUMNS = [
        'parent_id',
        'sku',
        'name',
        'category_id',
        'price',
        'currency',
        'stock',
        'description',
        'image',
        'feed_id',
        'row_hash',
        'created_at',
        'updated_at',
        'out_since',
        'out_by',
        'also_in',
        'also_by_hand',
    ];

    private PDO $pdo;

    public function __construct()
    {
        $this->pdo = DB::connection()->getPdo();
    }

    /**
     * Notes items as they stand, before they are changed.
     *
     * @param  string  $ids  SQL that gives their ids
     */
    public function noteBefore(int $change, string $ids): int
    {
        $columns = implode(', ', self::COLUMNS);

        return (int) $this->pdo->exec(
            "INSERT INTO item_changes (change_id, item_id, existed,
                {$columns}) SELECT {$change}, id, 1, {$columns} FROM items WHERE id IN ({$ids})",
        );
    }

    /**
     * Notes items that have come, or that are not there.
     *
     * @param  string  $ids  SQL that gives their ids
     */
    public function noteNew(int $change, string $ids): int
    {
        return (int) $this->pdo->exec(
            "INSERT INTO item_changes (change_id, item_id, existed) SELECT {$change}, id, 0 FROM ({$ids})",
        );
    }

    /** Adds the cells of what would go to those that are gathered as going. */
    public function gatherCells(int $of): void
    {
        $this->pdo->exec(
            'INSERT OR IGNORE INTO temp.going SELECT a.item_id, a.definition_id, a.spelling_id, a.origin FROM item_changes i
                JOIN assignments a ON a.item_id = i.item_id WHERE i.existed = 0 AND i.change_id = '.
                $of,
        );
    }

    /**
     * Sets items back to how they stood before a change, noting how they stand.
     *
     * @return int items touched
     */
    public function setBack(int $of, int $change): int
    {
        $columns = implode(', ', self::COLUMNS);
        $noted =
            $this->noteBefore($change, "SELECT item_id FROM item_changes WHERE change_id = {$of}") +
            $this->noteNew(
                $change,
                "SELECT item_id AS id FROM item_changes b
                    WHERE change_id = {$of} AND NOT EXISTS (SELECT 1 FROM items i WHERE i.id = b.item_id)",
            );
        // Variants go before their products, and come behind them.
        foreach (['NOT NULL', 'NULL'] as $parent) {
            $this->pdo->exec(
                "DELETE FROM items WHERE parent_id IS {$parent} AND id IN (SELECT item_id FROM item_changes
                    WHERE change_id = {$of} AND existed = 0)",
            );
        }
        $sets = implode(', ', array_map(fn (string $column): string => "{$column} = b.{$column}", self::COLUMNS));
        $this->pdo->exec(
            "UPDATE items SET {$sets}, version = version + 1 FROM item_changes b
                WHERE b.change_id = {$of} AND b.existed = 1 AND b.item_id = items.id",
        );
        foreach (['NULL', 'NOT NULL'] as $parent) {
            $this->pdo->exec(
                "INSERT INTO items (id, {$columns})
                    SELECT item_id, {$columns} FROM item_changes b
                    WHERE change_id = {$of} AND existed = 1
                    AND parent_id IS {$parent} AND NOT EXISTS (SELECT 1 FROM items i WHERE i.id = b.item_id)",
            );
        }
        if ($noted !== 0) {
            self::countVariants();
        }

        return $noted;
    }

    /** Brings the number of variants of every product up to date. */
    public static function countVariants(): void
    {
        $pdo = DB::connection()->getPdo();
        $pdo->exec(
            'UPDATE items SET variant_count = n.n FROM (SELECT parent_id AS id, COUNT(*) AS n FROM items
                WHERE parent_id IS NOT NULL GROUP BY parent_id) n WHERE n.id = items.id AND items.variant_count <> n.n',
        );
        $pdo->exec(
            'UPDATE items SET variant_count = 0 WHERE variant_count > 0 AND NOT EXISTS (SELECT 1 FROM items c
                WHERE c.parent_id = items.id)',
        );
    }
}
