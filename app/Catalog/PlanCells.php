<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Definitions\Definition;
use App\History\CellMoves;
use App\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;

/**
 * Works out which cells go and which come, set by set, whatever the number of products. Cells are compared by what they mean:
 * who has the value already keeps the spelling it came in.
 */
final readonly class PlanCells
{
    private const SAMPLES = 8;

    private const TABLES = [
        'held' => 'item_id INTEGER NOT NULL, spelling_id INTEGER NOT NULL, token INTEGER NOT NULL, origin INTEGER NOT NULL, PRIMARY KEY (item_id, spelling_id)',
        'due' => 'item_id INTEGER NOT NULL, token INTEGER NOT NULL, spelling_id INTEGER NOT NULL, PRIMARY KEY (item_id, token)',
        'mapping' => 'from_id INTEGER PRIMARY KEY, spelling_id INTEGER, token INTEGER',
    ];

    private const TOKEN = 'COALESCE(s.value_id, -s.id)';

    public SpellingsFor $spellings;

    public function __construct(private CellMoves $moves, private CellChange $change)
    {
        $this->spellings = new SpellingsFor($change->definition);
    }

    /** Leaves what goes and what comes in the tables of the moves. */
    public function __invoke(Chosen $chosen): CellFigures
    {
        $change = $this->change;
        $this->moves->clear();
        foreach (self::TABLES as $table => $columns) {
            DB::statement("CREATE TEMP TABLE IF NOT EXISTS {$table} ({$columns})".(str_contains($columns, 'KEY (') ? ' WITHOUT ROWID' : ''));
            DB::delete("DELETE FROM temp.{$table}");
        }
        $chosen->target($change->definition->level);
        $items = (int) DB::scalar('SELECT COUNT(*) FROM temp.targets');
        $this->hold($change);
        $unread = [];
        $skipped = 0;
        if ((int) DB::scalar('SELECT COUNT(*) FROM temp.targets') === 0) {
            return new CellFigures($items, 0, $items, 0, 0, 0, [], [], []);
        }
        if ($change->mode->maps()) {
            [$unread, $skipped] = $this->map($change);
        } else {
            $this->fixed($change, array_map($this->spellings->text(...), $change->texts));
        }

        return $this->figures($change->definition, $items, $skipped, $unread);
    }

    /** What the targets have now. Those that are to be left alone are no targets any more. */
    private function hold(CellChange $change): void
    {
        DB::insert('INSERT INTO temp.held SELECT a.item_id, a.spelling_id, '.self::TOKEN.', a.origin FROM temp.targets t
            CROSS JOIN assignments a ON a.item_id = t.item_id AND a.definition_id = ? JOIN spellings s ON s.id = a.spelling_id', [$change->definition->id]);
        $spared = array_filter([$change->emptyOnly ? 'SELECT item_id FROM temp.held' : null, $change->spareHand ? 'SELECT item_id FROM temp.held WHERE origin = -1' : null]);
        foreach ($spared as $which) {
            DB::delete("DELETE FROM temp.targets WHERE item_id IN ({$which})");
        }
        DB::delete('DELETE FROM temp.held WHERE item_id NOT IN (SELECT item_id FROM temp.targets)');
    }

    /** @param  list<array{0: int, 1: int}>  $wanted  spelling and token of each text */
    private function fixed(CellChange $change, array $wanted): void
    {
        if ($change->mode === CellMode::Add) {
            DB::insert('INSERT OR IGNORE INTO temp.due SELECT item_id, token, spelling_id FROM temp.held');
        }
        if ($change->mode === CellMode::Remove) {
            DB::insert('INSERT OR IGNORE INTO temp.due SELECT item_id, token, spelling_id FROM temp.held WHERE token NOT IN ('.implode(',', array_column($wanted, 1)).')');
        } else {
            foreach ($wanted as [$spelling, $token]) {
                DB::insert("INSERT OR IGNORE INTO temp.due SELECT item_id, {$token}, {$spelling} FROM temp.targets");
            }
        }
    }

    /** @return array{0: array<string, string>, 1: int} texts that cannot be taken over with the reason, and items left because of several values */
    private function map(CellChange $change): array
    {
        $from = $change->source ?? $change->definition;
        [$cells, $key] = $this->source($change);
        $unread = [];
        foreach (DB::select("SELECT DISTINCT s.id, s.text, s.number, v.label {$cells} JOIN spellings s ON s.id = a.spelling_id LEFT JOIN attribute_values v ON v.id = s.value_id", [$from->id]) as $spelling) {
            $text = $this->mapped($change, $from, $spelling);
            if ($text === null) {
                continue;
            }
            try {
                CellChange::check($change->definition, $text === '' ? '0' : $text);
            } catch (Refused $why) {
                $text === '' ?: $unread[$text] = $why->getMessage();
            }
            if (! isset($unread[$text])) {
                DB::insert('INSERT INTO temp.mapping VALUES (?, ?, ?)', [$spelling->id, ...($text === '' ? [null, null] : $this->spellings->text($text))]);
            }
        }
        if ($change->mode !== CellMode::Copy) {
            DB::insert('INSERT OR IGNORE INTO temp.due SELECT h.item_id, h.token, h.spelling_id FROM temp.held h LEFT JOIN temp.mapping m ON m.from_id = h.spelling_id WHERE m.from_id IS NULL');
        }
        DB::insert("INSERT OR IGNORE INTO temp.due SELECT {$key}, m.token, m.spelling_id {$cells} JOIN temp.mapping m ON m.from_id = a.spelling_id WHERE m.token IS NOT NULL", [$from->id]);
        $skipped = 0;
        if (! $change->definition->multiple) {
            $skipped = DB::delete('DELETE FROM temp.targets WHERE item_id IN (SELECT item_id FROM temp.due GROUP BY item_id HAVING COUNT(*) > 1)');
        }
        DB::delete("DELETE FROM temp.targets WHERE item_id NOT IN (SELECT {$key} {$cells} JOIN temp.mapping m ON m.from_id = a.spelling_id)", [$from->id]);
        foreach (['held', 'due'] as $table) {
            DB::delete("DELETE FROM temp.{$table} WHERE item_id NOT IN (SELECT item_id FROM temp.targets)");
        }

        return [$unread, $skipped];
    }

    /**
     * Where the texts are taken from: the definition's own cells, or another's, which may be of the other level.
     *
     * @return array{0: string, 1: string} FROM with assignments as a, and the target's id
     */
    private function source(CellChange $change): array
    {
        $of = ' AND a.definition_id = ?';

        return match (true) {
            $change->source === null || $change->source->level === $change->definition->level => ["FROM temp.targets t CROSS JOIN assignments a ON a.item_id = t.item_id{$of}", 't.item_id'],
            $change->source->level === Level::Product => ["FROM temp.targets t CROSS JOIN items i ON i.id = t.item_id CROSS JOIN assignments a ON a.item_id = COALESCE(i.parent_id, i.id){$of}", 't.item_id'],
            default => ["FROM (SELECT item_id, item_id AS own FROM temp.targets UNION SELECT t.item_id, i.id FROM temp.targets t JOIN items i ON i.parent_id = t.item_id) t CROSS JOIN assignments a ON a.item_id = t.own{$of}", 't.item_id'],
        };
    }

    /** The text that takes a spelling's place: empty for none, null where it stays. */
    private function mapped(CellChange $change, Definition $from, \stdClass $spelling): ?string
    {
        $shown = $spelling->label ?? trim($spelling->text);
        if ($change->mode === CellMode::Copy) {
            return $spelling->number !== null && $from->unit !== null && is_numeric($shown) ? "{$shown} {$from->unit}" : $shown;
        }
        if ($change->mode === CellMode::Replace) {
            $text = (string) preg_replace('/'.preg_quote($change->find, '/').'/iu', str_replace(['\\', '$'], ['\\\\', '\\$'], $change->replace), $shown);

            return $text === $shown ? null : trim($text);
        }
        if ($spelling->number === null || $change->numbers === null) {
            return null;
        }

        return $change->numbers->of((float) $spelling->number).($from->unit === null ? '' : ' '.$from->unit);
    }

    /** @param  array<string, string>  $unread */
    private function figures(Definition $definition, int $items, int $skipped, array $unread): CellFigures
    {
        DB::insert('INSERT INTO temp.going SELECT h.item_id, ?, h.spelling_id, h.origin FROM temp.held h LEFT JOIN temp.due d ON d.item_id = h.item_id AND d.token = h.token WHERE d.item_id IS NULL', [$definition->id]);
        DB::insert('INSERT INTO temp.coming SELECT d.item_id, ?, d.spelling_id, -1 FROM temp.due d LEFT JOIN (SELECT DISTINCT item_id, token FROM temp.held) h ON h.item_id = d.item_id AND h.token = d.token WHERE h.item_id IS NULL', [$definition->id]);
        $change = (int) DB::scalar('SELECT COUNT(*) FROM (SELECT item_id FROM temp.going UNION SELECT item_id FROM temp.coming)');

        return new CellFigures($items, $change, $items - $change - $skipped,
            (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM temp.going'), (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM temp.going WHERE origin = -1'),
            $skipped, $this->spellings->newValues(), array_slice($unread, 0, 50, true), $this->samples($definition));
    }

    /** @return list<array{item: string, before: string, after: string}> */
    private function samples(Definition $definition): array
    {
        $samples = [];
        $shown = "COALESCE((SELECT GROUP_CONCAT(COALESCE(v.label, TRIM(s.text)), ', ') FROM temp.%s x JOIN spellings s ON s.id = x.spelling_id LEFT JOIN attribute_values v ON v.id = s.value_id WHERE x.item_id = i.id), '')";
        foreach (DB::select('SELECT i.sku, '.sprintf($shown, 'held').' AS before, '.sprintf($shown, 'due').' AS after, (SELECT COUNT(*) FROM temp.due WHERE item_id = i.id) AS n
            FROM (SELECT item_id FROM temp.going UNION SELECT item_id FROM temp.coming LIMIT '.self::SAMPLES.') c JOIN items i ON i.id = c.item_id') as $row) {
            $samples[] = ['item' => $row->sku, 'before' => mb_strimwidth($row->before, 0, 80, '…'), 'after' => mb_strimwidth($row->after, 0, 80, '…')];
        }

        return $samples;
    }
}
