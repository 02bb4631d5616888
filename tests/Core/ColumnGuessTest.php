<?php

declare(strict_types=1);

use Lokum\Feed\Column;
use Lokum\Feed\ColumnGuess;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/* What a column seems to hold, from its cells, and why. */

/** @param  array<string>  $cells */
function guessed(array $cells, string $heading = 'Column', bool $variant = true): ColumnGuess
{
    $guess = new ColumnGuess($heading);
    foreach ($cells as $cell) {
        $guess->add($cell, $variant);
    }

    return $guess;
}

test('a column says what it holds, and the reason', function (array $cells, Kind $kind, string $why): void {
    [$column, $reason] = guessed($cells)->column('slug');
    expect([$column->kind, $reason])->toBe([$kind, $why]);
})->with([
    'nothing' => [[], Kind::Choice, 'no cell is filled yet'],
    'blanks' => [['', ' ', "\u{A0}"], Kind::Choice, 'no cell is filled yet'],
    'yes and no' => [['yes', 'No', '', 'YES'], Kind::Flag, 'every cell says yes or no'],
    'one that is neither' => [['yes', 'no', 'maybe'], Kind::Choice, '3 values that repeat'],
    'ones and noughts alone' => [['1', '0', ' 1 '], Kind::Number, 'the cells are numbers'],
    'ones beside a word' => [['1', '0', 'yes'], Kind::Flag, 'every cell says yes or no'],
    'days' => [['2026-11-28', '3 May 2024', ''], Kind::Date, 'every cell is a date'],
    'days but one' => [['2026-11-28', 'soon'], Kind::Choice, '2 values that repeat'],
    'numbers' => [['5', '7.5', '1,200'], Kind::Number, 'the cells are numbers'],
    'numbers with units' => [['5 mm', '7.5 mm'], Kind::Number, 'the cells are numbers with units'],
    'numbers with several units of a kind' => [['30 ml', '1,5 cl', '60 ml'], Kind::Number, 'the cells are numbers with units'],
    'noughts that are codes' => [['000', '00', '0', '1'], Kind::Choice, '4 values that repeat'],
    'numbers with what is no unit' => [['5 zorks', '7 zorks'], Kind::Choice, '2 values that repeat'],
    'nineteen numbers of twenty' => [[...array_fill(0, 19, '5'), 'five'], Kind::Number, 'the cells are numbers'],
    'eighteen numbers of nineteen' => [[...array_fill(0, 18, '5'), 'five'], Kind::Choice, '2 values that repeat'],
    'sixty letters' => [[str_repeat('a', 60), str_repeat('b', 60)], Kind::Choice, '2 values that repeat'],
    'more than sixty' => [[str_repeat('a', 60), str_repeat('b', 61)], Kind::Text, 'the cells are long'],
    'a long one counts as two hundred letters' => [[str_repeat('a', 9000), 'b', 'c', 'd'], Kind::Choice, '4 values that repeat'],
    'two hundred and forty in four' => [[str_repeat('a', 200), str_repeat('b', 41), '', ''], Kind::Text, 'the cells are long'],
    'spellings' => [['Red', 'red', ' RED ', 'Blue'], Kind::Choice, '4 spellings of 2 values'],
    'each another, and few' => [array_map(fn (int $n): string => "name {$n}", range(1, 50)), Kind::Choice, '50 values that repeat'],
    'each another' => [array_map(fn (int $n): string => "name {$n}", range(1, 51)), Kind::Text, 'nearly every cell differs'],
    'nine in ten another' => [
        [...array_map(fn (int $n): string => "name {$n}", range(1, 90)), ...array_fill(0, 10, 'name 1')],
        Kind::Choice,
        '90 values that repeat',
    ],
    'a little more than nine in ten' => [
        [...array_map(fn (int $n): string => "name {$n}", range(1, 91)), ...array_fill(0, 9, 'name 1')],
        Kind::Text,
        'nearly every cell differs',
    ],
    'thousands, each another' => [array_map(fn (int $n): string => "name {$n}", range(1, 2500)), Kind::Text, 'nearly every cell differs'],
    'several in a cell' => [['red|blue', 'red'], Kind::Choice, 'several values in a cell, parted by "|"'],
    'several, with semicolons' => [['red; blue', 'red'], Kind::Choice, 'several values in a cell, parted by ";"'],
    'several, in two ways' => [['red; blue', 'red|green'], Kind::Choice, 'several values in a cell, parted by "| or ;"'],
    'a sign at an end parts nothing' => [['red|', '; blue', ' | '], Kind::Choice, '3 values that repeat'],
    'one of twenty' => [['a|b', ...array_fill(0, 19, 'a')], Kind::Choice, 'several values in a cell, parted by "|"'],
    'one of twenty-one' => [['a|b', ...array_fill(0, 20, 'a')], Kind::Choice, '2 values that repeat'],
    'numbers with a sign here and there' => [['5', '6', '7', '8', '9|10'], Kind::Choice, 'several values in a cell, parted by "|"'],
    'long ones with a sign between' => [
        [str_repeat('a', 90).'|b', str_repeat('c', 90)],
        Kind::Choice,
        'several values in a cell, parted by "|"',
    ],
    'half of them numbers' => [['5', 'a|b'], Kind::Choice, 'several values in a cell, parted by "|"'],
]);

