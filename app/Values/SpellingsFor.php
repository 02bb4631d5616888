<?php

declare(strict_types=1);

namespace App\Values;

use App\History\Journal;
use App\Models\Definition;
use App\Models\Spelling;
use Illuminate\Support\Facades\DB;
use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/**
 * The spellings that stand for texts which people type and rules give. One that is not there yet gets a number that no row has,
 * and is made only when a cell that comes needs it.
 */
final class SpellingsFor
{
    /** Beyond any row's id. */
    private const NOT_MADE = 1_000_000_000_000;

    /** @var array<string, array{0: int, 1: int}> by text */
    private array $known = [];

    /** @var array<int, string> texts of spellings that are not made yet, by their number */
    private array $waiting = [];

    public function __construct(private readonly Definition $definition)
    {
    }

    /** @return array{0: int, 1: int} the spelling, and what tells values apart: the value, or minus the spelling where it has none */
    public function text(string $text): array
    {
        return $this->known[$text] ??= $this->definition->kind === Kind::Choice ? $this->ofValue($text) : $this->ofText($text);
    }

    /** The text of a spelling that is not made yet. */
    public function textOf(int $number): ?string
    {
        return $this->waiting[$number] ?? null;
    }

    /** @return list<string> labels of the values that have to be made for the cells that come */
    public function newValues(): array
    {
        return $this->definition->kind !== Kind::Choice
            ? []
            : array_values(
                array_map(
                    Label::of(...),
                    array_filter(
                        array_intersect_key($this->waiting, $this->needed()),
                        fn (string $text): bool => FindValue::known($this->definition, $text) === null,
                    ),
                ),
            );
    }

    /** Makes what the cells that come need, and puts it into them. */
    public function make(Journal $journal): void
    {
        $maker = new ValueMaker($this->definition, $journal);
        foreach (array_intersect_key($this->waiting, $this->needed()) as $number => $text) {
            DB::update('UPDATE temp.coming SET spelling_id = ? WHERE spelling_id = ?', [$this->made($journal, $maker, $text), $number]);
        }
    }

    /** @return array<int, true> */
    private function needed(): array
    {
        return array_fill_keys(
            array_column(
                DB::select('SELECT DISTINCT spelling_id FROM temp.coming WHERE spelling_id >= ?', [self::NOT_MADE]),
                'spelling_id',
            ),
            true,
        );
    }

    private function made(Journal $journal, ValueMaker $maker, string $text): int
    {
        if ($this->definition->kind === Kind::Choice) {
            $value =
                FindValue::known($this->definition, $text) ??
                $this->definition->values()->findOrFail(CreateValue::write($journal, $maker, $this->definition, $text));

            return CreateValue::ownSpelling($journal, $this->definition, $value->id, $value->label);
        }
        $reading = SpellingReading::by($this->definition, $text);

        return $journal->insert(Spelling::class, [
            'definition_id' => $this->definition->id,
            'text' => $text,
            'key' => StrictKey::of($text),
            'value_id' => FlagValues::said($this->definition, $reading),
            'number' => $reading->number,
        ]);
    }

    /** @return array{0: int, 1: int} */
    private function ofValue(string $text): array
    {
        $value = FindValue::known($this->definition, $text);
        if ($value === null) {
            $number = $this->wait($text);

            return [$number, $number];
        }
        $own = Spelling::table()
            ->where('definition_id', $this->definition->id)
            ->where('text', $value->label)
            ->where('value_id', $value->id)
            ->value('id');

        return [$own ?? $this->wait($value->label), $value->id];
    }

    /** @return array{0: int, 1: int} */
    private function ofText(string $text): array
    {
        $spelling = Spelling::table()
            ->where('definition_id', $this->definition->id)
            ->where('text', $text)
            ->first(['id', 'value_id']);
        if ($spelling !== null) {
            return [$spelling->id, $spelling->value_id ?? -$spelling->id];
        }
        $number = $this->wait($text);

        $reading = SpellingReading::by($this->definition, $text);

        return [$number, FlagValues::said($this->definition, $reading) ?? -$number];
    }

    private function wait(string $text): int
    {
        $number = self::NOT_MADE + count($this->waiting);
        $this->waiting[$number] = $text;

        return $number;
    }
}
