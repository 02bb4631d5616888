<?php

declare(strict_types=1);

namespace Demo;

use Lokum\Feed\CsvWriter;

/**
 * Writes the files of Quillmoor Art Supply's four suppliers: the same every time, and at odds with each other in every way
 * that real ones are. Suppliers, brands and product lines are invented.
 */
final class FeedMaker
{
    private const COLORS = [
        'Titanium white',
        'Zinc white',
        'Lemon yellow',
        'Cadmium yellow',
        'Naples yellow',
        'Yellow ochre',
        'Indian yellow',
        'Cadmium orange',
        'Vermilion',
        'Cadmium red',
        'Pyrrole red',
        'Alizarin crimson',
        'Quinacridone rose',
        'Rose madder',
        'Quinacridone magenta',
        'Dioxazine violet',
        'Cobalt violet',
        'Ultramarine blue',
        'French ultramarine',
        'Cobalt blue',
        'Cerulean blue',
        'Phthalo blue',
        'Prussian blue',
        'Indigo',
        'Cobalt teal',
        'Phthalo turquoise',
        'Viridian',
        'Phthalo green',
        'Emerald green',
        'Sap green',
        'Olive green',
        'Terre verte',
        'Chromium oxide green',
        'Green gold',
        'Raw sienna',
        'Burnt sienna',
        'Raw umber',
        'Burnt umber',
        'Sepia',
        'Venetian red',
        'Indian red',
        'Transparent red oxide',
        'Ivory black',
        'Lamp black',
        "Payne's grey",
        'Neutral tint',
        'Warm grey',
        'Silver',
        'Gold',
        'Copper',
    ];

    private const LATER_COLORS = ['Manganese blue', 'Gamboge', 'Bronze'];

    private int $seed;

    public function __construct(private readonly bool $later)
    {
        $this->seed = $later ? 20261 : 20260;
    }

    /** @return array<string, string> bytes by file name */
    public function files(): array
    {
        return [
            'tarnbeck.csv' => $this->tarnbeck(),
            'ostrelle.csv' => mb_convert_encoding($this->ostrelle(), 'Windows-1252', 'UTF-8'),
            'pellworth.csv' => "\xFF\xFE".mb_convert_encoding($this->pellworth(), 'UTF-16LE', 'UTF-8'),
            'brannoch.csv' => $this->brannoch(),
        ];
    }

    private function tarnbeck(): string
    {
        $rows = [
            [
                'sku',
                'parent_sku',
                'name',
                'category',
                'brand',
                'price',
                'currency',
                'stock',
                'description',
                $this->later ? 'Colour name' : 'Colour',
                'Volume',
                'Pigment series',
                'Lightfastness',
                'Transparent',
                'Finish ',
                'Occasion',
            ],
        ];
        $lines = [
            ['NO', 'Ninefold oil', 'Oil', 'Ninefold', ['20 ml', '37 ml', '120 ml']],
            ['TF', 'Tarnbeck fine oil', 'Oil', 'Tarnbeck', ['37ml', '200 ml']],
            ['NA', 'Ninefold acrylic', 'Acrylic', 'NINEFOLD', ['60 ml', '120 ml', '250 ml']],
            ['TS', 'Tarnbeck studio acrylic', 'Acrylic', 'Tarnbeck', ['75 ml', '250 ml', '0.5 l']],
            ['CL', 'Calder Lane heavy acrylic', 'Acrylic', 'Calder Lane ', ['2 fl oz', '4 fl oz']],
            ['WM', 'Wrenmoor water-mixable oil', 'Oil', 'Wrenmoor', ['37 ml', '20cl']],
            ['LS', 'Loxholm student acrylic', 'Acrylic', 'Loxholm', ['75 ml', '200 ml', '500 ml']],
            ['CO', 'Calder Lane walnut oil', 'Oil', 'calder lane', ['37 ml', '150 ml', '0.2 l']],
        ];
        foreach ($this->lines($lines) as [$code, $line, $category, $brand, $sizes]) {
            foreach ($this->colors() as $i => $color) {
                $sku = sprintf('%s-%03d', $code, $i + 1);
                $opacity = $this->pick(['Transparent', 'Semi-transparent', 'Opaque', 'opaque ']);
                $rows[] = [
                    $sku,
                    '',
                    "{$line}, ".mb_strtolower($color),
                    "Paint > {$category}",
                    $brand,
                    '',
                    '',
                    '',
                    "Artists' color ground in small batches. {$opacity}.",
                    '',
                    '',
                    'Series '.$this->number(1, 4),
                    $this->pick(['I', 'I', 'II', 'III', 'ASTM I', '']),
                    $this->pick(['yes', 'no', 'Yes', '']),
                    $this->pick(['Gloss', 'gloss', 'Matte', 'Matt', 'Satin', 'Semi-gloss', 'matte ']),
                    $this->pick(['Studio', 'Studio|Plein air', 'Plein air', 'Gift|Studio', '']),
                ];
                foreach ($sizes as $s => $size) {
                    $rows[] = [
                        $sku.'-'.($s + 1),
                        $sku,
                        '',
                        '',
                        '',
                        $this->price(4 + 5 * $s + ($i % 7)),
                        'EUR',
                        (string) max(0, $this->number(-6, 60)),
                        '',
                        $this->spell($color, 0),
                        $size,
                        '',
                        '',
                        '',
                        '',
                        '',
                    ];
                }
            }
        }

        return $this->csv($rows, ',');
    }

