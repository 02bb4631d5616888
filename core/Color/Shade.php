<?php

declare(strict_types=1);

namespace Lokum\Color;

/**
 * What a word before or behind a color's name does to it, in CIE L*a*b*: "pale" goes a share of the way to white and loses chroma,
 * "dark" keeps a share of its lightness (shades.php). How near they come is measured against published
 * names (tests/Outside/ColorNamesTest).
 */
final class Shade
{
    /** @param  string  $word  in small letters */
    public static function knows(string $word): bool
    {
        return isset(self::shares()[$word]);
    }

    /**
     * @param  string  $hex  #rrggbb
     * @param  list<string>  $words  in small letters; those that are none change nothing
     * @return string #rrggbb
     */
    public static function of(string $hex, array $words): string
    {
        $color = Lab::ofHex($hex);
        foreach ($words as $word) {
            [$white, $lightness, $chroma] = self::shares()[$word] ?? [0.0, 1.0, 1.0];
            $light = $color->lightness * $lightness;
            $color = new Lab($light + (100 - $light) * $white, $color->a * $chroma, $color->b * $chroma);
        }

        return $color->hex();
    }

    /** @return array<string, array{0: float, 1: float, 2: float}> */
    private static function shares(): array
    {
        /** @var array<string, array{0: float, 1: float, 2: float}>|null $shares */
        static $shares = null;
        /** @var array<string, array{0: float, 1: float, 2: float}> $told */
        $told = $shares ??= require __DIR__.'/shades.php';

        return $told;
    }
}
