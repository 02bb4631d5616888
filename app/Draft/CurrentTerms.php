<?php

declare(strict_types=1);

namespace App\Draft;

use App\Models\Umbrella;
use App\Models\Value;

/** Terms that somebody chose by hand follow what becomes of them: merged ones are the one that stayed, gathered ones their umbrella. */
final class CurrentTerms
{
    /**
     * @param  array<string, mixed>  $settings  of a filter
     * @return array<string, mixed>
     */
    public static function bring(array $settings): array
    {
        foreach (['chosen', 'pinned'] as $list) {
            if (isset($settings[$list]) && is_array($settings[$list]) && $settings[$list] !== []) {
                $settings[$list] = array_values(
                    array_unique(array_map(fn (mixed $id): int => self::of((int) $id), $settings[$list])),
                );
            }
        }
        if (isset($settings['looks']) && is_array($settings['looks']) && $settings['looks'] !== []) {
            $looks = [];
            foreach ($settings['looks'] as $term => $look) {
                $looks[self::of((int) $term)] ??= $look;
            }
            $settings['looks'] = $looks;
        }

        return $settings;
    }

    private static function of(int $term): int
    {
        if ($term > Umbrella::TERM) {
            return $term;
        }
        for ($steps = 0; $steps < 100; $steps++) {
            $value = Value::table()
                ->where('id', $term)
                ->first(['merged_into', 'umbrella_id']);
            if ($value === null || $value->merged_into === null) {
                return $value?->umbrella_id === null ? $term : Umbrella::TERM + $value->umbrella_id;
            }
            $term = (int) $value->merged_into;
        }

        return $term;
    }

    /**
     * Filters with hand-picked terms that follow when these end or are gathered.
     *
     * @param  list<int>  $terms
     * @return list<string> titles, with the pages that they are for
     */
    public static function handPicked(string $attribute, array $terms): array
    {
        $found = [];
        foreach (DraftLineups::load()->layers() as $layer) {
            foreach (['added', 'changed'] as $said) {
                $given = $layer->{$said}[$attribute] ?? [];
                $picked = array_map(intval(...), [
                    ...(array) ($given['chosen'] ?? []),
                    ...(array) ($given['pinned'] ?? []),
                    ...array_keys((array) ($given['looks'] ?? [])),
                ]);
                if (array_intersect($picked, $terms) !== []) {
                    $found[] = ($given['title'] ?? $attribute)." ({$layer->name})";
                }
            }
        }

        return $found;
    }
}
