<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Lokum\Quantity\BadUnit;
use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\NumberChange;
use Lokum\Quantity\OwnUnit;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\ShownNumber;
use Lokum\Quantity\TypedNumber;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;

/* Where numbers and units begin and end: the longest text, the last decimal, the hundredth unit. */

/** @return list<string> */
function namesOfUnits(int $many): array
{
    return array_map(fn (int $i): string => 'unit '.chr(97 + $i % 26).chr(97 + intdiv($i, 26)), range(0, $many - 1));
}

function noQuantity(): Quantity
{
    return new Quantity(BigRational::zero(), null);
}

test('units of one\'s own are read line by line', function (): void {
    $units = OwnUnit::read("  \nboard foot , bd ft =  144 in³ \r\n\nroll\npack = 12 pieces = dozen\n");
    expect(array_map(fn (OwnUnit $unit): array => [$unit->names, $unit->measure, $unit->line()], $units))->toBe([
        [['board foot', 'bd ft'], '144 in³', 'board foot, bd ft = 144 in³'],
        [['roll'], null, 'roll'],
        [['pack'], '12 pieces = dozen', 'pack = 12 pieces = dozen'],
    ]);
});

test('a unit that cannot be had is named by its line', function (string $lines, string $why): void {
    expect(fn () => OwnUnit::read($lines))->toThrow(BadUnit::class, $why);
})->with([
    ["roll\n\nROLL", 'Line 3: "ROLL" is named already.'],
    ["roll, Roll\n", 'Line 1: "Roll" is named already.'],
    ["roll\n5 = 6", 'Line 2: "5" is no name for a unit: letters, 40 at most.'],
    [str_repeat('a', 41), 'Line 1: "'.str_repeat('a', 41).'" is no name for a unit'],
    [implode("\n", namesOfUnits(101)), 'Line 101: at most 100'],
]);

test('a hundred units are not too many, nor is a name of forty letters', function (): void {
    expect(OwnUnit::read(implode("\n", [...namesOfUnits(99), str_repeat('b', 40)])))->toHaveCount(100);
});

test('units are put together from others', function (string $text, string $symbol, string $ucum, array $powers, string $factor): void {
    $unit = Unit::find($text);
    expect([$unit?->symbol, $unit?->ucum, $unit?->powers, (string) $unit?->factor->simplified()])->toBe([$symbol, $ucum, $powers, $factor]);
})->with([
    ['square metre', 'm²', 'm2', ['mm' => 2], '1000000'],
    ['sq. in', 'in²', '[in_i]2', ['mm' => 2], '16129/25'],
    ['cubic metre', 'm³', 'm3', ['mm' => 3], '1000000000'],
    ['cu ft', 'ft³', '[ft_i]3', ['mm' => 3], '3539605824/125'],
    ['cm^2', 'cm²', 'cm2', ['mm' => 2], '100'],
    ['cm3', 'cm³', 'cm3', ['mm' => 3], '1000'],
]);

test('what is put together measures what its parts do', function (string $one, string $other, bool $converts): void {
    expect(Unit::of($one)->converts(Unit::of($other)))->toBe($converts);
})->with([
    ['km per hour', 'm/s', true],
    ['g/cm³', 'kg/m³', true],
    ['kg·m', 'm·kg', true],
    ['N·m', 'm·N', true],
    ['m/m', 'cm/cm', true],
    ['kg/m', 'kg·m', false],
    ['m²', 'm³', false],
    ['KM/h', 'km/h', true],
]);

test('nobody puts these together', function (string $text): void {
    expect(Unit::find($text))->toBeNull();
})->with(['', '5 m', '.5 m', '°C²', '°C/m', 'm/°C', 'parsec/m', 'm/parsec', 'm//s', str_repeat('m·', 30).'mm']);

test('a measure says how much it is', function (string $text, string $in, float $number): void {
    expect((Quantity::in($in, $text)))->toEqualWithDelta($number, abs($number) * 1e-12);
})->with([
    ['90 km per hour', 'm/s', 25.0],
    ['1 sq ft', 'cm²', 929.0304],
    ['2 cubic metres', 'l', 2000.0],
    ["\u{00A0} 5\u{2009}m/s ", 'km/h', 18.0],
]);

