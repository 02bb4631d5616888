<?php

declare(strict_types=1);

use Brick\Math\BigRational;
use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\Unit;
use Symfony\Component\Process\Process;

/** @return list<array{0: Unit, 1: Unit}> every unit with another one of its dimension */
function unitPairs(): array
{
    $first = [];
    $pairs = [];
    foreach (Unit::symbols() as $symbol) {
        $unit = Unit::of($symbol);
        $dimension = json_encode($unit->powers);
        $first[$dimension] ??= $unit;
        $pairs[] = [$unit, $first[$dimension]];
    }

    return $pairs;
}

// Source: @lhncbc/ucum-lhc (npm), over every unit that Lokum knows.
test('every unit has a valid UCUM code and converts as it does', function (): void {
    $process = new Process(
        ['node', __DIR__.'/convert.mjs'],
        input: (string) json_encode(array_map(fn (array $pair): array => [7.25, $pair[0]->ucum, $pair[1]->ucum], unitPairs())),
    );
    $answers = json_decode($process->mustRun()->getOutput(), true);
    $wrong = [];
    foreach (unitPairs() as $i => [$from, $to]) {
        $mine = (new Quantity(BigRational::of('7.25'), $from))->to($to)->float();
        if (! is_numeric($answers[$i]) || abs($mine - $answers[$i]) > 1e-9 * max(abs($mine), 1e-9)) {
            $wrong[] = "{$from->symbol} ({$from->ucum}) to {$to->symbol}: {$mine}, there ".json_encode($answers[$i]);
        }
    }
    expect($wrong)->toBe([])->and(count(unitPairs()))->toBeGreaterThan(90);
});

// Source: GNU units (Debian package "units").
test('measures convert as GNU units says', function (string $text, string $to, string $from, string $into): void {
    $there = (float) trim((new Process(['units', '-t', '-d', '15', $from, $into]))->mustRun()->getOutput());
    $measure = MeasureText::read($text);
    expect($measure)
        ->toBeInstanceOf(Quantity::class)
        ->and($measure instanceof Quantity ? $measure->to(Unit::of($to))->float() : null)
        ->toEqualWithDelta($there, abs($there) * 1e-9);
})->with([
    ['12 in', 'cm', '12 inch', 'cm'],
    ['5 ft 6 in', 'm', '5 foot + 6 inch', 'm'],
    ['1 lb 4 oz', 'g', '1 pound + 4 ounce', 'g'],
    ['3 gal', 'l', '3 usgallon', 'liter'],
    ['2 uk pt', 'ml', '2 brpint', 'ml'],
    ['8 fl oz', 'ml', '8 usfloz', 'ml'],
    ['30 psi', 'kPa', '30 psi', 'kPa'],
    ['140 sq ft', 'm²', '140 ft^2', 'm^2'],
    ['2.5 l/min', 'cm³/s', '2.5 liter/min', 'cm^3/s'],
    ['55 mph', 'km/h', '55 mile/hour', 'km/hour'],
    ['1.2 g/cm³', 'kg/m³', '1.2 g/cm^3', 'kg/m^3'],
    ['5 kWh', 'kJ', '5 kWh', 'kJ'],
    ['300 gsm', 'kg/m²', '300 g/m^2', 'kg/m^2'],
    ['1¾ yd', 'cm', '1.75 yard', 'cm'],
    ['6 mil', 'µm', '6 mil', 'micron'],
]);

// Source: NIST Special Publication 811 (2008), appendix B.8 and B.9, exact factors.
test('factors are those of NIST SP 811', function (string $one, string $to, string $factor): void {
    $measure = MeasureText::read("1 {$one}");
    expect($measure)
        ->toBeInstanceOf(Quantity::class)
        ->and($measure instanceof Quantity ? (string) $measure->to(Unit::of($to))->number->simplified() : null)
        ->toBe((string) BigRational::of($factor)->simplified());
})->with([
    ['in', 'cm', '2.54'],
    ['ft', 'm', '0.3048'],
    ['yd', 'm', '0.9144'],
    ['mi', 'km', '1.609344'],
    ['lb', 'kg', '0.45359237'],
    ['oz', 'g', '28.349523125'],
    ['ct', 'mg', '200'],
    ['ha', 'm²', '10000'],
    ['bar', 'kPa', '100'],
    ['uk gal', 'l', '4.54609'],
    ['cal', 'J', '4.184'],
]);

// Source: NIST SP 811, B.8: t/°C = (t/°F - 32)/1.8, T/K = t/°C + 273.15.
test('temperatures have an offset', function (string $text, string $to, float $number): void {
    expect(Quantity::in($to, $text))->toEqualWithDelta($number, 1e-9);
})->with([['68 °F', '°C', 20.0], ['-40 °C', '°F', -40.0], ['0 °C', 'K', 273.15], ['98.6 °F', '°C', 37.0]]);

// Source: ISO 216:2007, table of trimmed sizes (A and B series), values from memory.
test('sheet sizes are those of ISO 216', function (string $name, float $short, float $long): void {
    $size = MeasureText::read($name);
    expect($size)
        ->toBeInstanceOf(Dimensions::class)
        ->and(array_map(fn (Quantity $side): float => $side->float(), $size instanceof Dimensions ? $size->sides : []))
        ->toBe([$short, $long]);
})->with([
    ['A0', 841.0, 1189.0],
    ['A1', 594.0, 841.0],
    ['A2', 420.0, 594.0],
    ['A3', 297.0, 420.0],
    ['A4', 210.0, 297.0],
    ['A5', 148.0, 210.0],
    ['A6', 105.0, 148.0],
    ['A7', 74.0, 105.0],
    ['A10', 26.0, 37.0],
    ['B4', 250.0, 353.0],
    ['B5', 176.0, 250.0],
]);