    private function ostrelle(): string
    {
        $rows = [
            [
                'sku',
                'parent_sku',
                'name',
                'category',
                'brand',
                'price',
                'currency',
                'stock',
                'Color',
                'Size',
                'Serie',
                'Light fastness',
                'Granulating',
                'Features',
            ],
        ];
        $lines = [
            ['OW', 'Ostrelle watercolor', 'Watercolor', ['half pan', '5 ml', '1,5 cl']],
            ['OH', 'Ostrelle honey watercolor', 'Watercolor', ['5 ml', '10 ml']],
            ['OG', 'Ostrelle gouache', 'Gouache', ['15 ml', '37 ml']],
            ['LG', 'Loxholm designers gouache', 'Gouache', ['14 ml']],
            ['TW', 'Tarnbeck travel watercolor', 'Watercolor', ['half pan', '8 ml', '14 ml']],
            ['OI', 'Ostrelle drawing ink', 'Ink', ['30 ml', '2,5 dl']],
        ];
        foreach ($this->lines($lines) as [$code, $line, $category, $sizes]) {
            foreach ($this->colors() as $i => $color) {
                if (($category === 'Ink' && $i % 2 === 1) || ($code === 'LG' && $i % 3 === 0)) {
                    continue;
                }
                $sku = sprintf('%s%03d', $code, 10 + $i);
                $path = $category === 'Ink' ? 'Ink > Drawing ink' : "Paint > {$category}";
                $row = [
                    $sku,
                    '',
                    "{$line} ".mb_strtolower($color),
                    $path,
                    explode(' ', $line)[0],
                    '',
                    '',
                    '',
                    '',
                    '',
                    'Serie '.$this->number(1, 4),
                    $this->pick(['***', '**', '*', 'I', 'II']),
                    $this->pick(['ja', 'nein', 'ja', '']),
                    $this->pick(['vegan;non-toxic', 'vegan', 'non-toxic;archival', 'archival', '']),
                ];
                if (count($sizes) === 1) {
                    $rows[] = array_replace($row, [
                        5 => $this->comma(7 + ($i % 5)),
                        6 => 'EUR',
                        7 => (string) $this->number(0, 25),
                        8 => $this->spell($color, 1),
                        9 => $sizes[0],
                    ]);

                    continue;
                }
                $rows[] = $row;
                foreach ($sizes as $s => $size) {
                    $rows[] = [
                        "{$sku}.".chr(97 + $s),
                        $sku,
                        '',
                        '',
                        '',
                        $this->comma(3 + 3 * $s + ($i % 5)),
                        'EUR',
                        (string) max(0, $this->number(-4, 30)),
                        $this->spell($color, 1),
                        $size,
                        '',
                        '',
                        '',
                        '',
                    ];
                }
            }
        }

        return $this->csv($rows, ';');
    }