test('what a text is refused for is said with the text, cut after sixty characters', function (Closure $read, string $why): void {
    expect($read)->toThrow(UnreadableQuantity::class, $why);
})->with([
    [fn () => MeasureText::read(str_repeat('x', 60)), '"'.str_repeat('x', 60).'" is not a number'],
    [fn () => MeasureText::read('a'.str_repeat('x', 60)), '"a'.str_repeat('x', 58).'…" is not a number'],
    [fn () => MeasureText::read('5 '.str_repeat('y', 40)), 'the unit "'.str_repeat('y', 40).'" is not known'],
    [fn () => MeasureText::read('5 z'.str_repeat('y', 40)), 'the unit "z'.str_repeat('y', 38).'…" is not known'],
    [fn () => Quantity::in('cm', '1 cm to'.str_repeat(' ', 3).'2 cm'), '"1 cm to   2 cm" is a range, and this field takes one number'],
    [fn () => Quantity::in('cm', '1 x 2 cm'), '"1 x 2 cm" is several lengths, and this field takes one number'],
    [fn () => MeasureText::read('1 x 2 ml'), '"1 x 2 ml" has several numbers, and only lengths go together'],
    [fn () => MeasureText::read('1 x 2 x 3 x 4 cm'), '"1 x 2 x 3 x 4 cm" has several numbers, and only lengths go together'],
    [fn () => MeasureText::read('3 to 2 cm'), '"3 to 2 cm" is a range that runs backwards'],
    [fn () => (new Quantity(BigRational::of('1e15'), null))->to(Unit::of('cm')), 'it has no unit that could be turned into cm'],
    [fn () => (new Quantity(BigRational::of(10)->power(15)->plus(1), null))->float(), '" is too large for a number'],
]);

test('long texts are cut in every reason', function (Closure $make): void {
    $long = 'b'.str_repeat('c', 60);
    $exact = str_repeat('d', 60);
    expect($make($long)->getMessage())
        ->toContain('"b'.str_repeat('c', 58).'…"')
        ->and($make($exact)->getMessage())
        ->toContain("\"{$exact}\"");
})->with([
    [UnreadableQuantity::notANumber(...)],
    [UnreadableQuantity::tooLarge(...)],
    [UnreadableQuantity::manyNumbers(...)],
    [UnreadableQuantity::backwards(...)],
    [fn (string $text) => UnreadableQuantity::several($text, new Dimensions([noQuantity()]))],
    [fn (string $text) => UnreadableQuantity::several($text, new QuantityRange(noQuantity(), noQuantity()))],
]);

test('a number of 10 to the 15 is the largest', function (): void {
    expect((new Quantity(BigRational::of(10)->power(15), null))->float())->toBe(1e15);
});

test('fractions become the nearest number', function (string $fraction, float $number): void {
    expect((new Quantity(BigRational::of($fraction), null))->float())->toBe($number);
})->with([['1/3', 1 / 3], ['-2/7', -2 / 7], ['123456789/1000', 123456.789], ['1/1000000000000', 1e-12]]);

test('texts of 200 characters are read, longer ones are not', function (): void {
    $zeros = str_repeat(' ', 190);
    expect(MeasureText::read("5{$zeros}mm"))
        ->toBeInstanceOf(Quantity::class)
        ->and(fn () => MeasureText::read('5 '.str_repeat('m', 199)))
        ->toThrow(UnreadableQuantity::class, 'is not a number')
        ->and(fn () => MeasureText::read('5 '.str_repeat('m', 198)))
        ->toThrow(UnreadableQuantity::class, 'is not known');
});

test('numbers are typed with room around them, a comma, and a minus of any kind', function (string $text, ?float $number): void {
    expect(TypedNumber::read($text))->toBe($number);
})->with([
    [" 1,5\t", 1.5],
    ["\u{2212}2", -2.0],
    ['+3', 3.0],
    ['.5', 0.5],
    ['123456789012345', 123456789012345.0],
    ['1234567890123456', null],
    ['0.123456789012', 0.123456789012],
    ['0.1234567890123', null],
    ['1e5', null],
    ['', null],
]);

test('a change by a share keeps twelve decimals, and says what is no number', function (): void {
    expect(NumberChange::byPercent('0.0000000003')->of(1.0))
        ->toBe('1.000000000003')
        ->and(NumberChange::byPercent('33.333333333333')->of(3.0))
        ->toBe('4')
        ->and(NumberChange::byPercent('33.33333333')->of(3.0))
        ->toBe('3.9999999999')
        ->and(fn () => NumberChange::by(str_repeat('x', 41)))
        ->toThrow(InvalidArgumentException::class, '"'.str_repeat('x', 39).'…" is not a number.')
        ->and(fn () => NumberChange::by(str_repeat('x', 40)))
        ->toThrow(InvalidArgumentException::class, '"'.str_repeat('x', 40).'" is not a number.');
});

