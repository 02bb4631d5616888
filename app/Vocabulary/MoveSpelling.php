<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ItemsOfLevel;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Assignment;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\Value;
use App\Support\Refused;
use App\Values\ValueMaker;
use Lokum\Text\StrictKey;

/** Takes a spelling out of a value: into another, or into one of its own. All with the same letters go with it. */
final readonly class MoveSpelling
{
    public function __construct(private Ledger $ledger)
    {
    }

    public function consequences(Definition $definition, Spelling $spelling): SpellingMove
    {
        $together = $this->together($spelling);

        return new SpellingMove($together, self::products($definition, $together), $this->obstacle($spelling));
    }

    /** @return list<Spelling> those that go together */
    private function together(Spelling $spelling): array
    {
        return array_values(
            Spelling::query()
                ->where('definition_id', $spelling->definition_id)
                ->where('value_id', $spelling->value_id)
                ->where('key', $spelling->key)
                ->get()
                ->sortBy('id')
                ->all(),
        );
    }

    /** Why it cannot be taken out; null where it can. */
    private function obstacle(Spelling $spelling): ?string
    {
        $value = Value::query()->find($spelling->value_id);

        return match (true) {
            $value === null => 'It belongs to no value.',
            StrictKey::of($value->label) === $spelling->key => 'It is '.
                "what {$value->label} is called. Rename the value first, or merge the whole value.",
            default => null,
        };
    }

    /**
     * @param  Value|null  $to  null: a value of its own
     *
     * @throws Refused
     */
    public function __invoke(Definition $definition, Spelling $spelling, ?Value $to): Change
    {
        ManagersOnly::allow($definition->id);
        if (($why = $this->obstacle($spelling)) !== null) {
            throw new Refused($why);
        }
        if ($to !== null && $to->id === $spelling->value_id) {
            throw new Refused("It belongs to {$to->label} already.", 'to');
        }
        $change = $this->ledger->record(Room::Values, function (Journal $journal) use ($definition, $spelling, $to): string {
            $from = Value::query()->findOrFail($spelling->value_id);
            $target = $to->id ?? $this->own($journal, $definition, $spelling);
            foreach ($this->together($spelling) as $one) {
                $journal->update(Spelling::class, $one->id, ['value_id' => $target, 'settled' => 1]);
            }

            return 'Took the spelling "'.
                mb_strimwidth($spelling->text, 0, 60, '…').
                "\" out of {$from->label} ".
                ($to === null ? 'into a value of its own' : "into {$to->label}").
                " ({$definition->label})";
        });

        return $change ?? throw new Refused('Nothing was different.');
    }

    /** The value that it was before it was merged, if it was one: its address is good again. */
    private function own(Journal $journal, Definition $definition, Spelling $spelling): int
    {
        $was = Value::query()
            ->where('definition_id', $definition->id)
            ->where('merged_into', $spelling->value_id)
            ->get()
            ->first(fn (Value $value): bool => StrictKey::of($value->label) === $spelling->key);
        if ($was !== null) {
            $journal->update(Value::class, $was->id, ['merged_into' => null]);

            return $was->id;
        }

        return (new ValueMaker($definition, $journal))->make($spelling->text);
    }

    /** @param  list<Spelling>  $spellings */
    private static function products(Definition $definition, array $spellings): int
    {
        return (int) Assignment::table('a')
            ->join('items as i', 'i.id', '=', 'a.item_id')
            ->whereIn('a.spelling_id', array_map(fn (Spelling $one): int => $one->id, $spellings))
            ->whereRaw(ItemsOfLevel::on($definition->level))
            ->selectRaw('COUNT(DISTINCT '.ItemsOfLevel::PRODUCT.') AS n')
            ->value('n');
    }
}
