<?php

declare(strict_types=1);

namespace App\Values;

use App\History\Journal;
use App\History\Ledger;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Support\Refused;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/** A value made by hand, with the spelling that is its own: the one equal to its label. */
final readonly class CreateValue
{
    public function __construct(private Ledger $ledger)
    {
    }

    /** @throws Refused when there is one with the same letters already */
    public function __invoke(Definition $definition, string $label): int
    {
        $id = 0;
        $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $label, &$id): string {
            $id = self::write($journal, new ValueMaker($definition, $journal), $definition, $label);

            return 'New value '.Label::of($label)." ({$definition->label})";
        });

        return $id;
    }

    /** @throws Refused as above */
    public static function write(Journal $journal, ValueMaker $maker, Definition $definition, string $text): int
    {
        $label = Label::of($text);
        if ($definition->kind !== Kind::Choice) {
            throw new Refused("{$definition->label} takes no new values.");
        }
        if ($label === '' || mb_strlen($label) > 500) {
            throw new Refused('A value needs a name of 1 to 500 characters.', 'label');
        }
        $known = FindValue::known($definition, $label);
        if ($known !== null) {
            throw new Refused("\"{$label}\" is {$known->label} already.", 'label');
        }
        $value = $maker->make($label);
        self::ownSpelling($journal, $definition, $value, $label);

        return $value;
    }

    /** The spelling equal to a value's label; it is made where the value has come by its label otherwise. */
    public static function ownSpelling(Journal $journal, Definition $definition, int $value, string $label): int
    {
        $own = Spelling::table()
            ->where('definition_id', $definition->id)
            ->where('text', $label)
            ->first(['id', 'value_id']);
        if ($own === null) {
            return $journal->insert(Spelling::class, [
                'definition_id' => $definition->id,
                'text' => $label,
                'key' => StrictKey::of($label),
                'value_id' => $value,
            ]);
        }
        if ($own->value_id !== $value) {
            throw new Refused("The spelling \"{$label}\" belongs to another value.");
        }

        return $own->id;
    }
}
