<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\State;
use App\Support\Refused;

/** Accepts a definition, or changes it; its spellings are read anew where the kind or unit changes. */
final readonly class SaveDefinition
{
    public function __construct(private Ledger $ledger, private ReadAgain $readAgain)
    {
    }

    /**
     * @param  int  $version  that the person started from
     *
     * @throws Refused when someone else saved it meanwhile
     */
    public function __invoke(Definition $definition, DefinitionForm $form, State $state, int $version): ?Change
    {
        return $this->ledger->record(Room::Definitions, function (Journal $journal) use (
            $definition,
            $form,
            $state,
            $version,
        ): string {
            ManagersOnly::allow($definition->refresh()->id);
            $before = $definition->replicate();
            if ($definition->version !== $version) {
                throw Refused::changedMeanwhile($definition->label);
            }
            $journal->update(
                Definition::class,
                $definition->id,
                [
                    'label' => $form->label,
                    'kind' => $form->kind->value,
                    'level' => $form->level->value,
                    'multiple' => (int) $form->multiple,
                    'separator' => $form->separator,
                    'unit' => $form->unit,
                    'day_order' => $form->dayOrder?->value,
                    'state' => $state->value,
                ] + $form->about(),
            );
            $definition->refresh();
            if ($before->isReadOtherwise($definition)) {
                $this->readAgain->spellings($journal, $definition);
            }
            if ($definition->multiple && (! $before->multiple || $before->separator !== $definition->separator)) {
                $this->readAgain->split($journal, $definition);
            }

            if ($before->level !== $definition->level) {
                $this->readAgain->level($journal, $definition);
            }

            return match (true) {
                $before->state === $state => "Changed {$form->label}",
                $state === State::Accepted => "Accepted {$form->label}",
                $state === State::Aside => "Left {$form->label} aside",
                $state === State::Proposed => "Proposed {$form->label} again",
            };
        });
    }

    /**
     * Accepts several proposals as they stand, or leaves them aside.
     *
     * @param  list<int>  $ids
     */
    public function several(array $ids, State $state): ?Change
    {
        return $this->ledger->record(Room::Definitions, function (Journal $journal) use ($ids, $state): string {
            $definitions = Definition::query()->whereKey($ids)->get();
            foreach ($definitions as $definition) {
                $journal->update(Definition::class, $definition->id, ['state' => $state->value]);
            }
            $labels = $definitions->pluck('label')->join(', ', ' and ');

            return $state === State::Aside ? "Left {$labels} aside" : "Accepted {$labels}";
        });
    }
}
