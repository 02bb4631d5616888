<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Definition;
use App\Models\State;
use Illuminate\Support\Collection;
use Lokum\Text\WordForms;

/** Definitions whose names differ only in letters, spaces, UK or US spelling or plural: each would be a filter of its own. */
final class LikeNames
{
    /**
     * @param  Collection<int, Definition>  $definitions
     * @return list<list<Definition>> the one in use for longest first
     */
    public static function among(Collection $definitions): array
    {
        $groups = $definitions
            ->filter(fn (Definition $definition): bool => $definition->state !== State::Aside)
            ->groupBy(fn (Definition $definition): string => WordForms::key($definition->label))
            ->filter(fn (Collection $group, string $key): bool => $key !== '' && $group->count() > 1);

        $isUsed = fn (Definition $definition): array => [$definition->state === State::Accepted ? 0 : 1, $definition->id];

        return array_values(
            $groups->map(fn (Collection $group): array => array_values($group->sortBy($isUsed)->all()))->all(),
        );
    }
}
