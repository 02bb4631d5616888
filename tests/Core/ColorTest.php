<?php

declare(strict_types=1);

use Lokum\Color\BasicColor;
use Lokum\Color\ColorNames;
use Lokum\Color\Contrast;
use Lokum\Color\Lab;
use Lokum\Color\Rgb;
use Lokum\Color\Shade;

/* Colors as light, as people see them, and as they are called. */

// A brown in every shade, looked at one by one when they were set.
const SHADED = [
    'light' => '#c29683',
    'lighter' => '#c29683',
    'pale' => '#d6b9ac',
    'pastel' => '#ceb1a4',
    'baby' => '#d0b0a2',
    'powder' => '#cab2a8',
    'icy' => '#e0cac1',
    'soft' => '#ad897a',
    'dusty' => '#907569',
    'muted' => '#81675c',
    'dull' => '#745b50',
    'smoky' => '#665249',
    'grayish' => '#7b6961',
    'bright' => '#a16549',
    'vivid' => '#93563a',
    'hot' => '#945538',
    'electric' => '#9b5d40',
    'neon' => '#b16847',
    'fluorescent' => '#b16847',
    'rich' => '#814e37',
    'deep' => '#683c27',
    'dark' => '#573524',
    'darker' => '#573524',
    'midnight' => '#3a1f11',
];

// Source: primaries of sRGB in CIE Lab with white D65, as tables of color science give them (values from memory, two decimals).
test('a color goes to CIE Lab', function (string $hex, float $lightness, float $a, float $b): void {
    $lab = Lab::ofHex($hex);
    expect([$lab->lightness, $lab->a, $lab->b])
        ->each->toBeFloat()
        ->and($lab->lightness)
        ->toEqualWithDelta($lightness, 0.01)
        ->and($lab->a)
        ->toEqualWithDelta($a, 0.02)
        ->and($lab->b)
        ->toEqualWithDelta($b, 0.02)
        ->and($lab->chroma())
        ->toEqualWithDelta(hypot($a, $b), 0.02);
})->with([
    ['#ff0000', 53.24, 80.09, 67.2],
    ['#00FF00', 87.73, -86.18, 83.18],
    ['#0000ff', 32.3, 79.19, -107.86],
    ['#ffffff', 100.0, 0.0, 0.0],
    ['#808080', 53.59, 0.0, 0.0],
    ['#000000', 0.0, 0.0, 0.0],
    'nearly black, on the straight part of the curve' => ['#020202', 0.55, 0.0, 0.0],
]);

test('a color comes back from CIE Lab as it went there', function (): void {
    foreach (range(0, 255, 15) as $red) {
        foreach (range(0, 255, 51) as $green) {
            foreach ([0, 1, 4, 10, 11, 90, 200, 255] as $blue) {
                $hex = sprintf('#%02x%02x%02x', $red, $green, $blue);
                expect(Lab::ofHex($hex)->hex())->toBe($hex);
            }
        }
    }
});

test('what no screen shows keeps its lightness and hue, and loses chroma', function (float $lightness, float $a, float $b): void {
    $wanted = new Lab($lightness, $a, $b);
    $shown = Lab::ofHex($wanted->hex());
    expect($shown->lightness)
        ->toEqualWithDelta($lightness, 0.6)
        ->and(atan2($shown->b, $shown->a))
        ->toEqualWithDelta(atan2($b, $a), 0.05)
        ->and($shown->chroma())
        ->toBeLessThan($wanted->chroma())
        // Two hundredths more, and no screen shows it.
        ->toBeGreaterThan($wanted->chroma() * 0.3);
})->with([[60.0, 120.0, 0.0], [50.0, 0.0, 140.0], [70.0, -130.0, 40.0], [40.0, 60.0, -120.0]]);

test('lightness that there is not is brought to black and white', function (): void {
    expect((new Lab(150.0, 0.0, 0.0))->hex())
        ->toBe('#ffffff')
        ->and((new Lab(-20.0, 0.0, 0.0))->hex())
        ->toBe('#000000')
        ->and((new Lab(100.0, 90.0, 90.0))->hex())
        ->toBe('#ffffff')
        ->and((new Lab(0.0, 90.0, 90.0))->hex())
        ->toBe('#000000');
});