test('each sign for a fraction is that fraction', function (string $sign, int $over, int $under): void {
    $read = fn (string $text): float => Quantity::in(null, $text);
    expect([$read($sign), $read("2{$sign}"), $read("2 {$sign}"), $read("{$over}\u{2044}{$under}")])
        ->toBe([$over / $under, 2 + $over / $under, 2 + $over / $under, $over / $under]);
})->with([
    ['½', 1, 2],
    ['⅓', 1, 3],
    ['⅔', 2, 3],
    ['¼', 1, 4],
    ['¾', 3, 4],
    ['⅕', 1, 5],
    ['⅖', 2, 5],
    ['⅗', 3, 5],
    ['⅘', 4, 5],
    ['⅙', 1, 6],
    ['⅚', 5, 6],
    ['⅛', 1, 8],
    ['⅜', 3, 8],
    ['⅝', 5, 8],
    ['⅞', 7, 8],
]);

test('fractions are halves to twelfths, and those of inches and of a hundred', function (): void {
    foreach ([2, 4, 5, 7, 8, 10, 16, 20, 32, 64, 100, 128] as $under) {
        expect(Quantity::in(null, "3/{$under}"))->toBe(3 / $under);
    }
    foreach ([3, 9] as $under) {
        expect(Quantity::in(null, "2/{$under}"))->toBe(2 / $under);
    }
    foreach ([6, 12] as $under) {
        expect(Quantity::in(null, "5/{$under}"))->toBe(5 / $under);
    }
    foreach ([11, 13, 17, 19, 23, 31, 33, 63, 65, 99, 101, 127, 129] as $under) {
        expect(fn () => Quantity::in(null, "2/{$under}"))->toThrow(UnreadableQuantity::class, 'is not a number');
    }
});

test('parts of a unit are called by its prefixes', function (string $name, string $symbol, string $ucum): void {
    expect([Unit::find($name)?->symbol, Unit::find($name)?->ucum])->toBe([$symbol, $ucum]);
})->with([
    ['µm', 'µm', 'um'],
    ['um', 'µm', 'um'],
    ["\u{03BC}m", 'µm', 'um'],
    ['micrometre', 'µm', 'um'],
    ['µg', 'µg', 'ug'],
    ['kg·m', 'kg·m', 'kg.m'],
    ['kg/m', 'kg/m', 'kg/m'],
    ['m/m', 'm/m', 'm/m'],
]);

test('what is divided by its like measures nothing, and what is multiplied by it measures it twice', function (): void {
    expect([Unit::of('m/m')->powers, Unit::of('m·m')->powers, Unit::of('m²/m')->powers])->toBe([[], ['mm' => 2], ['mm' => 1]]);
});

// ISO 216 and ISO 269, in millimetres.
test('sheets of the series B and C', function (string $name, float $short, float $long): void {
    $sides = MeasureText::read($name);
    expect($sides instanceof Dimensions ? array_map(fn (Quantity $side): float => $side->float(), $sides->sides) : [])
        ->toBe([$short, $long]);
})->with([
    ['B0', 1000.0, 1414.0],
    ['B1', 707.0, 1000.0],
    ['B4', 250.0, 353.0],
    ['B10', 31.0, 44.0],
    ['C0', 917.0, 1297.0],
    ['C4', 229.0, 324.0],
    ['C6', 114.0, 162.0],
    ['C10', 28.0, 40.0],
]);

test('a millionth is written with either mu or a u', function (): void {
    foreach (Unit::symbols() as $symbol) {
        if (str_starts_with($symbol, 'µ')) {
            $rest = mb_substr($symbol, 1);
            expect([Unit::find("u{$rest}")?->symbol, Unit::find("\u{03BC}{$rest}")?->symbol])->toBe([$symbol, $symbol]);
        }
    }
    expect(array_map(fn (string $name): ?string => Unit::find($name)?->symbol, ['micron', 'microns', 'kilo', 'kilos', 'm^3']))
        ->toBe(['µm', 'µm', 'kg', 'kg', 'm³']);
});

test('numbers of forty digits are read, and what is shown is shown without the room around it', function (): void {
    expect(fn () => Quantity::in(null, str_repeat('9', 40)))
        ->toThrow(UnreadableQuantity::class, 'too large')
        ->and(fn () => Quantity::in(null, str_repeat('9', 41)))
        ->toThrow(UnreadableQuantity::class, 'is not a number')
        ->and(ShownNumber::of(' 5 cm ', 5.0, null))
        ->toBe('5 cm')
        ->and(ShownNumber::of("\t5 cm", 5.0, 'cm'))
        ->toBe('5 cm')
        ->and(ShownNumber::of('0 in', 0.0, 'cm'))
        ->toBe('0 in (0 cm)')
        ->and(ShownNumber::of('1 m', 1000.0, 'mm'))
        ->toBe('1 m (1000 mm)')
        ->and(ShownNumber::of('2 m', 1999.6, 'mm'))
        ->toBe('2 m (2000 mm)');
});
