<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Journal;
use App\Vocabulary\Dress;
use App\Vocabulary\SpellingReading;
use Illuminate\Support\Facades\DB;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/** Reads a definition's spellings anew after its kind, unit or separator changed. The texts themselves stay as they came. */
final class ReadAgain
{
    public function spellings(Journal $journal, Definition $definition): void
    {
        $flags = [];
        foreach (NewDefinition::flags($definition) as $value) {
            $journal->insert('attribute_values', $value);
        }
        if ($definition->kind === Kind::Flag) {
            $flags = $definition->values()->pluck('id', 'slug')->all();
        }
        foreach (DB::table('spellings')->where('definition_id', $definition->id)->orderBy('id')->get() as $spelling) {
            $reading = SpellingReading::of($definition->kind, $definition->unit, $spelling->text);
            $journal->update('spellings', $spelling->id, [
                'value_id' => match ($definition->kind) {
                    Kind::Choice => $spelling->value_id ?? $this->value($journal, $definition, $spelling->text),
                    Kind::Flag => $reading->flag === null ? null : $flags[$reading->flag ? 'yes' : 'no'],
                    default => null,
                },
                'number' => $reading->number, 'problem' => $reading->problem,
            ]);
        }
    }

    /** Parts cells that hold several values into those. */
    public function split(Journal $journal, Definition $definition): void
    {
        $column = $definition->asColumn();
        $journal->cells()->clear();
        $joined = DB::table('spellings')->where('definition_id', $definition->id)->where('text', 'like', '%'.addcslashes($definition->separator, '%_\\').'%')->get();
        foreach ($joined as $spelling) {
            $parts = array_values(array_unique($column->spellings($spelling->text)));
            if ($parts === [$spelling->text]) {
                continue;
            }
            $ids = array_map(fn (string $part): int => $this->spelling($journal, $definition, $part), $parts);
            DB::insert('INSERT OR IGNORE INTO temp.going SELECT item_id, definition_id, spelling_id, origin FROM assignments WHERE spelling_id = ?', [$spelling->id]);
            foreach ($ids as $id) {
                DB::insert('INSERT OR IGNORE INTO temp.coming SELECT item_id, definition_id, ?, origin FROM assignments a WHERE spelling_id = ?
                    AND NOT EXISTS (SELECT 1 FROM assignments h WHERE h.item_id = a.item_id AND h.spelling_id = ?)', [$id, $spelling->id, $id]);
            }
        }
        $journal->take();
        $journal->put();
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
        foreach (DB::table('spellings')->where('definition_id', $definition->id)->orderBy('id')->select('text')->cursor() as $spelling) {
            $keys[StrictKey::of($spelling->text)] = true;
            $problem = SpellingReading::of($kind, $unit, $spelling->text)->problem;
            if ($problem !== null) {
                $unread++;
                if (count($samples) < 5) {
                    $samples[] = $problem;
                }
            }
        }

        return ['unread' => $unread, 'values' => $kind === Kind::Choice ? count($keys) : ($kind === Kind::Flag ? 2 : 0), 'samples' => $samples];
    }

    private function spelling(Journal $journal, Definition $definition, string $text): int
    {
        $known = DB::table('spellings')->where('definition_id', $definition->id)->where('text', $text)->value('id');

        return $known ?? $journal->insert('spellings', ['definition_id' => $definition->id, 'text' => $text, 'key' => StrictKey::of($text), 'value_id' => $this->value($journal, $definition, $text)]);
    }

    private function value(Journal $journal, Definition $definition, string $text): int
    {
        $key = StrictKey::of($text);
        $known = DB::table('spellings')->where('definition_id', $definition->id)->where('key', $key)->whereNotNull('value_id')->value('value_id');
        $label = Label::of($text);
        $values = fn () => DB::table('attribute_values')->where('definition_id', $definition->id);

        return $known ?? $values()->whereNull('merged_into')->where('label', $label)->value('id') ?? $journal->insert('attribute_values', [
            'definition_id' => $definition->id, 'label' => $label, 'slug' => Slug::unique($label, fn (string $slug): bool => $values()->where('slug', $slug)->exists()),
            'look' => Dress::wearsColors($definition) ? Dress::fromName($label) : null,
        ]);
    }
}
