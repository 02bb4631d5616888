<?php

declare(strict_types=1);

namespace App\Values;

use App\Models\Definition;
use App\Models\FormerAddress;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;

/** What terms are called and where they stand in addresses: no two terms of an attribute are one for shoppers. */
final class TermNames
{
    /**
     * @param  list<int>  $mine  terms that may go by the name
     *
     * @throws Refused when another term goes by it
     */
    public static function allow(Definition $definition, string $name, array $mine, string $field): void
    {
        $key = StrictKey::of($name);
        foreach ($definition->values()->whereNull('umbrella_id')->where('held', false)->get() as $value) {
            if (! in_array($value->id, $mine, true) && self::goesBy($value, $key)) {
                throw new Refused(
                    "There is a value {$value->label} that shoppers tick under this name. Choose another name, or bring that ".
                    'value in as well.',
                    $field,
                );
            }
        }
        foreach (Umbrella::query()->where('definition_id', $definition->id)->get() as $umbrella) {
            if (! in_array(Umbrella::TERM + $umbrella->id, $mine, true) && self::goesBy($umbrella, $key)) {
                throw new Refused(
                    "There is an umbrella {$umbrella->label} that shoppers tick under this name. Choose another name, or gather under it.",
                    $field,
                );
            }
        }
    }

    /**
     * An address that no other term of the attribute has.
     *
     * @param  list<int>  $inside  values that end as terms: their addresses may be taken over
     */
    public static function slug(Definition $definition, string $label, array $inside = []): string
    {
        $taken = self::taken($definition, $inside);

        return Slug::unique($label, fn (string $slug): bool => isset($taken[$slug]));
    }

    /**
     * @param  list<int>  $inside  values that end as terms
     * @return array<string, true> addresses of the attribute's terms, and of those that ended and lead somewhere
     */
    public static function taken(Definition $definition, array $inside = []): array
    {
        return array_fill_keys(
            [
                ...Value::query()->where('definition_id', $definition->id)->whereNotIn('id', $inside)->pluck('slug')->all(),
                ...Umbrella::query()->where('definition_id', $definition->id)->pluck('slug')->all(),
                ...FormerAddress::query()
                    ->where('definition_id', $definition->id)
                    ->whereNotIn('value_id', $inside)
                    ->pluck('slug')
                    ->all(),
            ],
            true,
        );
    }

    private static function goesBy(Value|Umbrella $term, string $key): bool
    {
        return StrictKey::of($term->label) === $key || StrictKey::of((string) $term->look()->label) === $key;
    }
}