test('the column that is proposed wears its heading, and is of products where no variant has a cell', function (): void {
    [$column] = guessed(['5 mm', '6 mm'], ' Outer  length ', false)->column('length');
    expect($column)->toEqual(new Column('length', 'Outer length', Kind::Number, false, '|', Level::Product, 'mm'));
    $guess = guessed(['red|blue'], 'Color', false);
    $guess->add('', true);
    expect($guess->column('color')[0])->toEqual(new Column('color', 'Color', Kind::Choice, true, '|', Level::Product));
    $guess->add('green', true);
    expect($guess->column('color')[0])->toEqual(new Column('color', 'Color', Kind::Choice, true, '|', Level::Variant));
    expect(guessed(['a;b'])->column('x')[0]->separator)->toBe(';');
});

test('the unit is the one that most cells carry, else the one in the heading', function (
    array $cells,
    string $heading,
    ?string $unit,
): void {
    [$column] = guessed($cells, $heading)->column('x');
    expect([$column->kind, $column->unit])->toBe([Kind::Number, $unit]);
})->with([
    [['5 mm', '6 cm', '7 cm', '8', '9', '10'], 'Length', 'cm'],
    [['5 centimetres', '6 cm', '7 mm'], 'Length (mm)', 'cm'],
    [['5', '6'], 'Length (mm)', 'mm'],
    [['5', '6'], 'Length [mm]', 'mm'],
    [['5', '6'], 'Length mm ', 'mm'],
    [['5', '6'], 'Length,mm', 'mm'],
    [['5', '6'], 'Weight g/m²', 'g/m²'],
    [['5', '6'], 'Length', null],
    [['5', '6'], 'Length (zork)', null],
    [['5', '6'], 'mm', null],
    [['5', '6'], '(mm) Length', null],
]);

test('only numbers have a unit, and only dates an order', function (): void {
    expect(guessed(['red', '5'], 'Color (mm)')->column('x')[0]->unit)
        ->toBeNull()
        ->and(guessed(['13/05/2024', '14/06/2024'])->column('x')[0]->dayOrder)
        ->toBe(DayOrder::DayFirst)
        ->and(guessed(['05/13/2024', '01/02/2024'])->column('x')[0]->dayOrder)
        ->toBe(DayOrder::MonthFirst)
        ->and(guessed(['05/13/2024', '13/05/2024'])->column('x')[0]->dayOrder)
        ->toBeNull()
        ->and(guessed(['01/02/2024'])->column('x')[0]->dayOrder)
        ->toBeNull()
        ->and(guessed(['13/05/2024', 'red'])->column('x')[0]->dayOrder)
        ->toBeNull();
});

test('how many rows have something, and what comes most often', function (): void {
    $guess = guessed(['a', 'b', 'b', '', 'c', 'c', 'c', ' ']);
    expect($guess->coverage())
        ->toBe(0.75)
        ->and($guess->samples())
        ->toBe(['c' => 3, 'b' => 2, 'a' => 1])
        ->and($guess->samples(2))
        ->toBe(['c' => 3, 'b' => 2])
        ->and(guessed(['7', '7', '8'])->samples())
        ->toBe([7 => 2, 8 => 1])
        ->and(guessed([])->coverage())
        ->toBe(0.0)
        ->and(array_keys(guessed(array_map(strval(...), range(1, 9)))->samples()))
        ->toBe([1, 2, 3, 4, 5, 6]);
});

test('a known text is counted on, also when no more are kept', function (): void {
    $guess = guessed([...array_map(fn (int $n): string => "name {$n}", range(1, 2001)), 'name 1', 'name 2001']);
    expect($guess->samples(1))->toBe(['name 1' => 2])->and($guess->samples(3000))->toHaveCount(2000);
});

test('one long cell among short ones makes no column of texts', function (): void {
    $guess = new ColumnGuess('Wax');
    foreach (range(1, 60) as $i) {
        $guess->add($i === 7 ? str_repeat('x', 9000) : ['Soy wax', 'Beeswax'][$i % 2], false);
    }
    expect($guess->column('wax')[0]->kind)->toBe(Kind::Choice);
    foreach (range(1, 40) as $i) {
        $guess->add(str_repeat("A text that is as long as texts are, {$i}. ", 9), false);
    }
    expect($guess->column('wax')[0]->kind)->toBe(Kind::Text);
});
