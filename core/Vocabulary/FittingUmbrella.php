<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Color\BasicColor;
use Lokum\Text\StrictKey;

/** The umbrella that a newcomer seems to belong under (C14). */
final class FittingUmbrella
{
    /**
     * One whose name is among the words of the value, or else one that wears the same basic color.
     *
     * @param  list<string>  $colors  that the value wears, as "#rrggbb"
     * @param  array<array-key, list<string>>  $umbrellas  their colors, by name
     * @return string|null a name; null where none fits
     */
    public static function of(string $label, array $colors, array $umbrellas): ?string
    {
        $words = ' '.StrictKey::of($label).' ';
        $names = array_map(strval(...), array_keys($umbrellas));
        foreach ($names as $name) {
            if (str_contains($words, ' '.StrictKey::of($name).' ')) {
                return $name;
            }
        }
        if (count($colors) !== 1) {
            return null;
        }
        foreach ($names as $name) {
            $own = $umbrellas[$name];
            if (count($own) === 1 && BasicColor::of($own[0]) === BasicColor::of($colors[0])) {
                return $name;
            }
        }

        return null;
    }
}
