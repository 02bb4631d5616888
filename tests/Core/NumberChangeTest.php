<?php

declare(strict_types=1);

use Lokum\Quantity\NumberChange;

test('a change is worked out in exact decimals', function (NumberChange $change, float $from, string $to): void {
    expect($change->of($from))->toBe($to);
})->with([
    'by an amount' => [NumberChange::by('0.1'), 0.2, '0.3'],
    'by less, with a comma and a real minus' => [NumberChange::by("\u{2212}1,5"), 10.0, '8.5'],
    'to nothing, without zeros behind the point' => [NumberChange::by('-2.50'), 2.5, '0'],
    'by per cent' => [NumberChange::byPercent('10'), 19.99, '21.989'],
    'down by per cent' => [NumberChange::byPercent('-5'), 200.0, '190'],
    'by a third of a per cent, to twelve digits' => [NumberChange::byPercent('33.333333333333'), 3.0, '4'],
    'to a step' => [NumberChange::roundTo('0.05'), 1.03, '1.05'],
    'a half goes away from zero' => [NumberChange::roundTo('0.5'), -1.25, '-1.5'],
    'to tens' => [NumberChange::roundTo('10'), 44.9, '40'],
    'by per cent, then to a step' => [NumberChange::byPercent('10')->rounded('0.1'), 1.99, '2.2'],
    'by an amount, then to a step' => [NumberChange::by('3')->rounded('5'), 10.0, '15'],
]);

test('what is no number, or no step, is refused in words', function (Closure $make, string $why): void {
    expect($make)->toThrow(InvalidArgumentException::class, $why);
})->with([
    [fn () => NumberChange::by('much'), '"much" is not a number.'],
    [fn () => NumberChange::byPercent(''), '"" is not a number.'],
    [fn () => NumberChange::roundTo('0'), 'A number is rounded to a step above 0.'],
    [fn () => NumberChange::by('1')->rounded('-1'), 'A number is rounded to a step above 0.'],
    [fn () => NumberChange::by(str_repeat('x', 60)), '"'.str_repeat('x', 39).'…" is not a number.'],
]);
