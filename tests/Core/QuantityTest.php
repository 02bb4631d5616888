<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\Quantity\BadUnit;
use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\ShownNumber;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnitTable;
use Lokum\Quantity\UnreadableQuantity;

test('numbers are read as people write them', function (string $text, float $number): void {
    expect(Quantity::in(null, $text))->toBe($number);
})->with([
    ['1,5', 1.5],
    ['1.5', 1.5],
    ['1 500', 1500.0],
    ["1\u{00A0}500,25", 1500.25],
    ['1,500', 1500.0],
    ['1.500,25', 1500.25],
    ['1½', 1.5],
    ['1 1/2', 1.5],
    ['¾', 0.75],
    ['3/4', 0.75],
    ['-3', -3.0],
    ["\u{2212}3", -3.0],
    ['.5', 0.5],
    ['0', 0.0],
    ['12', 12.0],
]);

// Factors: NIST Special Publication 811 (2008), appendix B.8.
test('units are converted exactly', function (string $text, string $unit, float $number): void {
    expect(Quantity::in($unit, $text))->toEqualWithDelta($number, abs($number) * 1e-12);
})->with([
    ['12 in', 'cm', 30.48],
    ['1 ft', 'm', 0.3048],
    ['2 fl oz', 'ml', 59.147059125],
    ['1,5 cl', 'ml', 15.0],
    ['0.5 l', 'ml', 500.0],
    ['300 gsm', 'g/m²', 300.0],
    ['300g/m2', 'g/m²', 300.0],
    ['1 lb', 'g', 453.59237],
    ['1 oz', 'g', 28.349523125],
    ['6"', 'mm', 152.4],
    ['37ml', 'ml', 37.0],
    ['12', 'cm', 12.0],
]);

test('what cannot be read is refused with its reason', function (?string $unit, string $text, string $reason): void {
    expect(fn () => Quantity::in($unit, $text))->toThrow(UnreadableQuantity::class, $reason);
})->with([
    ['ml', 'half pan', 'not a number'],
    ['g/m²', '140 lb', 'cannot be turned into g/m²'],
    [null, '5 ml', 'has none'],
    ['ml', '5 parsecs', '"parsecs" is not known'],
    [null, '000', 'not a number'],
    [null, '', 'not a number'],
    [null, '1/0', 'not a number'],
    [null, str_repeat('9', 30), 'too large'],
    ['cm', '10–12 cm', 'is a range'],
    ['cm', '20 x 30 cm', 'several lengths'],
    ['ml', '2 x 50 ml', 'several numbers'],
    ['mm', '12-10 mm', 'backwards'],
    ['h', '4H', '"H" is not known'],
    ['cm', 'approx. 5 cm', 'not a number'],
    [null, '1e400', 'not known'],
]);

test('ranges, lengths that belong together, and small units behind large ones', function (string $text, string $says): void {
    $measure = MeasureText::read($text);
    $say = fn (Quantity $quantity): string => trim($quantity->float().' '.$quantity->unit?->symbol);
    expect(
        match (true) {
            $measure instanceof Quantity => $say($measure),
            $measure instanceof QuantityRange => $say($measure->from).' to '.$say($measure->to),
            $measure instanceof Dimensions => implode(' by ', array_map($say, $measure->sides)),
        },
    )->toBe($says);
})->with([
    ["5'6\"", '5.5 ft'],
    ['1-1/2 in', '1.5 in'],
    ['10..12 mm', '10 mm to 12 mm'],
    ['10mm - 2cm', '1 cm to 2 cm'],
    ['-5 to 10 °C', '-5 °C to 10 °C'],
    ['20cm×30cm', '20 cm by 30 cm'],
    ['1 x 2 x 3 ft', '1 ft by 2 ft by 3 ft'],
    ['din a4', '210 mm by 297 mm'],
    ['5 m2', '5 m²'],
    ['3 sq ft', '3 ft²'],
    ['50MM', '50 mm'],
    ['12 MLT', '12 ml'],
    ['7 [in_i]', '7 in'],
    ['10-12', '10 to 12'],
]);

/** A text that says one quantity. */
function single(string $text): Quantity
{
    $read = MeasureText::read($text);

    return $read instanceof Quantity ? $read : throw new RuntimeException("\"{$text}\" is no single quantity.");
}

test('the same measure is the same however it is written', function (string $one, string $other, bool $same): void {
    $groups = (new LookAlikes(Lexicon::shipped()))->among([new Candidate($one, 2), new Candidate($other, 1)]);
    expect($groups !== [])->toBe($same);
})->with([
    ['300 gsm', '300 g/m2', true],
    ['12 in', '30.48 cm', true],
    'rounded to the digits written' => ['12 in', '30.5 cm', true],
    ['12 in', '30.6 cm', false],
    ['0.5 l', '500 ml', true],
    ['5', '5 cm', false],
    ['5 g', '5 cm', false],
]);

