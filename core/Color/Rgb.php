<?php

declare(strict_types=1);

namespace Lokum\Color;

use InvalidArgumentException;

/** A color as light: the linear parts of sRGB (IEC 61966-2-1), from 0 to 1 where a screen shows it. */
final readonly class Rgb
{
    /** #8a4527 */
    private const HEX = '/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/Di';

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
        if (preg_match(self::HEX, $hex, $part) !== 1) {
            throw new InvalidArgumentException("\"{$hex}\" is not a color such as #a8325a.");
        }

        return new self(...array_map(self::linear(...), array_slice($part, 1)));
    }

    /** @param  float  $red  linear, as the other two; below 0 or above 1 it is none that a screen shows */
    public static function of(float $red, float $green, float $blue): self
    {
        return new self($red, $green, $blue);
    }

    /** @return string|null #rrggbb; null for a color that no screen shows */
    public function hex(): ?string
    {
        $parts = [$this->red, $this->green, $this->blue];

        return min($parts) < -0.0005 || max($parts) > 1.0005 ? null : $this->nearestHex();
    }

    /** @return string #rrggbb, each part brought to what a screen shows */
    public function nearestHex(): string
    {
        $byte = function (float $light): int {
            $light = max(0.0, min(1.0, $light));

            return (int) round(255 * ($light <= 0.0031308 ? 12.92 * $light : 1.055 * $light ** (1 / 2.4) - 0.055));
        };

        return sprintf('#%02x%02x%02x', $byte($this->red), $byte($this->green), $byte($this->blue));
    }

    private static function linear(string $two): float
    {
        $part = hexdec($two) / 255;

        return $part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4;
    }
}
