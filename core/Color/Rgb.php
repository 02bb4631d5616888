<?php

declare(strict_types=1);

namespace Lokum\Color;

use InvalidArgumentException;

/** A color as light: the linear parts of sRGB (IEC 61966-2-1), each from 0 to 1. */
final readonly class Rgb
{
    private function __construct(public float $red, public float $green, public float $blue)
    {
    }

    /**
     * @param  string  $hex  #rrggbb
     *
     * @throws InvalidArgumentException
     */
    public static function ofHex(string $hex): self
    {
        if (preg_match('/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/Di', $hex, $part) !== 1) {
            throw new InvalidArgumentException("\"{$hex}\" is not a color such as #a8325a.");
        }

        return new self(...array_map(self::linear(...), array_slice($part, 1)));
    }

    private static function linear(string $two): float
    {
        $part = hexdec($two) / 255;

        return $part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4;
    }
}
