<?php

declare(strict_types=1);

use Lokum\Feed\ColumnGuess;
use Lokum\Vocabulary\Day;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\DayText;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\UnreadableDay;

/* Dates in the ways people write them. Names of months from memory of the six languages, not from what the code reads them from. */

test('a date is read however it is written', function (string $text, string $day): void {
    expect(Day::text(DayText::read($text)))->toBe($day);
})->with([
    ['2026-11-30', '2026-11-30'],
    ['2026/1/5', '2026-01-05'],
    ['1.5.2023', '2023-05-01'],
    ['1. 5. 2023', '2023-05-01'],
    ['30/11/2026', '2026-11-30'],
    ['11/30/2026', '2026-11-30'],
    ['05-05-2023', '2023-05-05'],
    ['1st of May 2023', '2023-05-01'],
    ['Sept. 4, 2020', '2020-09-04'],
    ['4-MAY-2023', '2023-05-04'],
    ['2. März 2021', '2021-03-02'],
    ['4 févr. 2022', '2022-02-04'],
    ['1er août 2022', '2022-08-01'],
    ['3 de enero de 2024', '2024-01-03'],
    ['12 gennaio 2024', '2024-01-12'],
    ['3 mrt. 2024', '2024-03-03'],
    ['٣٠/١١/٢٠٢٦', '2026-11-30'],
]);

test('what is no date, or could be two, is never guessed', function (string $text, bool $couldBeTwo): void {
    try {
        DayText::read($text);
        $why = null;
    } catch (UnreadableDay $caught) {
        $why = $caught->couldBeTwo;
    }
    expect($why)->toBe($couldBeTwo);
})->with([
    ['05/01/2023', true],
    ['5-1-2023', true],
    ['31/02/2023', false],
    ['13/13/2023', false],
    ['1.13.2023', false],
    ['5 May', false],
    ['5 Foo 2023', false],
    ['01/02/23', false],
    ['', false],
    ['20230501', false],
]);

test('who says which number comes first is believed where the numbers do not tell', function (): void {
    expect(Day::text(DayText::read('05/01/2023', DayOrder::DayFirst)))
        ->toBe('2023-01-05')
        ->and(Day::text(DayText::read('05/01/2023', DayOrder::MonthFirst)))
        ->toBe('2023-05-01')
        ->and(Day::text(DayText::read('30/11/2026', DayOrder::MonthFirst)))
        ->toBe('2026-11-30')
        ->and(Day::text(DayText::read('1.5.2023', DayOrder::MonthFirst)))
        ->toBe('2023-05-01');
});

test('a column tells its order by the dates that can be only one', function (array $cells, ?DayOrder $order): void {
    $guess = new ColumnGuess('Best before');
    foreach ($cells as $cell) {
        $guess->add($cell, false);
    }
    [$column] = $guess->column('best-before');
    expect([$column->kind, $column->dayOrder])->toBe([Kind::Date, $order]);
})->with([
    'by one of them' => [['05/01/2023', '06/02/2023', '28/02/2023'], DayOrder::DayFirst],
    'the other way' => [['05/01/2023', '02/28/2023'], DayOrder::MonthFirst],
    'none tells' => [['05/01/2023', '1 May 2023'], null],
    'they contradict' => [['28/02/2023', '02/28/2023'], null],
]);

test('which number comes first is told by one that can be no month', function (string $text, ?DayOrder $order): void {
    expect(DayOrder::in($text))->toBe($order);
})->with([
    ['13/12/2023', DayOrder::DayFirst],
    ['12/13/2023', DayOrder::MonthFirst],
    ['12/12/2023', null],
    ['13/13/2023', null],
    ['13.12.2023', null],
    ['30-1-2023', DayOrder::DayFirst],
    ['2023/1/5', null],
]);

test('what a date could be is said in words', function (): void {
    expect(fn () => DayText::read('05/01/2023'))
        ->toThrow(UnreadableDay::class, '"05/01/2023" could be 5 January or 1 May; say once whether the day or the month comes first')
        ->and(fn () => DayText::read(str_repeat('x', 80)))
        ->toThrow(UnreadableDay::class, '"'.str_repeat('x', 59).'…" is not a date such as 2026-11-30 or 30 November 2026')
        ->and(DayOrder::DayFirst->label())
        ->toBe('day first: 05/01/2023 is 5 January')
        ->and(DayOrder::MonthFirst->label())
        ->toBe('month first: 05/01/2023 is 1 May');
});
