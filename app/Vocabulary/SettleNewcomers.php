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
use App\Values\FindValue;

/** Decides on newcomers, one or many at once: the same as a value that was there, under an umbrella, or a value of its own. */
final readonly class SettleNewcomers
{
    public function __construct(private Ledger $ledger, private FindNewcomers $find, private MergeValues $merge)
    {
    }

    /**
     * @param  array<int, string>  $decisions  "merge", "gather", "keep" or "proposed" by spelling
     * @param  bool  $byItself  whether nobody has decided: what landed is listed still, to be looked at
     * @param  array<int, int>  $shown  the value that each was shown to be the same as, by spelling; 0 for none
     *
     * @throws Refused where something else is proposed by now
     */
    public function __invoke(Definition $definition, array $decisions, array $shown = [], bool $byItself = false): Change
    {
        ManagersOnly::allow($definition->id);
        $waiting = array_filter($this->find->of($definition), fn (Newcomer $one): bool => isset($decisions[$one->spelling]));
        if ($waiting === []) {
            throw new Refused('Somebody has decided on them meanwhile, or none is ticked.');
        }
        foreach ($waiting as $one) {
            if (
                $decisions[$one->spelling] !== 'keep' &&
                isset($shown[$one->spelling]) &&
                $shown[$one->spelling] !== ($one->same->id ?? 0)
            ) {
                throw new Refused(
                    "What \"{$one->text}\" seems to be has changed meanwhile: ".
                        ($one->same->label ?? 'nothing that is here').
                        '. Look at it again.',
                );
            }
        }
        $done = ['merge' => 0, 'gather' => 0, 'keep' => 0];
        $change = $this->ledger->record(Room::Values, function (Journal $journal) use (
            $definition,
            $decisions,
            $waiting,
            $byItself,
            &$done,
        ): string {
            $merges = [];
            $gathers = [];
            foreach ($waiting as $newcomer) {
                $decision =
                    $decisions[$newcomer->spelling] === 'proposed' ? $newcomer->proposes() : $decisions[$newcomer->spelling];
                if ($decision === 'merge' && $newcomer->same !== null) {
                    $merges[$newcomer->same->id][] = $newcomer->value->id;
                } elseif ($decision === 'gather' && $newcomer->under !== null) {
                    $gathers[$newcomer->under][$newcomer->value->id] = $newcomer->value;
                } else {
                    $decision = 'keep';
                    $this->keep($journal, $definition, $newcomer);
                }
                $done[$decision]++;
            }
            foreach ($merges as $keep => $moved) {
                $plan = $this->merge->plan($definition, $keep, array_values(array_unique($moved)));
                $this->merge->write($journal, $plan);
                foreach ($byItself ? array_keys($plan->moves()) : [] as $spelling) {
                    $journal->update(Spelling::class, $spelling, ['settled' => 0]);
                }
            }
            foreach ($gathers as $label => $values) {
                GatherValues::write($journal, $definition, (string) $label, array_values($values));
                foreach ($values as $value) {
                    $journal->update(Value::class, $value->id, ['held' => 0]);
                }
            }

            return ($byItself ? 'By itself settled ' : 'Settled ').
                number_format(array_sum($done)).
                ' '.
                (array_sum($done) === 1 ? 'newcomer' : 'newcomers').
                ": {$done['merge']} merged, {$done['gather']} gathered, {$done['keep']} kept ({$definition->label})";
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /**
     * What somebody says that newcomers are, whatever they seem to be.
     *
     * @param  array<int, string>  $typed  names or spellings of values that are there, by the newcomer's spelling
     *
     * @throws Refused naming the row where there is no such value
     */
    public function said(Definition $definition, array $typed): Change
    {
        ManagersOnly::allow($definition->id);
        $waiting = array_filter(
            $this->find->of($definition),
            fn (Newcomer $one): bool => isset($typed[$one->spelling]) && ! $one->resolved,
        );
        $merges = [];
        foreach ($waiting as $one) {
            $field = "is.{$one->spelling}";
            $value =
                FindValue::known($definition, $typed[$one->spelling]) ??
                throw new Refused("{$definition->label} has no value \"{$typed[$one->spelling]}\".", $field);
            if ($value->id === $one->value->id) {
                throw new Refused('That is what it is called itself. Press N where it is a value of its own.', $field);
            }
            $merges[$value->id][$one->value->id] = $field;
        }
        $moved = array_replace(...array_values($merges), ...[[]]);
        foreach (array_intersect_key($moved, $merges) as $field) {
            throw new Refused('Another newcomer is said to be this one. Decide on one of them after the other.', $field);
        }

        return $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $merges, $moved): string {
            foreach ($merges as $keep => $those) {
                $this->merge->write($journal, $this->merge->plan($definition, $keep, array_keys($those)));
            }

            return 'Settled '.
                number_format(count($moved)).
                ' '.
                (count($moved) === 1 ? 'newcomer' : 'newcomers').
                " as values that were there ({$definition->label})";
        }) ?? throw new Refused('Somebody has decided on them meanwhile, or no name was typed.');
    }

    /** It is what it is; a value that it seemed to be is not proposed for it again. */
    private function keep(Journal $journal, Definition $definition, Newcomer $newcomer): void
    {
        if ($newcomer->resolved) {
            $journal->update(Spelling::class, $newcomer->spelling, ['settled' => 1]);
        } else {
            Newcomer::settle($journal, [$newcomer->value->id]);
            $journal->update(Value::class, $newcomer->value->id, ['held' => 0]);
            if ($newcomer->same !== null) {
                KeepApart::write($journal, $definition, [$newcomer->value->id, $newcomer->same->id]);
            }
        }
    }
}