test('light that is a little off is rounded, and more is none that a screen shows', function (): void {
    expect(Rgb::of(1.0004, -0.0004, 0.5)->hex())
        ->toBe('#ff00bc')
        ->and(Rgb::of(1.0006, 0.0, 0.5)->hex())
        ->toBeNull()
        ->and(Rgb::of(1.0, -0.0006, 0.5)->hex())
        ->toBeNull()
        ->and(Rgb::of(1.7, -0.3, 0.5)->nearestHex())
        ->toBe('#ff00bc')
        ->and(Rgb::of(0.003, 0.0032, 0.0)->nearestHex())
        ->toBe('#0a0b00')
        ->and(Rgb::ofHex('#0a0b80')->red)
        ->toEqualWithDelta(10 / 255 / 12.92, 1e-12)
        ->and(Rgb::ofHex('#0a0b80')->green)
        ->toEqualWithDelta(((11 / 255 + 0.055) / 1.055) ** 2.4, 1e-12);
});

test('what is no color is refused', function (string $text): void {
    expect(fn () => Rgb::ofHex($text))->toThrow(InvalidArgumentException::class, "\"{$text}\"");
})->with(['', 'red', '#fff', '#12345g', '123456', '#1234567', "#123456\n"]);

// Source: Sharma, Wu and Dalal 2005, table 1 (the pairs that test each branch of the formula; values from memory).
test('CIEDE2000 gives the published differences', function (array $one, array $other, float $difference): void {
    expect((new Lab(...$one))->difference(new Lab(...$other)))
        ->toEqualWithDelta($difference, 1e-4)
        ->and((new Lab(...$other))->difference(new Lab(...$one)))
        ->toEqualWithDelta($difference, 1e-4)
        ->and((new Lab(...$one))->difference(new Lab(...$one)))
        ->toBe(0.0);
})->with([
    [[50.0, 2.6772, -79.7751], [50.0, 0.0, -82.7485], 2.0425],
    [[50.0, 3.1571, -77.2803], [50.0, 0.0, -82.7485], 2.8615],
    [[50.0, 2.8361, -74.02], [50.0, 0.0, -82.7485], 3.4412],
    [[50.0, -1.3802, -84.2814], [50.0, 0.0, -82.7485], 1.0],
    [[50.0, 0.0, 0.0], [50.0, -1.0, 2.0], 2.3669],
    [[50.0, 2.5, 0.0], [50.0, 0.0, -2.5], 4.3065],
    [[50.0, 2.5, 0.0], [73.0, 25.0, -18.0], 27.1492],
    [[50.0, 2.5, 0.0], [61.0, -5.0, 29.0], 22.8977],
    [[50.0, 2.5, 0.0], [56.0, -27.0, -3.0], 31.903],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
]);

// Source: WCAG 2.2, contrast ratio; #777777 on white is known for just failing 4.5 (values from memory).
test('contrast is what the guidelines say', function (): void {
    expect(Contrast::of('#000000', '#ffffff'))
        ->toEqualWithDelta(21.0, 1e-9)
        ->and(Contrast::of('#777777', '#ffffff'))
        ->toEqualWithDelta(4.48, 0.005)
        ->and(Contrast::of('#ffffff', '#767676'))
        ->toEqualWithDelta(4.54, 0.005)
        ->and(Contrast::of('#ff0000', '#ffffff'))
        ->toEqualWithDelta(4.0, 0.005)
        ->and(Contrast::of('#0000ff', '#ffffff'))
        ->toEqualWithDelta(8.59, 0.005)
        ->and(Contrast::of('#00ff00', '#000000'))
        ->toEqualWithDelta(15.3, 0.005)
        ->and(Contrast::of('#a8325a', '#a8325a'))
        ->toBe(1.0);
});

