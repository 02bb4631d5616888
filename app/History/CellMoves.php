<?php

declare(strict_types=1);

namespace App\History;

use Illuminate\Support\Facades\DB;
use PDO;

/**
 * Cells that go and cells that come in one change, set by set: they are gathered in two temporary tables, going and coming
 * (item_id, definition_id, spelling_id, origin), whether a hundred or a hundred thousand, and written and noted at once.
 */
final readonly class CellMoves
{
    private const CELL = 'item_id, definition_id, spelling_id';

    private PDO $pdo;

    public function __construct()
    {
        $this->pdo = DB::connection()->getPdo();
        foreach (['going', 'coming'] as $table) {
            $this->pdo->exec(
                "CREATE TEMP TABLE IF NOT EXISTS {$table} (item_id INTEGER NOT NULL, definition_id INTEGER NOT NULL,
                    spelling_id INTEGER NOT NULL, origin INTEGER NOT NULL,
                PRIMARY KEY (".
                    self::CELL.
                    ')) WITHOUT ROWID',
            );
        }
        $this->clear();
    }

    public function clear(): void
    {
        $this->pdo->exec('DELETE FROM temp.going');
        $this->pdo->exec('DELETE FROM temp.coming');
    }

    /**
     * Takes away what is going, and forgets it.
     *
     * @return int cells that went
     */
    public function take(int $change): int
    {
        // What goes is noted as it stands, whatever origin was expected.
        $went = (int) $this->pdo->exec(
            "INSERT OR IGNORE INTO cell_changes (change_id, came, item_id, definition_id, spelling_id, origin)
            SELECT {$change}, 0, a.item_id, a.definition_id, a.spelling_id, a.origin FROM temp.going g JOIN assignments a USING (".
                self::CELL.
                ')',
        );
        $this->pdo->exec('DELETE FROM assignments WHERE ('.self::CELL.') IN (SELECT '.self::CELL.' FROM temp.going)');
        $this->touch('going');
        $this->pdo->exec('DELETE FROM temp.going');

        return $went;
    }

    /**
     * Puts what is coming where it belongs, and forgets it.
     *
     * @return int cells that came
     */
    public function put(int $change): int
    {
        $came = (int) $this->pdo->exec(
            "INSERT OR REPLACE INTO cell_changes (change_id, came, item_id, definition_id, spelling_id, origin) SELECT {$change}, 1, ".
                self::CELL.
                ', origin FROM temp.coming',
        );
        $this->pdo->exec(
            'INSERT INTO assignments ('.self::CELL.', origin) SELECT '.self::CELL.', origin FROM temp.coming',
        );
        $this->touch('coming');
        $this->pdo->exec('DELETE FROM temp.coming');

        return $came;
    }

    private function touch(string $table): void
    {
        $this->pdo
            ->prepare("UPDATE items SET version = version + 1, updated_at = ? WHERE id IN (SELECT item_id FROM temp.{$table})")
            ->execute([now()->toDateTimeString()]);
    }
}
