<?php

declare(strict_types=1);

use Lokum\Feed\BadBound;
use Lokum\Feed\Bounds;
use Lokum\Feed\DeliveryFigures;

/* Within which figures a delivery is read by itself. */

/** @return list<DeliveryFigures> */
function nights(int ...$rows): array
{
    return array_map(fn (int $n): DeliveryFigures => new DeliveryFigures($n, 0, 3, 20, 1, 0, 2), array_values($rows));
}

test('bounds are the median and three spreads of what a feed has sent, and five per cent of its rows at least', function (): void {
    $bounds = Bounds::proposed(nights(1000, 1004, 996, 1000, 5000));
    // By hand: median 1000, distances 0 4 4 0 4000 with median 4; ten per cent are more than three spreads of it.
    expect([$bounds->leastRows, $bounds->mostRows])
        ->toBe([900, 1100])
        ->and($bounds->most)
        ->toBe([
            'refused' => 0,
            'new' => 53,
            'changed' => 70,
            'gone' => 51,
            'jumps' => 0,
            'values' => 52,
            'headings' => 0,
        ]);
    // An uneven past lets more pass.
    $uneven = Bounds::proposed(nights(500, 1000, 1500, 2000, 2500));
    expect([$uneven->leastRows, $uneven->mostRows])->toBe([1, 3724]);
});

test('without a past nothing is bounded but what is never usual', function (): void {
    $bounds = Bounds::proposed([]);
    expect($bounds->exceededBy(new DeliveryFigures(50_000, new: 50_000, values: 300)))
        ->toBe([])
        ->and($bounds->exceededBy(new DeliveryFigures(0)))
        ->toBe(['0 rows, at least 1 are usual']);
});

test('what adds up while nothing is read is let pass in more of it', function (): void {
    $bounds = Bounds::proposed(nights(1000, 1000, 1000));
    expect($bounds->after(2)->most)
        ->toEqual(['new' => 159, 'changed' => 210] + ['gone' => 153, 'values' => 156] + $bounds->most)
        ->and($bounds->after(0))
        ->toEqual($bounds);
});

test('every figure beyond its bound is named with both', function (): void {
    $bounds = Bounds::proposed(nights(1000, 1000, 1000));
    expect($bounds->exceededBy(new DeliveryFigures(1000, 0, 53, 70, 51, 0, 52, 0)))
        ->toBe([])
        ->and($bounds->exceededBy(new DeliveryFigures(499, 1, 54, 71, 52, 400, 53, 1)))
        ->toBe([
            '499 rows, at least 900 are usual',
            '1 row is refused, none is let pass',
            '54 products and variants are new, at most 53 are let pass',
            '71 products and variants change, at most 70 are let pass',
            '52 products and variants are gone, at most 51 are let pass',
            '400 prices become less than half or more than twice, none is let pass',
            '53 values are new, at most 52 are let pass',
            '1 heading is new, none is let pass',
        ])
        ->and($bounds->exceededBy(new DeliveryFigures(1101)))
        ->toBe(['1,101 rows, at most 1,100 are usual']);
});

test('bounds are kept and read again, and said in one sentence', function (): void {
    $bounds = Bounds::from(['least_rows' => '5', 'most_rows' => 9, 'new' => ' 3 '] + ['refused' => 0, 'changed' => '', 'gone' => 0]);
    expect(Bounds::from($bounds->toArray()))
        ->toEqual($bounds)
        ->and($bounds->inWords())
        ->toBe(
            'Read by itself with 5 to 9 rows, where no rows are refused, at most 3 products and variants are new, '.
            'no products and variants are gone; else it is held.',
        )
        ->and($bounds->exceededBy(new DeliveryFigures(6, changed: 5000)))
        ->toBe([]);
});

test('a bound that is none is refused by its name', function (array $data, string $words): void {
    expect(fn () => Bounds::from($data))->toThrow(BadBound::class, $words);
})->with([
    [['changed' => 'x'], 'The bound of changed is a whole number from 0, or empty for any; "x" is not.'],
    [['gone' => -4], '"-4" is not'],
    [['new' => '3.5'], '"3.5" is not'],
    [['least_rows' => [1]], '"a list" is not'],
    [['nwe' => 3], 'No figure of a delivery is called "nwe". There are least_rows, most_rows, refused, new,'],
]);

test('a delivery is missed by the days on which it usually comes', function (): void {
    // Nightly; the third night came to nothing, however often it was looked for, and today does not count.
    expect(Bounds::missed([2, 1, 1, 2, 1], [3, 4, 5], 6))
        ->toBe(3)
        ->and(Bounds::missed([1, 2], [2, 2, 3, 3, 3, 4, 4], 4))
        ->toBe(1)
        ->and(Bounds::missed([1, 2], [2, 3], 3))
        ->toBe(0)
        // Once a week, looked for every day.
        ->and(Bounds::missed([0, 7, 14], range(15, 21), 21))
        ->toBe(0)
        ->and(Bounds::missed([14, 0, 7], range(15, 28), 28))
        ->toBe(1)
        // On working days: nobody looks on the others.
        ->and(Bounds::missed([0, 1, 2, 3, 4], [7], 7))
        ->toBe(0)
        // Several a day, none at all for two months, none ever.
        ->and(Bounds::missed([1, 1, 1, 2, 2], [3], 4))
        ->toBe(1)
        ->and(Bounds::missed([1, 2], range(3, 60), 60))
        ->toBe(6)
        ->and(Bounds::missed([], range(3, 60), 60))
        ->toBe(0);
});

test('what nobody counted is none', function (): void {
    expect((array) new DeliveryFigures(7))->toBe([
        'rows' => 7,
        'refused' => 0,
        'new' => 0,
        'changed' => 0,
        'gone' => 0,
        'jumps' => 0,
        'values' => 0,
        'headings' => 0,
    ]);
});

