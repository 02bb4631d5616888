<?php

declare(strict_types=1);

namespace App\Cells;

use App\History\CellMoves;
use App\Models\Definition;
use App\Models\Origin;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;

/**
 * Works out which cells go and which come, set by set, whatever the number of products. Cells are compared by what they mean:
 * who has the value already keeps the spelling it came in.
 */
final readonly class PlanCells
{
    public CellSheet $sheet;

    private int $items;

    public function __construct(private CellMoves $moves, Chosen $chosen, private CellChange $change)
    {
        $this->sheet = new CellSheet($chosen, $change->definition);
        $this->items = $this->sheet->targets();
    }

    /** Leaves what goes and what comes in the tables of the moves. */
    public function __invoke(): CellFigures
    {
        $this->moves->clear();
        $this->spare();
        $unread = [];
        $skipped = 0;
        if ($this->sheet->targets() === 0) {
            return new CellFigures($this->items, 0, $this->items, 0, 0, 0, [], [], []);
        }
        if ($this->change->mode->maps()) {
            $unread = $this->map();
            $skipped = $this->sheet->dropUndecided();
            $this->sheet->keepMapped($this->change->source ?? $this->change->definition);
            $this->sheet->keepTargetsOnly();
        } else {
            $this->fixed();
        }

        return $this->figures($skipped, $unread);
    }

    /** Those that are to be left alone are no targets any more. */
    private function spare(): void
    {
        $spared = array_filter([
            $this->change->emptyOnly ? 'SELECT item_id FROM temp.held' : null,
            $this->change->spareHand ? 'SELECT item_id FROM temp.held WHERE origin = '.Origin::HAND : null,
        ]);
        foreach ($spared as $which) {
            DB::delete("DELETE FROM temp.targets WHERE item_id IN ({$which})");
        }
        $this->sheet->keepTargetsOnly();
    }

    private function fixed(): void
    {
        if ($this->change->mode === CellMode::Add) {
            DB::insert('INSERT OR IGNORE INTO temp.due SELECT item_id, token, spelling_id FROM temp.held');
        }
        if ($this->change->mode === CellMode::Remove) {
            $gone = array_map(fn (string $text): int => $this->sheet->spellings->text($text)[1], $this->change->texts);
            DB::insert(
                'INSERT OR IGNORE INTO temp.due SELECT item_id, token, spelling_id FROM temp.held WHERE token NOT IN ('.
                    implode(',', $gone).
                    ')',
            );
        } else {
            array_map($this->sheet->dueToAll(...), $this->change->texts);
        }
    }

    /** @return array<string, string> texts that cannot be taken over, with the reason */
    private function map(): array
    {
        $from = $this->change->source ?? $this->change->definition;
        $unread = [];
        foreach ($this->sheet->carried($from) as $spelling) {
            $text = $this->mapped($from, $spelling);
            if ($text === null) {
                continue;
            }
            try {
                if ($text !== '') {
                    CellChange::check($this->change->definition, $text);
                }
                $this->sheet->map($spelling->id, $text);
            } catch (Refused $why) {
                $unread[$text] = $why->getMessage();
            }
        }
        if ($this->change->mode !== CellMode::Copy) {
            DB::insert(
                'INSERT OR IGNORE INTO temp.due SELECT h.item_id, h.token, h.spelling_id FROM temp.held h
                    LEFT JOIN temp.mapping m ON m.from_id = h.spelling_id WHERE m.from_id IS NULL',
            );
        }
        $this->sheet->dueByMapping($from);

        return $unread;
    }

    /** The text that takes a spelling's place: empty for none, null where it stays. */
    private function mapped(Definition $from, \stdClass $spelling): ?string
    {
        $shown = $spelling->label ?? trim($spelling->text);
        if ($this->change->mode === CellMode::Copy) {
            return $spelling->number !== null && $from->unit !== null && is_numeric($shown) ? "{$shown} {$from->unit}" : $shown;
        }
        if ($this->change->mode === CellMode::Replace) {
            $text = (string) preg_replace(
                '/'.preg_quote($this->change->find, '/').'/iu',
                str_replace(['\\', '$'], ['\\\\', '\\$'], $this->change->replace),
                $shown,
            );

            return $text === $shown ? null : trim($text);
        }
        if ($spelling->number === null || $this->change->numbers === null) {
            return null;
        }

        return $this->change->numbers->of((float) $spelling->number).($from->unit === null ? '' : ' '.$from->unit);
    }

    /** @param  array<string, string>  $unread */
    private function figures(int $skipped, array $unread): CellFigures
    {
        $this->sheet->moveByHand();
        $change = $this->sheet->changing();

        return new CellFigures(
            $this->items,
            $change,
            $this->items - $change - $skipped,
            (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM temp.going'),
            (int) DB::scalar('SELECT COUNT(DISTINCT item_id) FROM temp.going WHERE origin = '.Origin::HAND),
            $skipped,
            $this->sheet->spellings->newValues(),
            array_slice($unread, 0, 50, true),
            $this->sheet->samples(),
        );
    }
}
