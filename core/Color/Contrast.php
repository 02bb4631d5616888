<?php

declare(strict_types=1);

namespace Lokum\Color;

use InvalidArgumentException;

/** How well two colors stand against each other: the contrast ratio of the Web Content Accessibility Guidelines 2.2. */
final class Contrast
{
    /**
     * @param  string  $one  #rrggbb
     * @param  string  $other  #rrggbb
     * @return float from 1 (equal) to 21 (black and white); text needs 4.5, what is no text 3
     *
     * @throws InvalidArgumentException for what is no color
     */
    public static function of(string $one, string $other): float
    {
        [$light, $dark] = [
            max(self::luminance($one), self::luminance($other)),
            min(self::luminance($one), self::luminance($other)),
        ];

        return ($light + 0.05) / ($dark + 0.05);
    }

    /** Relative luminance, 0 for black to 1 for white (WCAG 2.2, definition of relative luminance). */
    private static function luminance(string $hex): float
    {
        $light = Rgb::ofHex($hex);

        return 0.2126 * $light->red + 0.7152 * $light->green + 0.0722 * $light->blue;
    }
}