    private function pellworth(): string
    {
        $rows = [
            [
                'SKU',
                'Parent SKU',
                'Name',
                'Category',
                'Brand',
                'Price',
                'Currency',
                'Stock',
                'Weight',
                'Sheet size',
                'Surface',
                'Fibre',
                'Color',
                'Sheets',
                'Acid-free',
                'Length (mm)',
            ],
        ];
        $surfaces = [
            'Cold pressed',
            'cold-pressed',
            'Cold Pressed ',
            'Hot pressed',
            'Hot-pressed',
            'Rough',
            'rough',
            'Smooth',
            'Laid',
            'Vellum',
        ];
        $kinds = [
            ['Watercolor paper', 'Paper > Watercolor paper', ['185 gsm', '300 g/m²', '300gsm', '425 g/m2', '140 lb']],
            ['Drawing paper', 'Paper > Drawing paper', ['90 g/m²', '120 gsm', '160 g/m2', '220 gsm']],
            ['Mixed media paper', 'Paper > Mixed media', ['250 gsm', '300 gsm']],
            ['Printmaking paper', 'Printmaking > Paper', ['250 g/m²', '280 gsm']],
            ['Stretched canvas', 'Canvas > Stretched canvas', ['380 gsm', '420 g/m²']],
            ['Canvas panel', 'Canvas > Panels', ['280 gsm']],
        ];
        $sizes = ['A3', 'A4', 'A5', '30 x 40 cm', '210 x 297 mm', '56 x 76 cm', 'a2'];
        $n = 0;
        foreach (['Pellworth', 'Wrenmoor', 'Loxholm'] as $brand) {
            foreach ($kinds as [$kind, $path, $weights]) {
                foreach ($weights as $weight) {
                    foreach (['pad', 'block', 'sheets', 'roll'] as $f => $form) {
                        if (($n++ + $f) % ($this->later ? 9 : 1) !== 0) {
                            continue;
                        }
                        $sku = sprintf('%s%04d', $this->later ? 'PN' : 'PW', $n);
                        $rows[] = [
                            $sku,
                            '',
                            "{$brand} ".mb_strtolower($kind)." {$form}, {$weight}",
                            $path,
                            $brand,
                            '',
                            '',
                            '',
                            $weight,
                            '',
                            $this->pick($surfaces),
                            $this->pick(['Cotton', '100% cotton', 'Cotton|Linen', 'Cellulose', 'cellulose|Cotton', 'Linen']),
                            $this->pick([
                                'Natural white',
                                'natural white',
                                'Bright white',
                                'Cream',
                                'Off-white',
                                'Off white',
                                'Buff',
                                'Toned grey',
                                'Toned gray',
                            ]),
                            (string) $this->pick(['10', '12', '20', '50', '']),
                            $this->pick(['Y', 'N', 'Y', 'y']),
                            '',
                        ];
                        for ($s = 0, $many = $this->number(2, 4); $s < $many; $s++) {
                            $rows[] = [
                                "{$sku}-{$s}",
                                $sku,
                                '',
                                '',
                                '',
                                $this->price(6 + 4 * $s),
                                'EUR',
                                (string) max(0, $this->number(-3, 40)),
                                '',
                                $sizes[($n + 2 * $s) % count($sizes)],
                                '',
                                '',
                                '',
                                '',
                                '',
                                (string) $this->pick(['297', '400', '420', '', '760']),
                            ];
                        }
                    }
                }
            }
        }

        return $this->csv($rows, "\t");
    }

    private function brannoch(): string
    {
        $rows = [
            [
                'sku',
                'parent_sku',
                'name',
                'category',
                'brand',
                'price',
                'currency',
                'stock',
                'Hair',
                'Brush size',
                'Shape',
                'Handle',
                'Vegan',
                $this->later ? 'Colour shade' : 'color ',
                'Occasion',
                'image',
            ],
        ];
        $brushSizes = ['000', '00', '0', '1', '2', '4', '6', '8', '10', '12', '16', '20', '24'];
        foreach (['Brannoch wash', 'Brannoch fine', 'Ninefold studio', 'Calder Lane'] as $l => $line) {
            foreach (
                [
                    ['Round', 'Kolinsky sable'],
                    ['Flat', 'Synthetic'],
                    ['Filbert', 'Hog bristle'],
                    ['Fan', 'hog bristle '],
                    ['Rigger', 'Kolinsky Sable'],
                    ['Mop', 'Squirrel'],
                    ['Angled', 'synthetic'],
                    ['Hake', 'Goat'],
                    ['Bright', 'Hog Bristle'],
                ] as $i => [$shape, $hair]
            ) {
                if ($this->later && $i % 4 !== $l) {
                    continue;
                }
                $sku = sprintf('%s-%d%02d', $this->later ? 'BX' : 'BR', $l + 1, $i + 1);
                $rows[] = [
                    $sku,
                    '',
                    "{$line} brush, ".mb_strtolower($shape),
                    "Brushes > {$shape}",
                    explode(' ', $line)[0] === 'Calder' ? 'Calder Lane' : explode(' ', $line)[0],
                    '',
                    '',
                    '',
                    $hair,
                    '',
                    $this->pick([$shape, mb_strtolower($shape), $shape.' ']),
                    $this->pick(['Long', 'Short', 'long']),
                    str_contains(mb_strtolower($hair), 'synthetic')
                        ? $this->pick(['true', 'TRUE'])
                        : $this->pick(['false', 'FALSE', 'false']),
                    '',
                    '',
                    '',
                ];
                foreach ($brushSizes as $s => $size) {
                    if (($s + $i) % 2 === 0 || $s < 4) {
                        $rows[] = [
                            "{$sku}-{$size}",
                            $sku,
                            '',
                            '',
                            '',
                            $this->price(3 + 2 * $s),
                            'EUR',
                            (string) max(0, $this->number(-5, 35)),
                            '',
                            $size,
                            '',
                            '',
                            '',
                            '',
                            '',
                            '',
                        ];
                    }
                }
            }
        }
        $goods = [
            ['Brannoch color pencil', 'Drawing > Color pencils', 'BP'],
            ['Wrenmoor watercolor pencil', 'Drawing > Color pencils', 'WP'],
            ['Brannoch soft pastel', 'Drawing > Pastels', 'BS'],
            ['Calder Lane relief ink', 'Printmaking > Relief ink', 'CI'],
            ['Wrenmoor charcoal', 'Drawing > Charcoal', 'WC'],
        ];
        foreach ($this->lines($goods) as [$line, $path, $code]) {
            foreach ($code === 'WC' ? ['Charcoal', 'Graphite', 'Sanguine', 'Bistre'] : $this->colors() as $i => $color) {
                $rows[] = [
                    sprintf('%s-%03d', $code, $i + 1),
                    '',
                    "{$line}, ".mb_strtolower($color),
                    $path,
                    explode(' ', $line)[0] === 'Calder' ? 'Calder Lane' : explode(' ', $line)[0],
                    $this->price(1 + ($i % 4)),
                    'EUR',
                    (string) $this->number(0, 80),
                    '',
                    '',
                    '',
                    '',
                    $this->pick(['true', 'true', 'false', '']),
                    $this->spell($color, 2),
                    $this->pick(['Travel', 'Studio', 'Travel|Gift', '']),
                    '',
                ];
            }
        }
        foreach (
            [
                'Table easel',
                'Field easel',
                'Studio easel',
                'Drawing table',
                'Plan chest',
                'Taboret',
                'Palette stand',
                'Canvas rack',
            ] as $i => $name
        ) {
            $rows[] = [
                sprintf('%s-%02d', $this->later ? 'SG' : 'SF', $i + 1),
                '',
                'Brannoch '.mb_strtolower($name),
                'Studio furniture',
                'Brannoch',
                $this->price(60 + 45 * $i),
                'EUR',
                (string) $this->number(0, 6),
                '',
                '',
                '',
                '',
                '',
                $this->pick(['Oak', 'Beech', 'Walnut', 'oak']),
                'Studio',
                '',
            ];
        }

        return $this->csv($rows, ',');
    }