test('a delivery at its bounds is read, one beyond them is held', function (): void {
    $bounds = Bounds::from(['least_rows' => 5, 'most_rows' => 7, 'gone' => 1]);
    $why = fn (int $rows, int $gone): array => $bounds->exceededBy(new DeliveryFigures($rows, gone: $gone));
    expect($why(5, 1))
        ->toBe([])
        ->and($why(7, 0))
        ->toBe([])
        ->and($why(4, 0))
        ->toBe(['4 rows, at least 5 are usual'])
        ->and($why(8, 2))
        ->toBe(['8 rows, at most 7 are usual', '2 products and variants are gone, at most 1 are let pass']);
});

test('each figure of one is said of one', function (string $figure, string $words): void {
    $bounds = Bounds::from([$figure => 0]);
    expect($bounds->exceededBy(new DeliveryFigures(1, ...[$figure => 1])))
        ->toBe(["1 {$words}, none is let pass"])
        ->and(Bounds::figures())
        ->toHaveKey($figure);
})->with([
    ['refused', 'row is refused'],
    ['new', 'product or variant is new'],
    ['changed', 'product or variant changes'],
    ['gone', 'product or variant is gone'],
    ['jumps', 'price becomes less than half or more than twice'],
    ['values', 'value is new'],
    ['headings', 'heading is new'],
]);

test('bounds are said in one sentence, of one and of thousands', function (array $said, string $words): void {
    expect(Bounds::from($said)->inWords())->toBe("Read by itself with {$words}; else it is held.");
})->with([
    [[], 'at least 1 row'],
    [['least_rows' => 2], 'at least 2 rows'],
    [['least_rows' => 0, 'most_rows' => 12_000], '0 to 12,000 rows'],
    [['most_rows' => 999_999_999], '1 to 999,999,999 rows'],
    [['most_rows' => 1_000_000_000], 'at least 1 row'],
    [['gone' => 2000, 'values' => 0], 'at least 1 row, where at most 2,000 products and variants are gone, no values are new'],
]);

test('after one or two deliveries a fifth of the rows may differ, and five always', function (): void {
    $bounds = Bounds::proposed(nights(1000, 1000));
    expect([$bounds->leastRows, $bounds->mostRows, $bounds->most['new'], $bounds->most['gone']])
        ->toBe([600, 1400, 203, 201])
        ->and(Bounds::proposed(nights(1000, 1000, 1000))->most['gone'])
        ->toBe(51);
    $few = Bounds::proposed(nights(10, 10, 10));
    expect([$few->leastRows, $few->mostRows, $few->most['gone'], $few->most['refused']])->toBe([5, 15, 6, 0]);
    // Half of two in the middle: 20 and 30 rows are 25, ten and ten from it.
    $two = Bounds::proposed(nights(20, 30));
    expect([$two->leastRows, $two->mostRows])->toBe([2, 48]);
});

test('what is refused now and then is let pass as often as usual, whatever the rows', function (): void {
    $past = array_map(fn (int $refused): DeliveryFigures => new DeliveryFigures(1000, $refused), [2, 4, 6, 8, 10]);
    // Median 6, distances 4 2 0 2 4 with median 2; 6 + 3 · 1.4826 · 2 is 14.9.
    expect(Bounds::proposed($past)->most['refused'])->toBe(15);
});

test('the first deliveries may bring anything new, and nothing that is never usual', function (): void {
    expect(Bounds::proposed([]))->toEqual(new Bounds(1, 1_000_000_000, [
        'refused' => 0,
        'gone' => 0,
        'jumps' => 0,
        'headings' => 0,
    ]));
});

test('only what adds up grows with the deliveries that were missed, and rows are no figure to bound', function (): void {
    $bounds = Bounds::from([
        'least_rows' => 3,
        'most_rows' => 9,
        'refused' => 2,
        'new' => 3,
        'changed' => 4,
        'gone' => 5,
        'jumps' => 6,
        'values' => 7,
        'headings' => 8,
    ]);
    expect($bounds->most)
        ->not->toHaveKeys(['least_rows', 'most_rows'])
        ->and($bounds->after(1))
        ->toEqual(new Bounds(3, 9, [
            'refused' => 2,
            'new' => 6,
            'changed' => 8,
            'gone' => 10,
            'jumps' => 6,
            'values' => 14,
            'headings' => 8,
        ]));
});

test('a bound that is none is said whole, or as much of it as is of use', function (): void {
    $said = function (array $data): string {
        try {
            Bounds::from($data);
        } catch (BadBound $why) {
            return $why->getMessage();
        }

        return 'nothing';
    };
    expect($said(['gone' => str_repeat('x', 41)]))
        ->toBe('The bound of gone is a whole number from 0, or empty for any; "'.str_repeat('x', 39).'…" is not.')
        ->and($said(['gone' => str_repeat('x', 40)]))
        ->toContain('"'.str_repeat('x', 40).'" is not.')
        ->and($said(['gone' => -1]))
        ->toContain('"-1" is not.')
        ->and($said(['x' => 1]))
        ->toBe(
            'No figure of a delivery is called "x". There are least_rows, most_rows, refused, new, changed, gone, jumps, values, headings.',
        );
});

test('medians between two numbers are rounded to the nearer row, and what may differ to the next', function (): void {
    // 1001 and 1004 rows: 1002.5 is 1003; two fifths of 1003 are 401.2, so 402.
    $bounds = Bounds::proposed(nights(1001, 1004));
    expect([$bounds->leastRows, $bounds->mostRows])->toBe([601, 1405]);
    // 20 are changed as a rule, and a fifth of 1003 rows, 200.6.
    expect($bounds->most['changed'])->toBe(221);
});
