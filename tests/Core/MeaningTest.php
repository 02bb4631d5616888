<?php

declare(strict_types=1);

use Lokum\LookAlike\Composition;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\Meaning;
use Lokum\LookAlike\MeaningReader;
use Lokum\LookAlike\Shortenings;

/* What a text says, apart from how it is written: the keys by which look-alikes meet. */

function signed(string $text): Meaning
{
    return (new MeaningReader(Lexicon::shipped()->taught([])))->of($text);
}

test('one thing has one key, however it is written', function (string ...$texts): void {
    $keys = array_unique(array_map(fn (string $text): string => signed($text)->key(), $texts));
    expect($keys)->toHaveCount(1, implode(' ≠ ', $keys));
})->with([
    'order of words' => ['Cobalt blue', 'blue, cobalt', 'BLUE (COBALT)'],
    'words that say nothing' => ['Bar of soap', 'bar soap', 'A bar of the soap'],
    'an apple' => ['Apple', 'an apple', 'The apple'],
    'plural' => ['Brush', 'brushes', 'Brushes'],
    'plural in -ies' => ['Low calorie', 'low calories'],
    'UK and US' => ['Grey fibre', 'gray fiber'],
    'abbreviations' => ['Lt. grey', 'light gray', 'LT GREY'],
    'dictionary spellings' => ['Pendant light', 'Pendent lights'],
    'sizes' => ['Extra large', 'XL', 'x-large', 'xlg'],
    'sheets' => ['A4', 'DIN A4', 'iso a4'],
    'numbers in words' => ['Two-seater', '2 seater', '2-seater'],
    'decimals' => ['EU 42.5', 'EU 42,5', 'EU 42 1/2', 'EU 42.50'],
    'packs' => ['Pack of 6', '6-pack', '6 pack', 'packs of six'],
    'denial' => ['Non-toxic', 'not toxic', 'nontoxic'],
    'with and without' => ['With lid', 'w/ lid', 'with lids'],
    'participles' => ['Cold pressed', 'cold press', 'pressed cold'],
    'measures' => ['300 gsm', '300 g/m²', '300g/m2', '0.3 kg/m²'],
    'measures in texts' => ['Heel 5 cm', 'heel 50mm', '5 cm heel'],
    'single letters for units' => ['60 W equivalent', '60W equivalent'],
    'dimensions' => ['20 x 30 cm', '20×30cm', '200 x 300 mm'],
    'multiples' => ['6 x 400 g', '6x400g', '6 × 0.4 kg'],
    'diameters' => ['Ø 20 cm', 'ø20cm', 'diameter 20 cm', '⌀ 200 mm'],
    'degrees' => ['Wash 30 °C', 'wash 30 ºC', 'wash 30°C'],
    'shares' => [
        '95% Cotton, 5% Elastane',
        'elastane 5% / cotton 95%',
        '5 % elastane + 95 % cotton',
        'Cotton 95.0%, Elastane 5%',
    ],
    'one share' => ['100% Cotton', 'cotton 100 %', 'Cotton (100%)'],
]);

test('different things have different keys', function (string $one, string $other): void {
    expect(signed($one)->key())->not->toBe(signed($other)->key());
})->with([
    ['300 gsm', '310 gsm'],
    ['AX-100', 'AX-101'],
    ['AX-100', 'AX 100'],
    ['20 x 30 cm', '30 x 20 cm'],
    ['80% cotton 20% linen', '20% cotton 80% linen'],
    ['100% cotton', '100 cotton'],
    ['Toxic', 'Non-toxic'],
    ['Blue on white', 'White on blue'],
    ['1,000 g', '1 g'],
    ['EU 42', 'EU 42.5'],
    ['S', 'XS'],
    ['2B', '2H'],
    ['Size 0', 'Size 00'],
    ['3 m', '3 ft'],
    ['Tanned leather', 'Tan leather'],
    ['Pressed', 'Press'],
    ['12 V', '12 W'],
    ['Coated', 'Coat'],
    ['A4', 'A5'],
    ['-5 °C', '5 °C'],
    ['1/2 in', '1/3 in'],
]);

