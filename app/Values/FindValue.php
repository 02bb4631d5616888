<?php

declare(strict_types=1);

namespace App\Values;

use App\Models\Definition;
use App\Models\Spelling;
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
                (SELECT value_id FROM spellings WHERE definition_id = :d AND value_id IS NOT NULL AND text = :t ORDER BY id LIMIT 1),
                (SELECT value_id FROM spellings WHERE definition_id = :d AND value_id IS NOT NULL AND key = :k ORDER BY id LIMIT 1))',
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

    /**
     * The values that texts come to by their letters, as a delivery's do: the oldest spelling of the same letters says which.
     *
     * @param  list<string>  $keys  strict keys
     * @return array<string, int> values by key, of those that are known
     */
    public static function byKeys(Definition $definition, array $keys): array
    {
        return Spelling::query()
            ->where('definition_id', $definition->id)
            ->whereIn('key', array_values(array_unique($keys)))
            ->whereNotNull('value_id')
            ->orderByDesc('id')
            ->pluck('value_id', 'key')
            ->all();
    }
}
