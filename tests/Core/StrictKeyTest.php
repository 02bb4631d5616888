<?php

declare(strict_types=1);

use Lokum\Text\StrictKey;

test('the same letters have the same key', function (string ...$texts): void {
    expect(array_unique(array_map(StrictKey::of(...), $texts)))->toHaveCount(1);
})->with([
    [
        'Burnt sienna',
        ' BURNT  SIENNA ',
        "Burnt\u{00A0}sienna",
        'burnt sienna.',
        '“Burnt sienna”',
        "Burnt\tsienna",
        "Burnt\u{200B} sienna",
    ],
    ['Café', 'CAFÉ', "Cafe\u{0301}", 'Caf&eacute;', 'cafe'],
    ['Straße', 'STRASSE', 'strasse'],
    ['Sap-green', 'Sap–green', "Sap\u{2011}green", 'sap - green'],
    ["Children's", 'Children’s', 'childrens'],
    ['g/m²', 'g/m2', 'G / M²'],
    ['Łódź', 'lodz'],
    ['Đakovo Ħal Ŧı', 'dakovo hal ti'],
    ["Sun\u{FE0F} \u{FEFF}hat\u{2060}\u{2066}", "sun\u{180E} hat\u{061C}", 'Sun hat'],
    ['Tom&apos;s &quot;six&quot;', "Tom's \"six\"", 'toms "six"'],
    ['ﬁne', 'fine'],
    ['Arches®', 'arches', 'ARCHES™'],
    ['50 %', '50%'],
    ['6"', '6”', '6″'],
    ['Black & white', 'black &amp; white'],
    ['1½', '1 1/2'],
]);

test('what carries meaning keeps keys apart', function (string $a, string $b): void {
    expect(StrictKey::of($a))->not->toBe(StrictKey::of($b));
})->with([
    ['1.5', '15'],
    ['1,5', '15'],
    ['-5', '5'],
    ['+5', '5'],
    ['5%', '5'],
    ['1/2', '12'],
    ['1½', '11/2'],
    ['10²', '102'],
    ['.5', '5'],
    ['C', 'C++'],
    ['6"', "6'"],
    ['red/blue', 'red blue'],
    ['red&blue', 'red blue'],
    ['#1', '1'],
    ['A-1', 'A1'],
    ['semi-gloss', 'semigloss'],
    ['❤', '☕'],
    ['0', ''],
    ['20 x 30', '20 30'],
]);

test('a key is never empty where something is to be seen, and is its own key', function (string $text): void {
    $key = StrictKey::of($text);
    expect($key)->not->toBe('')->and(StrictKey::of($key))->toBe($key);
})->with(['---', '?', '☕', '0', '!!', '…', '(none)', "👩\u{200D}🎨", 'n/a', '--', '中文', 'क्षि', '"']);

test('the short way for plain words gives what the long way gives', function (): void {
    mt_srand(2);
    for ($i = 0; $i < 3000; $i++) {
        $text = implode(
            '',
            array_map(fn (): string => ['A', 'b', 'Zoe', '7', '00', ' ', '-', 'x'][mt_rand(0, 7)], range(1, mt_rand(1, 7))),
        );
        // A character that nobody sees takes the long way.
        expect(StrictKey::of($text))->toBe(StrictKey::of("\u{200B}{$text}"), $text);
    }
});