test('words written as one meet those written apart', function (string $one, string $other): void {
    expect(array_intersect(signed($one)->joinings(), signed($other)->joinings()))->not->toBe([]);
})->with([
    ['Off-white', 'offwhite'],
    ["Lamb's wool", 'Lambswool'],
    ['Slip-on', 'slipons'],
    ['V-neck', 'vneck'],
    ['Ever green', 'evergreen'],
    ['Colour fast', 'colorfast'],
]);

test('what is made of parts is read with the greatest share first', function (string $text, ?array $parts): void {
    expect(array_map(array_values(...), Composition::in($text)->parts ?? []))->toBe($parts ?? []);
})->with([
    ['95% cotton 5% elastane', [['95%', 'cotton'], ['5%', 'elastane']]],
    ['elastane 5%, cotton 95%', [['95%', 'cotton'], ['5%', 'elastane']]],
    ['50% wool and 50% silk', [['50%', 'silk'], ['50%', 'wool']]],
    ['100% organic cotton', [['100%', 'organic cotton']]],
    ['cotton', null],
    ['5% off 10%', null],
]);

test('a word with a point is whole where the list has one word for it, misspelled or not', function (
    array $texts,
    array $whole,
): void {
    expect(Shortenings::among($texts))->toBe($whole);
})->with([
    [['Cadmium red', 'Cad. red'], ['cad' => 'cadmium']],
    [['Cadmium red', 'Cadmiun red', 'Cadmium red', 'Cad. red'], ['cad' => 'cadmium']],
    [['Cad. red', 'Cadmuim red', 'Cad. yellow', 'Cadmium yellow', 'Cad. green', 'Cadmium green'], ['cad' => 'cadmium']],
    [['Permanent green', 'Persian green', 'Per. green'], []],
    [['Cadmium yellow', 'Cad. red'], []],
    [['Approx. size', 'size'], []],
    [['Wool.', 'Woolen'], []],
]);

test('random texts are signed without a failure, and alike whatever their case and ends', function (): void {
    mt_srand(6);
    $pieces = [
        'Red',
        'blue',
        '12',
        '1½',
        '%',
        '°C',
        'cm',
        'x',
        '×',
        'non-',
        'w/',
        '½',
        'Ø',
        '100%',
        'Cotton',
        '5%',
        '-',
        '/',
        '.',
        ',',
        '🎨',
        '日本',
        'é',
        'XL',
        'A4',
        '#',
        '&',
        '(',
        ')',
        '"',
        "'",
        '00',
        '1e9',
        '١٢',
    ];
    for ($i = 0; $i < 3000; $i++) {
        $text = implode(
            mt_rand(0, 1) === 0 ? ' ' : '',
            array_map(fn (): string => $pieces[mt_rand(0, count($pieces) - 1)], range(1, mt_rand(1, 6))),
        );
        expect(signed(" {$text} ")->letters)
            ->toBe(signed($text)->letters)
            ->and(signed($text)->key())
            ->toBe(signed($text)->key());
    }
});

test('what stands behind a dash and is no word belongs to the number', function (): void {
    expect(signed('12-qxz')->key())->not->toBe(signed('12')->key());
});

test('how often something is denied is counted', function (string $text, int $times): void {
    expect(signed($text)->negated)->toBe($times);
})->with([
    ['With lid', 0],
    ['Without lid', 1],
    ['Not washable', 1],
    ['No lid', 1],
    ['Non slip', 1],
    ['Sugar free', 1],
    ['Excluding lid', 1],
    ['Except lid', 1],
    ['Zero sugar', 1],
    ['Unscented', 1],
    ['Not unscented', 2],
    ['Without lid, not washable', 2],
    ['Union', 0],
    ['Universal', 0],
    ['Under', 0],
    ['Unit', 0],
]);
