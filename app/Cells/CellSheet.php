<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Definition;
use App\Models\Origin;
use App\Values\SpellingsFor;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Level;

/**
 * Where the cells of one definition are worked on set by set: temporary tables of what the targets hold, of what is due to
 * them, and of which spelling becomes which. A token tells values apart: the value, or minus the spelling where it has none.
 */
final readonly class CellSheet
{
    public const TOKEN = 'COALESCE(s.value_id, -s.id)';

    private const TABLES = [
        'held' => 'item_id INTEGER NOT NULL, spelling_id INTEGER NOT NULL, token INTEGER NOT NULL, origin INTEGER NOT NULL,
            PRIMARY KEY (item_id, spelling_id)',
        'due' => 'item_id INTEGER NOT NULL, token INTEGER NOT NULL, spelling_id INTEGER NOT NULL, PRIMARY KEY (item_id, token)',
        'mapping' => 'from_id INTEGER PRIMARY KEY, spelling_id INTEGER, token INTEGER',
    ];

    private const SAMPLES = 8;

    public SpellingsFor $spellings;

    /** Fills the targets, and what they hold. */
    public function __construct(Chosen $chosen, private Definition $definition)
    {
        $this->spellings = new SpellingsFor($definition);
        foreach (self::TABLES as $table => $columns) {
            DB::statement(
                "CREATE TEMP TABLE IF NOT EXISTS {$table} ({$columns})".
                    (str_contains($columns, 'KEY (') ? ' WITHOUT ROWID' : ''),
            );
            DB::delete("DELETE FROM temp.{$table}");
        }
        $chosen->target($definition->level);
        DB::insert(
            'INSERT INTO temp.held SELECT a.item_id, a.spelling_id, '.
                self::TOKEN.
                ', a.origin FROM temp.targets t
            CROSS JOIN assignments a ON a.item_id = t.item_id AND a.definition_id = ? JOIN spellings s ON s.id = a.spelling_id',
            [$definition->id],
        );
    }

    public function targets(): int
    {
        return (int) DB::scalar('SELECT COUNT(*) FROM temp.targets');
    }

    /** What is about items that are no targets any more is dropped. */
    public function keepTargetsOnly(): void
    {
        foreach (['held', 'due'] as $table) {
            DB::delete("DELETE FROM temp.{$table} WHERE item_id NOT IN (SELECT item_id FROM temp.targets)");
        }
    }

    /** The same text is due to every target. */
    public function dueToAll(string $text): void
    {
        [$spelling, $token] = $this->spellings->text($text);
        DB::insert("INSERT OR IGNORE INTO temp.due SELECT item_id, {$token}, {$spelling} FROM temp.targets");
    }

    /** @param  list<array{0: int, 1: string}>  $rows  items and texts; those that are no targets are passed over */
    public function due(array $rows): void
    {
        foreach (array_chunk($rows, 200) as $chunk) {
            $values = [];
            foreach ($chunk as [$item, $text]) {
                [$spelling, $token] = $this->spellings->text($text);
                $values[] = "({$item},{$token},{$spelling})";
            }
            DB::insert(
                'INSERT OR IGNORE INTO temp.due SELECT column1, column2, column3 FROM (VALUES '.
                    implode(',', $values).
                    ') WHERE column1 IN (SELECT item_id FROM temp.targets)',
            );
        }
    }

    /** A spelling becomes a text; an empty one: nothing. */
    public function map(int $spelling, string $text): void
    {
        DB::insert('INSERT OR REPLACE INTO temp.mapping VALUES (?, ?, ?)', [
            $spelling,
            ...$text === '' ? [null, null] : $this->spellings->text($text),
        ]);
    }

    /** What mapped spellings of a definition become is due to the targets that carry them. */
    public function dueByMapping(Definition $from): void
    {
        DB::insert(
            "INSERT OR IGNORE INTO temp.due SELECT t.item_id, m.token, m.spelling_id {$this->carrying(
                $from,
            )} JOIN temp.mapping m ON m.from_id = a.spelling_id WHERE m.token IS NOT NULL",
            [$from->id],
        );
    }

    /** Targets without a mapped spelling are none. */
    public function keepMapped(Definition $from): void
    {
        DB::delete(
            "DELETE FROM temp.targets WHERE item_id NOT IN (SELECT t.item_id {$this->carrying(
                $from,
            )} JOIN temp.mapping m ON m.from_id = a.spelling_id)",
            [$from->id],
        );
    }

    /** @return list<\stdClass> spellings (id, text, number, label) of a definition that the targets carry */
    public function carried(Definition $from): array
    {
        return array_values(DB::select(
            "SELECT DISTINCT s.id, s.text, s.number, v.label {$this->carrying(
                $from,
            )} JOIN spellings s ON s.id = a.spelling_id LEFT JOIN attribute_values v ON v.id = s.value_id",
            [$from->id],
        ));
    }

    /**
     * Takes items out of the targets to which several values are due, where the definition takes one.
     *
     * @return int how many
     */
    public function dropUndecided(): int
    {
        return $this->definition->multiple
            ? 0
            : DB::delete(
                'DELETE FROM temp.targets WHERE item_id IN (SELECT item_id FROM temp.due GROUP BY item_id HAVING COUNT(*) > 1)',
            );
    }

    /** What the targets hold and is not due goes; what is due and they do not hold comes, by hand. */
    public function moveByHand(): void
    {
        DB::insert(
            'INSERT INTO temp.going SELECT h.item_id, ?, h.spelling_id, h.origin FROM temp.held h
                LEFT JOIN temp.due d ON d.item_id = h.item_id AND d.token = h.token WHERE d.item_id IS NULL',
            [$this->definition->id],
        );
        DB::insert(
            'INSERT INTO temp.coming SELECT d.item_id, ?, d.spelling_id, '.Origin::HAND.' FROM temp.due d
                LEFT JOIN (SELECT DISTINCT item_id, token FROM temp.held) h ON h.item_id = d.item_id AND h.token = d.token
                WHERE h.item_id IS NULL',
            [$this->definition->id],
        );
    }

    /** @return int items whose cells go or come */
    public function changing(): int
    {
        return (int) DB::scalar('SELECT COUNT(*) FROM (SELECT item_id FROM temp.going UNION SELECT item_id FROM temp.coming)');
    }

    /** @return list<array{item: string, before: string, after: string}> of the items whose cells go or come */
    public function samples(): array
    {
        $samples = [];
        $shown =
            "COALESCE((SELECT GROUP_CONCAT(COALESCE(v.label, TRIM(s.text)), ', ') FROM temp.%s x
                JOIN spellings s ON s.id = x.spelling_id LEFT JOIN attribute_values v ON v.id = s.value_id WHERE x.item_id = i.id), '')";
        foreach (
            DB::select(
                'SELECT i.id, i.sku, '.
                    sprintf($shown, 'held').
                    ' AS before, '.
                    sprintf($shown, 'due').
                    ' AS after
            FROM (SELECT item_id FROM temp.going UNION SELECT item_id FROM temp.coming LIMIT '.
                    self::SAMPLES.
                    ') c JOIN items i ON i.id = c.item_id',
            ) as $row
        ) {
            $new = array_map(
                $this->spellings->textOf(...),
                array_column(DB::select('SELECT spelling_id FROM temp.due WHERE item_id = ?', [$row->id]), 'spelling_id'),
            );
            $after = implode(
                ', ',
                array_filter([$row->after, ...$new], fn (?string $text): bool => $text !== null && $text !== ''),
            );
            $samples[] = [
                'item' => $row->sku,
                'before' => mb_strimwidth($row->before, 0, 80, '…'),
                'after' => mb_strimwidth($after, 0, 80, '…'),
            ];
        }

        return $samples;
    }

    /** FROM the targets (t.item_id) with the assignments (a) that give them a definition, which may be of the other level. Binds its id. */
    private function carrying(Definition $from): string
    {
        $of = ' AND a.definition_id = ?';

        return match (true) {
            $from->level === $this->definition->level => "FROM temp.targets t CROSS JOIN assignments a ON a.item_id = t.item_id{$of}",
            $from->level === Level::Product => "FROM temp.targets t CROSS JOIN items i ON i.id = t.item_id
                CROSS JOIN assignments a ON a.item_id = COALESCE(i.parent_id, i.id){$of}",
            default => "FROM (SELECT item_id, item_id AS own FROM temp.targets UNION SELECT t.item_id, i.id FROM temp.targets t
                JOIN items i ON i.parent_id = t.item_id) t CROSS JOIN assignments a ON a.item_id = t.own{$of}",
        };
    }
}