test('digits of other scripts are digits', function (): void {
    expect(Lokum\Text\Unicode::digits('١٢ ml, ９, 7'))
        ->toBe('12 ml, 9, 7')
        ->and(single('٣٠ ml')->float())
        ->toBe(30.0);
});

test('a number of any size is written by the digits that count', function (string $fraction, string $rounded): void {
    $quantity = new Quantity(BigRational::of($fraction), null);
    expect($quantity->significant(3))->toBe($rounded)->and($quantity->significant(null))->toBe($fraction);
})->with([
    ['0', '0.00E+0'],
    ['127/5', '2.54E+1'],
    ['-127/5', '-2.54E+1'],
    ['1/3', '3.33E-1'],
    ['3600000000000000', '3.60E+15'],
    ['999999999999999999999999999', '1.00E+27'],
    ['-12345678901234567890123456788/7', '-1.76E+27'],
    ['1/99999999999999999999999999999999', '1.00E-32'],
    'many digits, one of them counts' => ['10000000000000000000000000000000000000000', '1.00E+40'],
]);

test('a number is shown in the unit of its field, and as it came where that was another', function (
    string $text,
    float $number,
    ?string $unit,
    string $shown,
): void {
    expect(ShownNumber::of($text, $number, $unit))->toBe($shown);
})->with([
    ['60ml ', 60.0, 'ml', '60 ml'],
    ['60', 60.0, 'ml', '60 ml'],
    ['1,500 g', 1500.0, 'g', '1500 g'],
    ['2 fl oz', 59.1470591, 'ml', '2 fl oz (59.1 ml)'],
    [' 4 fl oz', 118.2941183, 'ml', '4 fl oz (118 ml)'],
    ['1.5 cl', 15.0, 'ml', '1.5 cl (15 ml)'],
    ['0.004 in', 0.1016, 'mm', '0.004 in (0.102 mm)'],
    ['0 in', 0.0, 'mm', '0 in (0 mm)'],
    ['12 pcs', 12.0, null, '12 pcs'],
    ['half pan', 1.5, 'ml', '1.5 ml'],
]);

test('a field says with how many decimals it shows numbers', function (string $text, float $number, ?string $unit, string $shown): void {
    expect(ShownNumber::of($text, $number, $unit, 1))->toBe($shown);
})->with([
    ['60ml ', 60.0, 'ml', '60.0 ml'],
    ['2 fl oz', 59.1470591, 'ml', '2 fl oz (59.1 ml)'],
    ['12.25', 12.25, null, '12.3'],
    ['-0.04 mm', -0.04, 'mm', '0.0 mm'],
]);

test('units of one\'s own convert by what one of them is, or to nothing', function (): void {
    try {
        UnitTable::with("board foot, bd ft = 144 in³\npack, packs = 12 pieces\npallet = 40 packs\nroll, rolls");
        // NIST Handbook 130 (2024), Method of Sale, 2.14: a board foot is the volume of 1 in by 12 in by 12 in.
        expect(Quantity::in('board foot', '2 bd ft'))
            ->toBe(2.0)
            ->and(Quantity::in('in³', '2 board foot'))
            ->toBe(288.0)
            ->and(Quantity::in('bd ft', '1 ft³'))
            ->toBe(12.0)
            ->and(Quantity::in('pack', '3 dozen'))
            ->toBe(3.0)
            ->and(Quantity::in('pack', '1 pallet'))
            ->toBe(40.0)
            ->and(Quantity::in('roll', '7 Rolls'))
            ->toBe(7.0)
            ->and(fn (): float => Quantity::in('pack', '2 rolls'))
            ->toThrow(UnreadableQuantity::class, 'cannot be turned into pack');
    } finally {
        UnitTable::with('');
    }
    expect(Unit::find('bd ft'))->toBeNull();
});

test('units that cannot be had are refused with their reason', function (string $lines, string $why): void {
    try {
        expect(fn () => UnitTable::with($lines))->toThrow(BadUnit::class, $why);
    } finally {
        UnitTable::with('');
    }
})->with([
    ["bottle\nflask, Bottle", 'Line 2: "Bottle" is named already'],
    ['3 packs', 'Line 1: "3 packs" is no name'],
    ['pair of gloves, KG = 2 pieces', '"KG" is known as kg'],
    ['crate = 3', 'is not a number with a unit'],
    ['crate = 3 boxfuls', 'is not a number with a unit'],
    ['crate = -3 kg', 'is not a number with a unit'],
    ['crate = many', 'is not a number'],
    ['warmth = 3 °C', 'is not a number with a unit'],
    [str_repeat('q', 41), 'is no name'],
    [implode("\n", array_map(fn (int $i): string => 'u'.strtr((string) $i, '0123456789', 'abcdefghij'), range(1, 101))), 'at most 100'],
]);
