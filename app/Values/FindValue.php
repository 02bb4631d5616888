<?php

declare(strict_types=1);

namespace App\Values;

use App\Models\Definition;
use App\Models\Value;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Text\StrictKey;

/** Finds the value that a person means by a text: its label, one of its spellings, or the same letters. */
final class FindValue
{
    public static function known(Definition $definition, string $text): ?Value
    {
        $id = DB::scalar(
            'SELECT coalesce(
                (SELECT id FROM attribute_values WHERE definition_id = :d AND merged_into IS NULL AND label = :t LIMIT 1),
                (SELECT id FROM attribute_values WHERE definition_id = :d AND merged_into IS NULL AND slug = :t LIMIT 1),
                (SELECT value_id FROM spellings WHERE definition_id = :d AND value_id IS NOT NULL AND text = :t LIMIT 1),
                (SELECT value_id FROM spellings WHERE definition_id = :d AND value_id IS NOT NULL AND key = :k LIMIT 1))',
            ['d' => $definition->id, 't' => $text, 'k' => StrictKey::of($text)],
        );

        return $id === null ? null : Value::query()->whereKey($id)->first();
    }

    /** @throws Refused */
    public static function named(Definition $definition, string $text): Value
    {
        return self::known($definition, $text) ?? throw new Refused("{$definition->label} has no value \"{$text}\".");
    }

    /**
     * @param  list<string>  $labels
     * @return list<int> in the same order
     *
     * @throws Refused for the first that is not there
     */
    public static function ids(Definition $definition, array $labels): array
    {
        return array_map(fn (string $label): int => self::named($definition, $label)->id, $labels);
    }
}