    /** @return list<string> */
    private function colors(): array
    {
        return $this->later ? [...array_slice(self::COLORS, 12, 9), ...self::LATER_COLORS] : self::COLORS;
    }

    /**
     * A later delivery brings new lines under new article numbers.
     *
     * @param  list<list<mixed>>  $lines
     * @return list<list<mixed>>
     */
    private function lines(array $lines): array
    {
        if (! $this->later) {
            return $lines;
        }

        return array_map(
            fn (array $line): array => array_map(
                fn (mixed $part): mixed => is_string($part) && preg_match('/^[A-Z]{2}$/D', $part) === 1 ? $part.'L' : $part,
                $line,
            ),
            array_slice($lines, 0, 2),
        );
    }

    /** A color as one of three suppliers spells it, which is not always the same way. */
    private function spell(string $color, int $supplier): string
    {
        $words = explode(' ', $color);
        $ways = match ($supplier) {
            0 => [ucwords($color), ucwords($color), $color, mb_strtoupper($color), $color.' ', ' '.ucwords($color)],
            1 => [
                mb_strtolower($color),
                mb_strtolower($color),
                count($words) === 2 ? ucfirst(mb_strtolower($words[1])).', '.mb_strtolower($words[0]) : $color,
                ucwords($color),
                str_replace(' ', "\u{00A0}", $color),
            ],
            default => [
                ucwords($color),
                str_replace(['blue', 'green', 'yellow', 'grey'], ['bl.', 'grn.', 'yel.', 'gray'], $color),
                ucwords($color).' hue',
                str_replace(' ', '  ', $color),
                $color,
            ],
        };

        return (string) $this->pick($ways);
    }

    private function price(int|float $base): string
    {
        return number_format($base + $this->number(0, 9) / 10, 2, '.', '');
    }

    private function comma(int|float $base): string
    {
        return str_replace('.', ',', $this->price($base));
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->number(0, count($from) - 1)];
    }

    /** A number that is the same at every run (a linear congruential generator, so that no library's change moves it). */
    private function number(int $low, int $high): int
    {
        $this->seed = ($this->seed * 1103515245 + 12345) & 0x7FFFFFFF;

        return $low + (intdiv($this->seed, 65536) % ($high - $low + 1));
    }

    /** @param  list<list<string>>  $rows */
    private function csv(array $rows, string $delimiter): string
    {
        return implode(
            '',
            array_map(fn (array $row): string => CsvWriter::line($row, $delimiter), $rows),
        );
    }
}
