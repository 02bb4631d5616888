<?php

declare(strict_types=1);

namespace App\Values;

use App\History\Journal;
use App\Models\Definition;
use App\Models\Value;
use Lokum\Vocabulary\Kind;

/** The two values of a yes/no attribute, which it has from the start. */
final class FlagValues
{
    public const LABELS = ['yes' => 'Yes', 'no' => 'No'];

    /** @return array<string, int> ids by "yes" and "no"; none for another kind */
    public static function of(Definition $definition): array
    {
        return $definition->kind !== Kind::Flag
            ? []
            : Value::query()
                ->where('definition_id', $definition->id)
                ->whereIn('slug', array_keys(self::LABELS))
                ->pluck('id', 'slug')
                ->all();
    }

    /** The value that a text says; null where it says neither. */
    public static function said(Definition $definition, SpellingReading $reading): ?int
    {
        return $reading->flag === null ? null : self::of($definition)[$reading->flag ? 'yes' : 'no'] ?? null;
    }

    /**
     * Makes those that are missing; one that was merged or gathered while the attribute was a choice is itself again.
     *
     * @param  Journal|null  $journal  null where what is made belongs to no act, as in a reading
     */
    public static function make(Definition $definition, ?Journal $journal): void
    {
        if ($definition->kind !== Kind::Flag) {
            return;
        }
        $known = self::of($definition);
        foreach (array_keys(self::LABELS) as $place => $slug) {
            if (isset($known[$slug])) {
                $journal?->update(Value::class, $known[$slug], ['merged_into' => null, 'umbrella_id' => null]);

                continue;
            }
            $row = [
                'definition_id' => $definition->id,
                'label' => self::LABELS[$slug],
                'slug' => $slug,
                'position' => $place + 1,
            ];
            if ($journal === null) {
                Value::query()->create($row);
            } else {
                $journal->insert(Value::class, $row);
            }
        }
    }
}
