<?php

declare(strict_types=1);

use Lokum\Quantity\Quantity;
use Lokum\Quantity\UnreadableQuantity;

test('numbers are read as people write them', function (string $text, float $number): void {
    expect(Quantity::in(null, $text))->toBe($number);
})->with([['1,5', 1.5], ['1.5', 1.5], ['1 500', 1500.0], ["1\u{00A0}500,25", 1500.25], ['1,500', 1500.0], ['1.500,25', 1500.25], ['1½', 1.5], ['1 1/2', 1.5], ['¾', 0.75], ['3/4', 0.75], ['-3', -3.0], ["\u{2212}3", -3.0], ['.5', 0.5], ['0', 0.0], ['12', 12.0]]);

// Factors: NIST Special Publication 811 (2008), appendix B.8.
test('units are converted exactly', function (string $text, string $unit, float $number): void {
    expect(Quantity::in($unit, $text))->toEqualWithDelta($number, abs($number) * 1e-12);
})->with([['12 in', 'cm', 30.48], ['1 ft', 'm', 0.3048], ['2 fl oz', 'ml', 59.147059125], ['1,5 cl', 'ml', 15.0], ['0.5 l', 'ml', 500.0], ['300 gsm', 'g/m²', 300.0], ['300g/m2', 'g/m²', 300.0], ['1 lb', 'g', 453.59237], ['1 oz', 'g', 28.349523125], ['6"', 'mm', 152.4], ['37ml', 'ml', 37.0], ['12', 'cm', 12.0]]);

test('what cannot be read is refused with its reason', function (?string $unit, string $text, string $reason): void {
    expect(fn () => Quantity::in($unit, $text))->toThrow(UnreadableQuantity::class, $reason);
})->with([['ml', 'half pan', 'not a number'], ['g/m²', '140 lb', 'cannot be turned into g/m²'], [null, '5 ml', 'has none'], ['ml', '5 parsecs', '"parsecs" is not known'], [null, '000', 'not a number'], [null, '', 'not a number'], [null, '1/0', 'not a number'], [null, str_repeat('9', 30), 'too large']]);
