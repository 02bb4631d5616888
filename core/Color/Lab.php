<?php

declare(strict_types=1);

namespace Lokum\Color;

use InvalidArgumentException;

/** A color in CIE L*a*b* (1976), white D65: lightness 0 to 100, a from green to red, b from blue to yellow. */
final readonly class Lab
{
    private const WHITE = [0.3127 / 0.329, 1.0, (1 - 0.3127 - 0.329) / 0.329];

    public function __construct(public float $lightness, public float $a, public float $b)
    {
    }

    /**
     * @param  string  $hex  #rrggbb, sRGB (IEC 61966-2-1)
     *
     * @throws InvalidArgumentException
     */
    public static function ofHex(string $hex): self
    {
        $light = Rgb::ofHex($hex);
        [$r, $g, $b] = [$light->red, $light->green, $light->blue];
        $x = 0.41239079926595934 * $r + 0.357584339383878 * $g + 0.1804807884018343 * $b;
        $y = 0.21263900587151027 * $r + 0.715168678767756 * $g + 0.07219231536073371 * $b;
        $z = 0.01933081871559182 * $r + 0.11919477979462598 * $g + 0.9505321522496607 * $b;
        [$fx, $fy, $fz] = array_map(
            fn (float $part, float $white): float => self::root($part / $white),
            [$x, $y, $z],
            self::WHITE,
        );

        return new self(116 * $fy - 16, 500 * ($fx - $fy), 200 * ($fy - $fz));
    }

    /** @return string #rrggbb in sRGB; a color that no screen shows loses chroma until one does */
    public function hex(): string
    {
        $lightness = max(0.0, min(100.0, $this->lightness));
        for ($kept = 1.0; $kept > 0; $kept -= 0.02) {
            $hex = (new self($lightness, $this->a * $kept, $this->b * $kept))->light()->hex();
            if ($hex !== null) {
                return $hex;
            }
        }

        return (new self($lightness, 0.0, 0.0))->light()->nearestHex();
    }

    private function light(): Rgb
    {
        $fy = ($this->lightness + 16) / 116;
        [$x, $y, $z] = array_map(
            fn (float $f, float $white): float => $white * ($f ** 3 > 216 / 24389 ? $f ** 3 : (116 * $f - 16) * 27 / 24389),
            [$fy + $this->a / 500, $fy, $fy - $this->b / 200],
            self::WHITE,
        );

        return Rgb::of(
            3.2409699419045213 * $x - 1.5373831775700935 * $y - 0.4986107602930033 * $z,
            -0.9692436362808798 * $x + 1.8759675015077206 * $y + 0.04155505740717561 * $z,
            0.05563007969699361 * $x - 0.20397695888897657 * $y + 1.0569715142428786 * $z,
        );
    }

    public function chroma(): float
    {
        return hypot($this->a, $this->b);
    }

    /**
     * How different two colors look: CIEDE2000 (Luo, Cui and Rigg 2001; CIE 142-2001), after Sharma, Wu and Dalal 2005.
     *
     * @return float 0 for equal ones; about 1 is just seen, black and white are 100 apart
     */
    public function difference(self $other): float
    {
        $mean = ($this->chroma() + $other->chroma()) / 2;
        $g = 0.5 * (1 - sqrt($mean ** 7 / ($mean ** 7 + 25 ** 7)));
        [$a1, $a2] = [(1 + $g) * $this->a, (1 + $g) * $other->a];
        [$c1, $c2] = [hypot($a1, $this->b), hypot($a2, $other->b)];
        [$h1, $h2] = [self::degrees($a1, $this->b), self::degrees($a2, $other->b)];
        $gray = $c1 * $c2 === 0.0;
        $turn = $h2 - $h1;
        $turn = $gray ? 0.0 : ($turn > 180 ? $turn - 360 : ($turn < -180 ? $turn + 360 : $turn));
        $dh = 2 * sqrt($c1 * $c2) * sin(deg2rad($turn / 2));
        $hue = $gray
            ? $h1 + $h2
            : (abs($h1 - $h2) <= 180
                ? ($h1 + $h2) / 2
                : ($h1 + $h2 < 360
                    ? ($h1 + $h2 + 360) / 2
                    : ($h1 + $h2 - 360) / 2));
        $light = ($this->lightness + $other->lightness) / 2;
        $chroma = ($c1 + $c2) / 2;
        $t =
            1 -
            0.17 * cos(deg2rad($hue - 30)) +
            0.24 * cos(deg2rad(2 * $hue)) +
            0.32 * cos(deg2rad(3 * $hue + 6)) -
            0.2 * cos(deg2rad(4 * $hue - 63));
        $sl = 1 + (0.015 * ($light - 50) ** 2) / sqrt(20 + ($light - 50) ** 2);
        $sc = 1 + 0.045 * $chroma;
        $sh = 1 + 0.015 * $chroma * $t;
        $rotation = -2 * sqrt($chroma ** 7 / ($chroma ** 7 + 25 ** 7)) * sin(deg2rad(60 * exp(-((($hue - 275) / 25) ** 2))));
        [$l, $c, $h] = [($other->lightness - $this->lightness) / $sl, ($c2 - $c1) / $sc, $dh / $sh];

        return sqrt(max(0.0, $l ** 2 + $c ** 2 + $h ** 2 + $rotation * $c * $h));
    }

    private static function root(float $part): float
    {
        return $part > 216 / 24389 ? $part ** (1 / 3) : ((24389 / 27) * $part + 16) / 116;
    }

    private static function degrees(float $a, float $b): float
    {
        $degrees = $a === 0.0 && $b === 0.0 ? 0.0 : rad2deg(atan2($b, $a));

        return $degrees < 0 ? $degrees + 360 : $degrees;
    }
}
