<?php

declare(strict_types=1);

namespace Lokum\Color;

/**
 * The basic color that people would call a color by: the eleven terms of Berlin and Kay (1969). Each has several typical
 * colors (basic-colors.php); the nearest one by CIEDE2000 gives the name.
 */
final class BasicColor
{
    /** @param  string  $hex  #rrggbb */
    public static function of(string $hex): string
    {
        /** @var array<string, list<Lab>>|null $typical */
        static $typical = null;
        if ($typical === null) {
            /** @var array<string, list<string>> $named */
            $named = require __DIR__.'/basic-colors.php';
            $typical = array_map(fn (array $colors): array => array_map(Lab::ofHex(...), $colors), $named);
        }
        $color = Lab::ofHex($hex);
        $best = ['', INF];
        foreach ($typical as $name => $colors) {
            foreach ($colors as $one) {
                $difference = $color->difference($one);
                $best = $difference < $best[1] ? [$name, $difference] : $best;
            }
        }

        return $best[0];
    }
}
