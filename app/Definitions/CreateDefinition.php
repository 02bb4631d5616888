<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Definition;
use App\Models\Room;
use App\Models\State;
use App\Support\Refused;
use App\Values\FlagValues;
use Lokum\Text\StrictKey;

/** A definition made by hand. */
final readonly class CreateDefinition
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when one has the same name in the same letters, since each would be a filter of its own */
    public function __invoke(DefinitionForm $form): Definition
    {
        $key = StrictKey::of($form->label);
        foreach (Definition::query()->get() as $other) {
            if (StrictKey::of($other->label) === $key || $other->goesBy((string) $form->slug)) {
                throw new Refused("There is a definition {$other->label} already ({$other->slug}).", 'label');
            }
        }
        $id = 0;
        $this->ledger->record(Room::Definitions, function (Journal $journal) use ($form, &$id): string {
            $id = $journal->insert(Definition::class, $form->about() + NewDefinition::row($form->column(), State::Accepted, null));
            FlagValues::make(Definition::query()->whereKey($id)->firstOrFail(), $journal);

            return "Defined {$form->label}";
        });

        return Definition::query()->findOrFail($id);
    }
}
