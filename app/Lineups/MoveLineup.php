<?php

declare(strict_types=1);

namespace App\Lineups;

use App\Draft\DraftLineups;
use App\Draft\Placement;
use App\History\Journal;
use App\Models\Change;
use App\Models\Filter;
use App\Models\FilterChange;
use App\Models\Lineup;
use App\Support\Refused;

/** Copies what is said for some pages to others, moves it there, or takes it away. */
final readonly class MoveLineup
{
    public function __construct(private LineupLedger $ledger)
    {
    }

    /** Says the same for other pages as is said for these; what was said there goes. */
    public function copy(string $from, string $to, bool $move = false): ?Change
    {
        $all = DraftLineups::load();
        $source = Lineup::query()->where('placement', $from)->first();
        if ($source === null || $from === $to || ($from === Placement::SHOP && $move)) {
            throw new Refused($source === null ? 'Nothing is said there that could be copied.' : 'Choose other pages.', 'to');
        }

        return $this->ledger->record($to, function (Journal $journal, int $lineup) use (
            $source,
            $from,
            $to,
            $move,
            $all,
        ): string {
            $this->clear($journal, $lineup);
            $inherited = LineupLedger::before($all, $to)->filters;
            foreach ($source->filters()->with('definition')->get() as $filter) {
                $row = array_intersect_key(
                    $filter->getAttributes(),
                    array_flip([
                        'position',
                        'definition_id',
                        'field',
                        'title',
                        'control',
                        'combine',
                        'empty_terms',
                        'open',
                        'step',
                        'unit',
                        'settings',
                        ...($move ? ['shared'] : []),
                    ]),
                );
                if (isset($inherited[$filter->key()])) {
                    ChangeFilter::write($journal, $lineup, $filter->key(), $filter->settings(), $to, $all);
                } else {
                    $journal->insert(Filter::class, ['lineup_id' => $lineup] + $row);
                }
            }
            foreach ($source->alterations()->get() as $change) {
                $journal->insert(
                    FilterChange::class,
                    ['lineup_id' => $lineup] +
                        array_intersect_key($change->getAttributes(), array_flip(['key', 'dropped', 'settings'])),
                );
            }
            $journal->update(Lineup::class, $lineup, ['settings' => $source->getAttributes()['settings']]);
            if ($move) {
                $this->clear($journal, $source->id);
                $journal->delete(Lineup::class, $source->id);
            }

            return ($move ? 'Moved ' : 'Copied ').LineupLedger::said($from, $all).' to '.LineupLedger::said($to, $all);
        });
    }

    /** These pages get what they inherit, and nothing of their own. */
    public function remove(string $placement): ?Change
    {
        $all = DraftLineups::load();
        if ($placement === Placement::SHOP) {
            throw new Refused('The line-up of the whole shop stays; take its filters out one by one.');
        }

        return $this->ledger->record($placement, function (Journal $journal, int $lineup) use ($placement, $all): string {
            $this->clear($journal, $lineup);
            $journal->delete(Lineup::class, $lineup);

            return 'Removed '.LineupLedger::said($placement, $all);
        });
    }

    private function clear(Journal $journal, int $lineup): void
    {
        foreach ([Filter::class, FilterChange::class] as $model) {
            $ids = $model::query()->where('lineup_id', $lineup)->pluck('id');
            $ids->each(fn (int $id) => $journal->delete($model, $id));
        }
    }
}