test('the eleven basic colors are called by their names', function (string $hex, string $name): void {
    expect(BasicColor::of($hex))->toBe($name);
})->with([
    ['#0a0a0a', 'Black'],
    ['#fdfdfd', 'White'],
    ['#8f8f8f', 'Gray'],
    ['#d81e1e', 'Red'],
    ['#ff8800', 'Orange'],
    ['#ffe000', 'Yellow'],
    ['#1f8f1f', 'Green'],
    ['#1f50cf', 'Blue'],
    ['#7a2c9a', 'Purple'],
    ['#ff9cc2', 'Pink'],
    ['#8a4412', 'Brown'],
]);

// Looked at as a chart of all colors when the typical ones were chosen; whoever changes these sees here how much of the chart goes over.
test('all colors are parted among the basic ones as they were', function (): void {
    $named = [];
    $steps = range(8, 255, 30);
    foreach ($steps as $red) {
        foreach ($steps as $green) {
            foreach ($steps as $blue) {
                $named[] = BasicColor::of(sprintf('#%02x%02x%02x', $red, $green, $blue));
            }
        }
    }
    $counts = array_count_values($named);
    ksort($counts);
    expect($counts)
        ->toBe([
            'Black' => 5,
            'Blue' => 161,
            'Brown' => 40,
            'Gray' => 12,
            'Green' => 218,
            'Orange' => 22,
            'Pink' => 73,
            'Purple' => 112,
            'Red' => 41,
            'White' => 2,
            'Yellow' => 43,
        ])
        ->and(hash('xxh3', implode('', array_map(fn (string $name): string => substr($name, 0, 3), $named))))
        ->toBe('994443237ad67b03');
});

test('words before a color shade it, one after the other', function (): void {
    $shaded = [];
    foreach (array_keys(SHADED) as $word) {
        $shaded[$word] = Shade::of('#8a5a44', [$word]);
        expect(Shade::knows($word))->toBeTrue();
    }
    expect($shaded)
        ->toBe(SHADED)
        ->and(Shade::knows('cerulean'))
        ->toBeFalse()
        ->and(Shade::of('#8a5a44', ['cerulean']))
        ->toBe('#8a5a44')
        ->and(Shade::of('#8a5a44', []))
        ->toBe('#8a5a44');
    $brown = Lab::ofHex('#8a5a44');
    $light = Lab::ofHex(Shade::of('#8a5a44', ['dark', 'light']));
    expect($light->lightness)
        ->toEqualWithDelta($brown->lightness * 0.6 + (100 - $brown->lightness * 0.6) * 0.4, 0.4)
        ->and($light->chroma())
        ->toEqualWithDelta($brown->chroma() * 0.64, 0.6);
});

test('a name speaks of one to three colors', function (string $name, array $colors): void {
    expect(ColorNames::in($name))->toBe($colors);
})->with([
    'a color of CSS' => ['Tomato', ['#ff6347']],
    'in another order' => ['Sienna, burnt', ColorNames::in('Burnt sienna')],
    'with what says nothing of it' => ['Tomato hue', ['#ff6347']],
    'two of them' => ['Black and white', ['#000000', '#ffffff']],
    'by a stroke' => ['Black / white / red', ['#000000', '#ffffff', '#ff0000']],
    'in German' => ['black und white', ['#000000', '#ffffff']],
    'four of them' => ['Black/white/red/blue', []],
    'one of two is none' => ['Black and stretched', []],
    'by its last word, beside another' => ['Ninefold tomato & black', ['#ff6347', '#000000']],
    'a single name that is none' => ['Stretched', []],
    'nothing' => ['', []],
    'abbreviated' => ['grn.', ColorNames::in('Green')],
    'shaded' => ['Pale tomato', [Shade::of('#ff6347', ['pale'])]],
    'shaded twice' => ['Dusty pale tomato', [Shade::of('#ff6347', ['dusty', 'pale'])]],
]);

test('words that say nothing of a color are passed over, before its name and behind it', function (string $word): void {
    expect(ColorNames::in("{$word} tomato"))
        ->toBe(['#ff6347'])
        ->and(ColorNames::in("Tomato-{$word} and white"))
        ->toBe(['#ff6347', '#ffffff'])
        ->and(ColorNames::in("Ninefold tomato, {$word}"))
        ->toBe(['#ff6347']);
})->with(['hue', 'medium', 'permanent', 'transparent', 'opaque', 'genuine', 'color', 'colour', 'tone', 'shade']);
