<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Definition;
use App\Models\Umbrella;
use App\Models\Value;

/** Which term each value is ticked as: its umbrella, or itself. */
final class TermNumbers
{
    /** In SQL, over attribute_values as v. */
    public const SQL = 'COALESCE(v.umbrella_id + '.Umbrella::TERM.', v.id)';

    /** @return array<int, int> term by value */
    public static function of(Definition $definition): array
    {
        return Value::table('v')
            ->where('definition_id', $definition->id)
            ->whereNull('merged_into')
            ->selectRaw('v.id, '.self::SQL.' AS term')
            ->pluck('term', 'id')
            ->map(intval(...))
            ->all();
    }

    /** @return array<int, int> term by value, without values that are hidden from shoppers */
    public static function shown(Definition $definition): array
    {
        return array_diff_key(
            self::of($definition),
            Value::table()->where('definition_id', $definition->id)->where('held', true)->pluck('id', 'id')->all(),
        );
    }

    /** What a term is called. */
    public static function name(int $term): string
    {
        return (string) ($term > Umbrella::TERM
            ? Umbrella::query()
                ->whereKey($term - Umbrella::TERM)
                ->value('label')
            : Value::query()->whereKey($term)->value('label'));
    }
}
