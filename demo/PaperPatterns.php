<?php

declare(strict_types=1);

namespace Demo;

use App\Models\Definition;
use App\Support\Pictures;
use App\Values\FindValue;
use App\Vocabulary\SaveValue;
use Lokum\Vocabulary\Look;

/** Pictures of how paper feels, drawn by the application, for the cubes of the filter over surfaces. */
final readonly class PaperPatterns
{
    private const SIDE = 96;

    private const PAPER = [244, 238, 226];

    /** How coarse the grain of a surface is, in pixels, and how strongly it shows. */
    private const GRAINS = [
        'Rough' => [8, 46],
        'Cold pressed' => [4, 30],
        'Vellum' => [2, 18],
        'Hot pressed' => [1, 6],
        'Smooth' => [96, 0],
    ];

    private const LAID_LINE = 6;

    public function __construct(private SaveValue $save)
    {
    }

    public function write(): void
    {
        $surface = Definition::query()->where('slug', 'surface')->firstOrFail();
        mt_srand(7);
        foreach (self::GRAINS as $label => [$coarse, $strong]) {
            $this->dress($surface, $label, fn (): int => -mt_rand(0, $strong), $coarse, $coarse);
        }
        $this->dress($surface, 'Laid', fn (int $x, int $y): int => $y % self::LAID_LINE === 0 ? -34 : 0, self::SIDE, 1);
    }

    /** @param  callable(int, int): int  $lighter  from -255 to 0, of the fleck that begins there */
    private function dress(Definition $surface, string $label, callable $lighter, int $wide, int $high): void
    {
        $image = imagecreatetruecolor(self::SIDE, self::SIDE);
        for ($y = 0; $y < self::SIDE; $y += $high) {
            for ($x = 0; $x < self::SIDE; $x += $wide) {
                $by = $lighter($x, $y);
                $ink = (int) imagecolorallocate($image, ...array_map(fn (int $part): int => max(0, min(255, $part + $by)), self::PAPER));
                imagefilledrectangle($image, $x, $y, $x + $wide - 1, $y + $high - 1, $ink);
            }
        }
        ob_start();
        imagepng($image);
        $value = FindValue::named($surface, $label)->loadMissing('definition');
        $look = new Look([], null, null, Pictures::keep((string) ob_get_clean()));
        ($this->save)($value, $value->label, $look, $value->showing(), $value->version);
    }
}
