<?php

declare(strict_types=1);

use Lokum\Lens\ColorPlane;
use Lokum\Lens\Flow;
use Lokum\Lens\FlowBox;
use Lokum\Lens\FlowValue;
use Lokum\Lens\Measures;
use Lokum\Lens\NumberLine;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Lessons;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;

/* How the workbench places what it draws, and what it learns. */

test('the flow keeps what belongs together at one height, and nothing covers anything', function (): void {
    $flow = new Flow(
        [
            new FlowValue(1, 1000, 50, [['id' => 11, 'products' => 30], ['id' => 12, 'products' => 25]], 3, 5),
            new FlowValue(2, 1000, 10, [['id' => 21, 'products' => 10]]),
            new FlowValue(3, 3, 1, [['id' => 31, 'products' => 1]]),
        ],
        [1000 => 58],
        [10.0, 20.0, 30.0, 40.0],
    );
    $ends = fn (FlowBox $box): array => [$box->top, $box->top + $box->height];
    foreach ([$flow->values, $flow->terms, $flow->spellings] as $column) {
        $spans = array_map($ends, $column);
        sort($spans);
        for ($i = 1; $i < count($spans); $i++) {
            expect($spans[$i][0])->toBeGreaterThanOrEqual($spans[$i - 1][1] - 1e-6);
        }
    }
    expect(count($flow->terms))
        ->toBe(2)
        ->and($flow->terms[0]->members)
        ->toBe(2)
        ->and($flow->terms[0]->products)
        ->toBe(58)
        ->and($flow->others)
        ->toHaveCount(1)
        ->and($flow->others[0]->members)
        ->toBe(3)
        ->and($flow->left)
        ->toHaveCount(5)
        ->and($flow->right)
        ->toHaveCount(3)

        ->and($flow->terms[0]->top)
        ->toBeLessThanOrEqual($flow->values[0]->top)
        ->and($flow->height)
        ->toBeGreaterThan($flow->terms[1]->top + $flow->terms[1]->height)
        // Spellings of one value are never thicker than the value, though their products are more.

        ->and(
            array_sum(
                array_map(fn (FlowBox $box): float => $box->thick, [
                    ...array_filter($flow->spellings, fn (FlowBox $box): bool => $box->value === 1),
                    ...$flow->others,
                ]),
            ),
        )
        ->toBeLessThanOrEqual($flow->values[0]->thick + 1e-6);
    expect((new Flow([], [], [0.0, 1.0, 2.0, 3.0]))->height)->toBe(0.0);
});

test('colors stand by hue and lightness, grays apart, and no two in one place', function (): void {
    $colors = array_fill(1, 300, '#cc2020') + [
        900 => '#2040cc',
        901 => '#808080',
        902 => '#f8f8f8',
        903 => '#101010',
    ];
    $plane = new ColorPlane($colors, 800, 480, 20);
    expect(count(array_unique(array_map(fn (array $dot): string => "{$dot['x']}:{$dot['y']}", $plane->dots))))
        ->toBe(304)

        ->and($plane->dots[900]['x'])
        ->toBeGreaterThan($plane->dots[1]['x'])
        ->and($plane->dots[901]['x'])
        ->toBeLessThan(80)
        ->and($plane->dots[902]['y'])
        ->toBeLessThan($plane->dots[901]['y'])
        ->and($plane->dots[903]['y'])
        ->toBeGreaterThan($plane->dots[901]['y']);
    // The outline holds every dot of its own.
    $outline = $plane->outline([1, 900]);
    $xs = array_column($outline, 0);
    expect(min([INF, ...$xs]))
        ->toBeLessThan($plane->dots[1]['x'])
        ->and(max([-INF, ...$xs]))
        ->toBeGreaterThan($plane->dots[900]['x'])
        ->and($plane->outline([]))
        ->toBe([]);
});

test('numbers stand on an axis, in powers of ten where they span much, and what is far off is told', function (): void {
    $line = new NumberLine([10.0, 11.0, 12.0, 13.0, 12.5, 90.0]);
    expect($line->powers)
        ->toBeFalse()
        ->and($line->place(10))
        ->toBe(0.0)
        ->and($line->place(90))
        ->toBe(1.0)
        ->and($line->isOutlier(90))
        ->toBeTrue()
        ->and($line->isOutlier(13))
        ->toBeFalse()
        ->and($line->marks()[0])
        ->toBe(10.0);
    $wide = new NumberLine([1.0, 10.0, 100.0, 1000.0]);
    expect($wide->powers)
        ->toBeTrue()
        ->and($wide->place(10))
        ->toEqualWithDelta(1 / 3, 1e-9)
        ->and($wide->marks())
        ->toBe([1.0, 3.0, 10.0, 30.0, 100.0, 300.0, 1000.0])
        ->and((new NumberLine([5.0]))->place(5.0))
        ->toBe(0.5)
        ->and((new NumberLine([5.0]))->isOutlier(5.0))
        ->toBeFalse();
});

test('measures of the kind that most are come to the unit that most are written in', function (): void {
    $measures = Measures::among(['10 ml', '0.5 l', '20 ml', 'A4', '3 kg']);
    expect($measures->unit)
        ->toBe('ml')
        ->and(array_map(fn (float $n): float => round($n, 6), $measures->numbers))
        ->toBe([0 => 10.0, 1 => 500.0, 2 => 20.0])
        ->and(Measures::among(['a', 'b'])->numbers)
        ->toBe([]);
});

test('what the shop has merged and kept apart comes before all other evidence', function (): void {
    $alike = fn (array $texts, Lessons $lessons): array => array_map(
        fn ($group): array => [array_map(fn (int $i): string => $texts[$i], $group->members), $group->kinds[0]],
        (new LookAlikes(Lexicon::shipped()))->among(
            array_map(fn (string $text): Candidate => new Candidate($text, 1), array_values($texts)),
            [],
            $lessons,
        ),
    );
    expect($alike(['Gris', 'Warm grey'], new Lessons()))
        ->toBe([])
        ->and($alike(['Gris', 'Warm grey'], new Lessons([['gris', 'Warm Grey']])))
        ->toBe([[['Gris', 'Warm grey'], Evidence::Taught]])
        ->and($alike(['Red', 'red '], new Lessons([], [['RED', 'red ']])))
        ->toBe([[['Red', 'red '], Evidence::Letters]])

        ->and($alike(['Colour', 'Color'], new Lessons()))
        ->toHaveCount(1)
        ->and($alike(['Colour', 'Color'], new Lessons([], [['color', 'COLOUR']])))
        ->toBe([]);
    // A shortening teaches its word to other values; a different word teaches nothing.
    $lessons = new Lessons([['Quin red', 'Quinacridone red'], ['Old red', 'New red'], ['a', 'b']]);
    expect($lessons->words())
        ->toBe(['quin' => 'quinacridone'])
        ->and($alike(['Quin gold', 'Quinacridone gold'], $lessons))
        ->toHaveCount(1)
        ->and($lessons->of('a'))
        ->toBe('b')
        ->and((new Lessons([['a', 'b'], ['b', 'a']]))->of('a'))
        ->toBeIn(['a', 'b']);
});
