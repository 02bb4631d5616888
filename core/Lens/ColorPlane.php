<?php

declare(strict_types=1);

namespace Lokum\Lens;

use Lokum\Color\Lab;

/**
 * Colors on a plane: hue from left to right (CIE Lab, 0 to 360 degrees), lightness from bottom to top. Grays, whose hue says
 * nothing, stand in a strip of their own on the left. Dots that would cover each other are moved a little apart.
 */
final class ColorPlane
{
    /** Below this chroma a color is a gray. */
    private const GRAY = 7.0;

    private const STRIP = 70.0;

    /** @var array<int, array{x: float, y: float}> by value */
    public array $dots = [];

    /** @var array<int, true> */
    private array $grid = [];

    /** @param  array<int, string>  $colors  #rrggbb by value; those that come first get their exact place */
    public function __construct(
        array $colors,
        public readonly float $width,
        public readonly float $height,
        private readonly float $size,
    ) {
        foreach ($colors as $value => $color) {
            $lab = Lab::ofHex($color);
            $chroma = hypot($lab->a, $lab->b);
            $hue = fmod(rad2deg(atan2($lab->b, $lab->a)) + 360, 360);
            $x = $chroma < self::GRAY ? self::STRIP / 2 : self::STRIP + ($hue / 360) * ($width - self::STRIP);
            $this->dots[$value] = $this->free($x, (1 - $lab->lightness / 100) * $height);
        }
    }

    /**
     * The outline around some of the dots.
     *
     * @param  list<int>  $values
     * @return list<array{0: float, 1: float}> corners of their convex hull, widened by the size of a dot (monotone chain, A. M.
     *         Andrew 1979)
     */
    public function outline(array $values): array
    {
        $points = [];
        foreach ($values as $value) {
            if (isset($this->dots[$value])) {
                ['x' => $x, 'y' => $y] = $this->dots[$value];
                foreach ([[-1, -1], [-1, 1], [1, -1], [1, 1]] as [$dx, $dy]) {
                    $points[] = [$x + $dx * $this->size * 0.75, $y + $dy * $this->size * 0.75];
                }
            }
        }
        sort($points);
        if ($points === []) {
            return [];
        }

        return [...self::half($points), ...self::half(array_reverse($points))];
    }

    /**
     * @param  list<array{0: float, 1: float}>  $points
     * @return list<array{0: float, 1: float}>
     */
    private static function half(array $points): array
    {
        $hull = [];
        foreach ($points as $point) {
            while (count($hull) >= 2 && self::turn($hull[count($hull) - 2], $hull[count($hull) - 1], $point) <= 0) {
                array_pop($hull);
            }
            $hull[] = $point;
        }

        return array_slice($hull, 0, -1);
    }

    /** @return array{x: float, y: float} the free place nearest to where it belongs, looked for in rings */
    private function free(float $x, float $y): array
    {
        $x = min($this->width - $this->size / 2, max($this->size / 2, $x));
        $y = min($this->height - $this->size / 2, max($this->size / 2, $y));
        [$column, $row] = [(int) floor($x / $this->size), (int) floor($y / $this->size)];
        [$columns, $rows] = [(int) floor($this->width / $this->size) - 1, (int) floor($this->height / $this->size) - 1];
        for ($ring = 0; $ring <= max($columns, $rows); $ring++) {
            $best = null;
            for ($dx = -$ring; $dx <= $ring; $dx++) {
                for ($dy = -$ring; $dy <= $ring; $dy++) {
                    $at = [$column + $dx, $row + $dy];
                    if (
                        max(abs($dx), abs($dy)) !== $ring ||
                        $at[0] < 0 ||
                        $at[1] < 0 ||
                        $at[0] > $columns ||
                        $at[1] > $rows ||
                        isset($this->grid[$at[0] * 10000 + $at[1]])
                    ) {
                        continue;
                    }
                    $far = hypot(($at[0] + 0.5) * $this->size - $x, ($at[1] + 0.5) * $this->size - $y);
                    $best = $best === null || $far < $best[0] ? [$far, $at] : $best;
                }
            }
            if ($best !== null) {
                $this->grid[$best[1][0] * 10000 + $best[1][1]] = true;

                return ['x' => ($best[1][0] + 0.5) * $this->size, 'y' => ($best[1][1] + 0.5) * $this->size];
            }
        }

        return ['x' => $x, 'y' => $y];
    }

    /**
     * @param  array{0: float, 1: float}  $a
     * @param  array{0: float, 1: float}  $b
     * @param  array{0: float, 1: float}  $c
     */
    private static function turn(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}
