<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Assignment;
use App\Models\Change;
use App\Models\ChangeRow;
use App\Models\KeptApart;
use App\Models\Spelling;
use App\Models\Tables;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use PDOException;

/** Sets back what a change did, exactly. Taking that back in turn does it again. */
final readonly class TakeBack
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when something stands in the way; the message names it */
    public function __invoke(Change $change): Change
    {
        try {
            return DB::transaction(function () use ($change): Change {
                $way = WayBack::of($change->refresh());
                if (! $way->isOpen()) {
                    throw new Refused(implode(' ', $way->obstacles));
                }
                $done = $this->ledger->record(
                    $change->room,
                    function (Journal $journal) use ($change): string {
                        $this->cells($journal->cells(), $change);
                        $journal->take();
                        foreach ($change->rows()->orderByDesc('id')->lazy(1000) as $row) {
                            $this->setBack($journal, $row);
                        }
                        $journal->setItemsBack($change->id);
                        $journal->put();

                        return 'Took back: '.lcfirst($change->summary);
                    },
                    takesBack: $change->id,
                );
                if ($done === null) {
                    throw new Refused('There is nothing left to take back.');
                }
                $change->update(['taken_back_by' => $done->id]);
                if ($change->takes_back !== null) {
                    Change::query()
                        ->whereKey($change->takes_back)
                        ->update(['taken_back_by' => null]);
                }

                return $done;
            });
        } catch (PDOException $failure) {
            if (str_contains($failure->getMessage(), 'FOREIGN KEY')) {
                throw new Refused(
                    'Something that came later depends on what this change made: products that were given the value, or a '.
                    'filter over the definition. Take that back first.',
                );
            }
            if (str_contains($failure->getMessage(), 'UNIQUE constraint failed: items.sku')) {
                throw new Refused('Products with the same sku have come since. Take that reading back first.');
            }
            if (str_contains($failure->getMessage(), 'UNIQUE')) {
                throw new Refused(
                    'Something of the same name has come since: a value, a filter, a line-up or an address. Rename or remove that first.',
                );
            }
            throw $failure;
        }
    }

    /** The newest change that can be taken back. */
    public function newest(): ?Change
    {
        foreach (
            Change::query()
                ->where('has_way_back', true)
                ->whereNull('taken_back_by')
                ->whereNull('takes_back')
                ->latest('id')
                ->lazy(50) as $change
        ) {
            if (WayBack::of($change)->isOpen()) {
                return $change;
            }
        }

        return null;
    }

    /** What came goes before anything it hangs on does, and what went comes when all that is there again. */
    private function cells(CellMoves $cells, Change $change): void
    {
        $cells->clear();
        foreach (['going' => 1, 'coming' => 0] as $table => $came) {
            DB::insert(
                "INSERT OR IGNORE INTO temp.{$table} SELECT item_id, definition_id, spelling_id, origin FROM cell_changes
                    WHERE change_id = ? AND came = ?",
                [$change->id, $came],
            );
        }
        (new ItemMoves())->gatherCells($change->id);
    }

    private function setBack(Journal $journal, ChangeRow $row): void
    {
        if ($row->before === null && $row->table_name === 'definitions') {
            $this->dropWords($journal, (int) $row->row_key);
        }
        $model = Tables::model($row->table_name);
        match (true) {
            $row->before === null => $journal->delete($model, (int) $row->row_key),
            $row->after === null => $journal->insert($model, $row->before),
            default => $this->update($journal, $row, $row->before),
        };
    }

    /** @param  array<string, mixed>  $before */
    private function update(Journal $journal, ChangeRow $row, array $before): void
    {
        $journal->update(Tables::model($row->table_name), (int) $row->row_key, $before);
        if ($row->table_name === 'spellings' && isset($before['value_id'], $row->after['value_id'])) {
            $this->newerSpellingsFollow($journal, (int) $row->row_key, (int) $row->after['value_id'], (int) $before['value_id']);
        }
    }

    /** Words of a definition that nothing carries any more hold it back no longer. */
    private function dropWords(Journal $journal, int $definition): void
    {
        if (Assignment::table()->where('definition_id', $definition)->exists()) {
            return;
        }
        Value::query()
            ->where('definition_id', $definition)
            ->whereNotNull('merged_into')
            ->pluck('id')
            ->each(fn (int $id) => $journal->update(Value::class, $id, ['merged_into' => null]));
        foreach ([KeptApart::class, Spelling::class, Value::class, Umbrella::class] as $model) {
            $model::query()
                ->where('definition_id', $definition)
                ->pluck('id')
                ->each(fn (int $id) => $journal->delete($model, $id));
        }
    }

    /** Spellings with the same key that came since the merge are the same value, so they go where their elder goes. */
    private function newerSpellingsFollow(Journal $journal, int $spelling, int $from, int $to): void
    {
        $elder = Spelling::query()->whereKey($spelling)->firstOrFail();
        $younger = Spelling::query()
            ->where('definition_id', $elder->definition_id)
            ->where('key', $elder->key)
            ->where('value_id', $from)
            ->where('id', '>', $spelling)
            ->pluck('id');
        foreach ($younger as $id) {
            $journal->update(Spelling::class, (int) $id, ['value_id' => $to]);
        }
    }
}
