<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Cells\CellSheet;
use App\History\Journal;
use App\Models\Assignment;
use App\Models\Definition;
use App\Models\KeptApart;
use App\Models\Spelling;
use App\Models\Value;
use App\Values\FindValue;
use App\Values\FlagValues;
use App\Values\SpellingReading;
use App\Values\ValueMaker;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Lokum\Feed\Separator;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/** Reads a definition's spellings anew after its kind, unit or separator changed. The texts themselves stay as they came. */
final class ReadAgain
{
    public function spellings(Journal $journal, Definition $definition): void
    {
        FlagValues::make($definition, $journal);
        $flags = FlagValues::of($definition);
        $maker = new ValueMaker($definition, $journal);
        foreach (Spelling::table()->where('definition_id', $definition->id)->orderBy('id')->get() as $spelling) {
            $reading = SpellingReading::by($definition, $spelling->read_as ?? $spelling->text);
            $journal->update(Spelling::class, $spelling->id, [
                'value_id' => match ($definition->kind) {
                    Kind::Choice => $spelling->value_id ??
                        FindValue::known($definition, $spelling->text)->id ??
                        $maker->make($spelling->text),
                    Kind::Flag => $reading->flag === null ? null : $flags[$reading->flag ? 'yes' : 'no'] ?? null,
                    default => null,
                },
                'number' => $reading->number,
                'problem' => $reading->problem,
            ]);
        }
    }

    /** Spellings that hold several values, parted by the definition's separator. */
    public function joined(Definition $definition): Builder
    {
        return Spelling::table()
            ->where('definition_id', $definition->id)
            ->where(function (Builder $any) use ($definition): void {
                foreach (Separator::of($definition->separator)->each as $separator) {
                    $any->orWhereRaw('instr(text, ?) > 0', [$separator]);
                }
            });
    }

    /** Parts cells that hold several values into those. */
    public function split(Journal $journal, Definition $definition): void
    {
        $column = $definition->asColumn();
        $journal->cells()->clear();
        $parted = [];
        $maker = new ValueMaker($definition, $journal);
        foreach ($this->joined($definition)->get() as $spelling) {
            $parts = array_values(array_unique($column->spellings($spelling->text)));
            if ($parts === [$spelling->text]) {
                continue;
            }
            $parted[$spelling->id] = $spelling->value_id;
            $ids = array_map(fn (string $part): int => $this->spelling($journal, $maker, $definition, $part), $parts);
            DB::insert(
                'INSERT OR IGNORE INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments
                    WHERE spelling_id = ?',
                [$spelling->id],
            );
            foreach ($ids as $id) {
                DB::insert(
                    'INSERT OR IGNORE INTO temp.coming SELECT item_id, definition_id, ?, origin FROM assignments a WHERE spelling_id = ?
                    AND NOT EXISTS (SELECT 1 FROM assignments h WHERE h.item_id = a.item_id AND h.spelling_id = ?)',
                    [$id, $spelling->id, $id],
                );
            }
        }
        $journal->take();
        $journal->put();
        $this->dropCombinations($journal, $parted);
    }

    /**
     * A combination that was parted is no value any more; one that something else holds on to stays.
     *
     * @param  array<int, int|null>  $parted  values by spelling
     */
    private function dropCombinations(Journal $journal, array $parted): void
    {
        foreach (array_keys($parted) as $spelling) {
            if (! Assignment::table()->where('spelling_id', $spelling)->exists()) {
                $journal->delete(Spelling::class, $spelling);
            }
        }
        foreach (array_unique(array_filter($parted)) as $value) {
            $held =
                Spelling::table()->where('value_id', $value)->exists() ||
                Value::table()->where('merged_into', $value)->exists() ||
                KeptApart::table()->where('one_id', $value)->orWhere('other_id', $value)->exists();
            if (! $held) {
                $journal->delete(Value::class, $value);
            }
        }
    }

