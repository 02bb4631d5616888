<?php

declare(strict_types=1);

namespace Demo;

use App\Models\Definition;
use App\Support\Pictures;
use App\Vocabulary\SaveValue;
use App\Vocabulary\ValuePage;

/** Pages of the invented brands: a mark drawn by the application, and two sentences. */
final readonly class BrandPages
{
    private const ABOUT = [
        'Ninefold' => 'Oils and acrylics ground nine times, in a former rope walk by the water. The student line has the same '.
        'pigments and more filler, and says so.',
        'Tarnbeck' => 'A small works in the hills that makes paint for people who walk out to paint: tubes that close with cold fingers.',
        'Ostrelle' => 'Watercolor and gouache bound with honey, and inks that stay where they are put.',
        'Pellworth' => 'Papers and canvases, sized in the sheet. The trimmings become the next batch.',
        'Brannoch' => 'Brushes tied by hand; a worn one comes back with a new head.',
        'Wrenmoor' => 'Water-mixable oils, and the papers to try them on.',
        'Loxholm' => 'Honest colors for the first hundred pictures.',
        'Calder Lane' => 'Heavy acrylics and walnut oils from a workshop in a lane of that name.',
    ];

    private const INKS = [
        [168, 50, 90],
        [79, 122, 52],
        [46, 92, 138],
        [180, 116, 14],
        [98, 68, 130],
        [30, 110, 112],
        [140, 70, 40],
        [70, 70, 90],
    ];

    private const SIDE = 240;

    public function __construct(private SaveValue $save)
    {
    }

    public function write(): void
    {
        $brand = Definition::query()->where('slug', Definition::BRAND)->firstOrFail();
        foreach ($brand->values()->with('definition')->orderBy('id')->get() as $i => $value) {
            if (isset(self::ABOUT[$value->label])) {
                ($this->save)(
                    $value,
                    $value->label,
                    $value->look(),
                    $value->showing(),
                    $value->version,
                    new ValuePage(self::ABOUT[$value->label], Pictures::keep($this->mark($value->label, $i))),
                );
            }
        }
    }

    /** Stripes and a disc, from the letters of the name. */
    private function mark(string $name, int $n): string
    {
        $image = imagecreatetruecolor(self::SIDE, self::SIDE);
        $color = fn (array $rgb, float $lighter): int => (int) imagecolorallocate(
            $image,
            ...array_map(fn (int $part): int => max(0, min(255, (int) ($part + (255 - $part) * $lighter))), $rgb),
        );
        $ink = self::INKS[$n % count(self::INKS)];
        imagefilledrectangle($image, 0, 0, self::SIDE, self::SIDE, $color($ink, 0.88));
        foreach (str_split(substr(strtolower((string) preg_replace('/[^a-z]/i', '', $name)), 0, 8)) as $i => $letter) {
            $height = 30 + (ord($letter) - 97) * 6;
            imagefilledrectangle(
                $image,
                22 + $i * 25,
                self::SIDE - 20 - $height,
                38 + $i * 25,
                self::SIDE - 20,
                $color($ink, 0.15 + 0.08 * ($i % 4)),
            );
        }
        imagefilledellipse($image, self::SIDE - 52, 52, 56, 56, $color($ink, 0.0));
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }
}
