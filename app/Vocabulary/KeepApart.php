<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\KeptApart;
use App\Models\Room;
use App\Support\Refused;

/** Decides that values are different. They are not proposed to be merged again. */
final readonly class KeepApart
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @param  list<int>  $ids  two or more; each pair of them is kept apart */
    public function __invoke(Definition $definition, array $ids): ?Change
    {
        ManagersOnly::allow($definition->id);
        $labels = $definition->values()->whereKey($ids)->orderBy('id')->pluck('label', 'id')->all();
        if (count($labels) < 2) {
            throw new Refused('Name at least two values that are different.');
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $labels): string {
            self::write($journal, $definition, array_keys($labels));

            return 'Kept apart: '.mb_strimwidth(implode(', ', $labels), 0, 120, '…')." ({$definition->label})";
        });
    }

    /** @param  list<int>  $ids */
    public static function write(Journal $journal, Definition $definition, array $ids): void
    {
        sort($ids);
        foreach ($ids as $n => $one) {
            foreach (array_slice($ids, $n + 1) as $other) {
                if (! KeptApart::table()->where('one_id', $one)->where('other_id', $other)->exists()) {
                    $journal->insert(KeptApart::class, ['definition_id' => $definition->id, 'one_id' => $one, 'other_id' => $other]);
                }
            }
        }
        Newcomer::settle($journal, $ids);
    }
}