    /**
     * Brings cells to the level that the definition has now: a product's to its variants, or what its variants agree on to the
     * product. Where variants differ, their cells stay with them and count again when the level goes back.
     */
    public function level(Journal $journal, Definition $definition): void
    {
        $journal->cells()->clear();
        if ($definition->level === Level::Variant) {
            DB::insert(
                'INSERT INTO temp.coming SELECT v.id, a.definition_id, a.spelling_id, a.origin FROM assignments a
                    JOIN items v ON v.parent_id = a.item_id
                WHERE a.definition_id = ? AND NOT EXISTS (SELECT 1 FROM assignments h
                WHERE h.item_id = v.id AND h.definition_id = a.definition_id)',
                [$definition->id],
            );
            DB::insert(
                'INSERT INTO temp.going SELECT a.item_id, a.definition_id, a.spelling_id, a.origin FROM assignments a
                    JOIN items i ON i.id = a.item_id WHERE a.definition_id = ? AND i.variant_count > 0',
                [$definition->id],
            );
        } else {
            $agree = self::agreeing($definition);
            DB::insert(
                "INSERT OR IGNORE INTO temp.coming SELECT v.parent_id, a.definition_id, MIN(a.spelling_id), MIN(a.origin)
                    FROM assignments a JOIN items v ON v.id = a.item_id JOIN spellings s ON s.id = a.spelling_id
                WHERE a.definition_id = ? AND v.parent_id IN ({$agree}) AND NOT EXISTS (SELECT 1 FROM assignments h
                WHERE h.item_id = v.parent_id AND h.definition_id = a.definition_id) GROUP BY v.parent_id, ".
                    CellSheet::TOKEN,
                [$definition->id, $definition->id],
            );
            DB::insert(
                "INSERT INTO temp.going SELECT a.item_id, a.definition_id, a.spelling_id, a.origin FROM assignments a
                    JOIN items v ON v.id = a.item_id WHERE a.definition_id = ? AND v.parent_id IN ({$agree})",
                [$definition->id, $definition->id],
            );
        }
        $journal->take();
        $journal->put();
    }

    /** @return int products whose variants carry different values, so that they would stay with the variants */
    public function differing(Definition $definition): int
    {
        return $definition->multiple
            ? 0
            : (int) DB::scalar(
                'SELECT COUNT(DISTINCT v.parent_id) FROM assignments a JOIN items v ON v.id = a.item_id
                    WHERE a.definition_id = ? AND v.parent_id IS NOT NULL AND v.parent_id NOT IN ('.
                    self::agreeing($definition).
                    ')',
                [$definition->id, $definition->id],
            );
    }

    /** Products whose variants say one thing; every product where several values may stand. Binds the definition. */
    private static function agreeing(Definition $definition): string
    {
        return 'SELECT v.parent_id FROM assignments a JOIN items v ON v.id = a.item_id JOIN spellings s ON s.id = a.spelling_id
            WHERE a.definition_id = ? AND v.parent_id IS NOT NULL GROUP BY v.parent_id'.
            ($definition->multiple ? '' : ' HAVING COUNT(DISTINCT '.CellSheet::TOKEN.') = 1');
    }

    /**
     * What a change of kind would find: texts that cannot be read, values that would arise.
     *
     * @return array{unread: int, values: int, samples: list<string>}
     */
    public function consequences(Definition $definition, Kind $kind, ?string $unit): array
    {
        $unread = 0;
        $samples = [];
        $keys = [];
        foreach (
            Spelling::table()->where('definition_id', $definition->id)->orderBy('id')->select('text')->cursor() as $spelling
        ) {
            $keys[StrictKey::of($spelling->text)] = true;
            $problem = SpellingReading::of($kind, $unit, $spelling->text)->problem;
            if ($problem !== null) {
                $unread++;
                if (count($samples) < 5) {
                    $samples[] = $problem;
                }
            }
        }

        return [
            'unread' => $unread,
            'values' => $kind === Kind::Choice ? count($keys) : ($kind === Kind::Flag ? 2 : 0),
            'samples' => $samples,
        ];
    }

    private function spelling(Journal $journal, ValueMaker $maker, Definition $definition, string $text): int
    {
        $known = Spelling::table()->where('definition_id', $definition->id)->where('text', $text)->value('id');

        return $known ??
            $journal->insert(Spelling::class, [
                'definition_id' => $definition->id,
                'text' => $text,
                'key' => StrictKey::of($text),
                'value_id' => FindValue::known($definition, $text)->id ?? $maker->make($text),
            ]);
    }
}
