<?php

declare(strict_types=1);

namespace App\Definitions;

use App\History\Remembered;
use App\Models\Definition;
use App\Models\State;
use Illuminate\Support\Collection;
use Lokum\LookAlike\AttributeNames;

/** Definitions whose names mean one thing, by their letters, words, unit or language: each would be a filter of its own. */
final class LikeNames
{
    /**
     * @param  Collection<int, Definition>  $definitions
     * @return list<list<Definition>> the one in use for longest first
     */
    public static function among(Collection $definitions): array
    {
        $all = array_values(
            $definitions->filter(fn (Definition $definition): bool => $definition->state !== State::Aside)->all(),
        );
        $isUsed = fn (Definition $definition): array => [$definition->state === State::Accepted ? 0 : 1, $definition->id];

        $labels = array_map(fn (Definition $definition): string => $definition->label, $all);
        $alike = Remembered::ofInput('like names', $labels, fn (): array => AttributeNames::alike($labels));

        return array_map(
            fn (array $places): array => array_values(
                collect($places)
                    ->map(fn (int $place): Definition => $all[$place])
                    ->sortBy($isUsed)
                    ->all(),
            ),
            $alike,
        );
    }
}
