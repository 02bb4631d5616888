<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Definitions\Definition;
use App\History\Change;
use App\History\Journal;
use App\History\Ledger;
use App\Refused;
use InvalidArgumentException;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\MergePlan;

/** Makes several values one: their spellings move to the one that stays. No product's data is written. */
final readonly class MergeValues
{
    public function __construct(private Ledger $ledger, private ValueTable $table)
    {
    }

    /**
     * @param  list<int>  $ids
     *
     * @throws Refused
     */
    public function plan(Definition $definition, int $keep, array $ids): MergePlan
    {
        if ($definition->kind !== Kind::Choice) {
            throw new Refused("The values of {$definition->label} are fixed; only those of a choice can be merged.");
        }
        $known = $this->table->known($definition, [...$ids, $keep]);
        $moved = array_map(fn (int $id): KnownValue => $known[$id] ?? throw new Refused("A value that you chose is not there any more. Look at {$definition->label} again."), $ids);
        try {
            return MergePlan::of($known[$keep] ?? throw new Refused('The value that should stay is not there any more.'), $moved);
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage());
        }
    }

    public function __invoke(Definition $definition, MergePlan $plan): Change
    {
        $labels = array_map(fn (KnownValue $value): string => $value->label, $plan->moved);
        $change = $this->ledger->record('Values', function (Journal $journal) use ($definition, $plan, $labels): string {
            foreach ($plan->moves() as $spelling => $value) {
                $journal->update('spellings', $spelling, ['value_id' => $value]);
            }
            foreach ($plan->moved as $value) {
                $journal->update('attribute_values', $value->id, ['merged_into' => $plan->keep->id]);
            }

            return "Merged {$this->list($labels)} into {$plan->keep->label} ({$definition->label})";
        });

        return $change ?? throw new Refused('There was nothing to merge.');
    }

    /** @param  list<string>  $labels */
    private function list(array $labels): string
    {
        return count($labels) <= 3 ? implode(', ', $labels) : implode(', ', array_slice($labels, 0, 2)).' and '.(count($labels) - 2).' more';
    }
}
