<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\TermNumbers;
use App\Models\Definition;
use App\Models\FormerAddress;
use App\Models\Spelling;
use App\Models\Value;
use Lokum\Text\StrictKey;

/** Addresses that lead on: of values that are no terms any more, merged away or under an umbrella, and those that values had before. */
final class EndedAddresses
{
    /** @return array<string, int> number of the term by slug */
    public static function of(Definition $definition): array
    {
        $terms = TermNumbers::of($definition);
        $values = Value::table()
            ->where('definition_id', $definition->id)
            ->where(
                fn ($either) => $either
                    ->whereNotNull('merged_into')
                    ->orWhere(fn ($inside) => $inside->whereNotNull('umbrella_id')->where('held', false)),
            )
            ->get(['id', 'slug', 'merged_into']);
        $merged = $values->pluck('merged_into', 'id')->all();
        $former = FormerAddress::table()->where('definition_id', $definition->id)->get(['value_id as id', 'slug']);
        $leads = [];
        foreach ([...$values, ...$former] as $value) {
            // A value merged into one that was merged in its turn leads to the last.
            for ($stayed = (int) $value->id; isset($merged[$stayed]); $stayed = (int) $merged[$stayed]);
            $leads[(string) $value->slug] = $terms[$stayed] ?? $stayed;
        }

        return $leads;
    }

    /**
     * Addresses of the values of definitions that were merged into this one, and the terms that are the same by their letters.
     *
     * @return array<string, int> number of the term by slug
     */
    public static function ofMerged(Definition $definition): array
    {
        $goes = array_keys(array_filter(self::stays(), fn (int $keep): bool => $keep === $definition->id));
        if ($goes === []) {
            return [];
        }
        $terms = TermNumbers::of($definition);
        $byKey = Spelling::table()
            ->where('definition_id', $definition->id)
            ->whereNotNull('value_id')
            ->pluck('value_id', 'key')
            ->all();
        $leads = [];
        foreach (
            Value::table()
                ->whereIn('definition_id', $goes)
                ->orderBy('id')
                ->get(['slug', 'label']) as $value
        ) {
            $stayed = $byKey[StrictKey::of((string) $value->label)] ?? null;
            if ($stayed !== null) {
                $leads[(string) $value->slug] ??= $terms[$stayed] ?? (int) $stayed;
            }
        }

        return $leads;
    }

    /** @return array<string, string> slugs of definitions in use by the ones that they had before */
    public static function renamed(): array
    {
        $led = [];
        foreach (Definition::query()->accepted()->where('former_slugs', '!=', '[]')->get() as $definition) {
            $led += array_fill_keys($definition->former_slugs, $definition->slug);
        }

        return $led;
    }

    /** @return array<string, string> slug of the definition that an address leads to, by one that was merged into it or that it had */
    public static function ofDefinitions(): array
    {
        $stays = self::stays();
        $all = Definition::query()->get();
        $slugs = $all->pluck('slug', 'id')->all();
        $leads = [];
        foreach ($all as $definition) {
            $id = $definition->id;
            $words = [...$definition->former_slugs, ...(isset($stays[$id]) ? [$definition->slug] : [])];
            $leads += array_fill_keys($words, $slugs[$stays[$id] ?? $id]);
        }

        return $leads;
    }

    /** @return array<int, int> the definition that stayed in the end, by one that was merged */
    public static function stays(): array
    {
        $merged = Definition::query()->whereNotNull('merged_into')->pluck('merged_into', 'id')->all();

        return array_map(function (int $keep) use ($merged): int {
            for ($steps = 0; isset($merged[$keep]) && $steps < 100; $steps++) {
                $keep = $merged[$keep];
            }

            return $keep;
        }, $merged);
    }
}
