<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\Value;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Values\FindValue;
use Closure;
use InvalidArgumentException;
use Lokum\Text\Label;
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
        $moved = array_map(
            fn (int $id): KnownValue => $known[$id] ??
                throw new Refused("A value that you chose is not there any more. Look at {$definition->label} again."),
            $ids,
        );
        try {
            return MergePlan::of($known[$keep] ?? throw new Refused('The value that should stay is not there any more.'), $moved);
        } catch (InvalidArgumentException $why) {
            throw new Refused($why->getMessage());
        }
    }

    /** @param  string  $label  what the one that stays is called from now on; empty: as it is */
    public function __invoke(Definition $definition, MergePlan $plan, string $label = ''): Change
    {
        return $this->record($definition, function (Journal $journal) use ($definition, $plan, $label): string {
            $this->write($journal, $plan);
            $name = Label::of($label);
            if ($name !== '' && $name !== $plan->keep->label) {
                $other = FindValue::known($definition, $name);
                if ($other !== null && $other->id !== $plan->keep->id) {
                    throw new Refused("\"{$name}\" is what {$other->label} is called or spelled. Merge that one too.", 'label');
                }
                $journal->update(Value::class, $plan->keep->id, ['label' => $name]);
                CreateValue::ownSpelling($journal, $definition, $plan->keep->id, $name);
            }

            return "Merged {$this->list(array_map(fn (KnownValue $value): string => $value->label, $plan->moved))} into ".
                ($name === '' ? $plan->keep->label : $name).
                " ({$definition->label})";
        });
    }

    /**
     * Several merges as one step.
     *
     * @param  non-empty-list<MergePlan>  $plans
     */
    public function several(Definition $definition, array $plans): Change
    {
        return $this->record($definition, function (Journal $journal) use ($definition, $plans): string {
            array_map(fn (MergePlan $plan) => $this->write($journal, $plan), $plans);
            $moved = array_sum(array_map(fn (MergePlan $plan): int => count($plan->moved), $plans));

            return number_format($moved).' values merged into '.number_format(count($plans))." ({$definition->label})";
        });
    }

    public function write(Journal $journal, MergePlan $plan): void
    {
        // A decision on what waited for one shows it; what somebody has hidden stays hidden, unless shoppers see one of the others.
        $ids = [$plan->keep->id, ...array_map(fn (KnownValue $value): int => $value->id, $plan->moved)];
        $shown = Value::query()->whereKey($ids)->where('held', false)->exists() || Newcomer::waits($plan->keep->id);
        foreach ($plan->moves() as $spelling => $value) {
            $journal->update(Spelling::class, $spelling, ['value_id' => $value, 'settled' => 1]);
        }
        Newcomer::settle($journal, [$plan->keep->id]);
        if ($shown) {
            $journal->update(Value::class, $plan->keep->id, ['held' => 0, 'retired' => 0]);
        }
        foreach ($plan->moved as $value) {
            $journal->update(Value::class, $value->id, ['merged_into' => $plan->keep->id]);
        }
    }

    /** @param  Closure(Journal): string  $act */
    private function record(Definition $definition, Closure $act): Change
    {
        ManagersOnly::allow($definition->id);

        return $this->ledger->record(Room::Values, $act) ?? throw new Refused('There was nothing to merge.');
    }

    /** @param  list<string>  $labels */
    private function list(array $labels): string
    {
        return count($labels) <= 3
            ? implode(', ', $labels)
            : implode(', ', array_slice($labels, 0, 2)).' and '.(count($labels) - 2).' more';
    }
}
