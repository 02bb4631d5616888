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

test('ribbons are as thick as their products, and stand in the middle of what they join', function (): void {
    $flow = new Flow(
        [
            new FlowValue(1, 1000, 20, [['id' => 11, 'products' => 15], ['id' => 12, 'products' => 5]]),
            new FlowValue(2, 1000, 40, [['id' => 21, 'products' => 40]]),
            new FlowValue(3, 3, 0, [['id' => 31, 'products' => 0]], 2, 0),
        ],
        [1000 => 58],
        [10.0, 20.0, 30.0, 50.0],
    );
    $box = fn (FlowBox $box): array => [$box->id, $box->value, $box->top, $box->height, $box->thick, $box->products, $box->members];
    // 40 products are 60 pixels, so one is 1.5: 22.5 and 7.5 for the spellings of the first, at least 20 high, 3 between.
    expect(array_map($box, $flow->spellings))
        ->toBe([
            [11, 1, 0.0, 25.5, 22.5, 15, 1],
            [12, 1, 25.5, 20.0, 7.5, 5, 1],
            [21, 2, 51.5, 63.0, 60.0, 40, 1],
            [31, 3, 120.5, 20.0, 0.75, 0, 1],
        ])
        ->and(array_map($box, $flow->others))
        ->toBe([[3, 3, 140.5, 20.0, 0.75, 0, 2]])
        ->and(array_map($box, $flow->values))
        ->toBe([
            [1, 1, 7.75, 30.0, 30.0, 20, 1],
            [2, 2, 53.0, 60.0, 60.0, 40, 1],
            [3, 3, 125.5, 30.0, 1.5, 0, 1],
        ])
        ->and(array_map($box, $flow->terms))
        ->toBe([
            [1000, 1, 0.0, 114.5, 90.0, 58, 2],
            [3, 3, 120.5, 40.0, 1.5, 0, 1],
        ])
        ->and($flow->height)
        ->toBe(166.5)
        ->and($flow->left[0])
        ->toBe(['value' => 1, 'path' => 'M10.0 1.5C15.0 1.5 15.0 7.8 20.0 7.8V30.2C15.0 30.2 15.0 24.0 10.0 24.0Z'])
        ->and($flow->left[1])
        ->toBe(['value' => 1, 'path' => 'M10.0 31.8C15.0 31.8 15.0 30.2 20.0 30.2V37.8C15.0 37.8 15.0 39.2 10.0 39.2Z'])
        ->and($flow->right[0])
        ->toBe(['value' => 1, 'path' => 'M30.0 7.8C40.0 7.8 40.0 12.2 50.0 12.2V42.2C40.0 42.2 40.0 37.8 30.0 37.8Z'])
        ->and($flow->right[1]['path'])
        ->toBe('M30.0 53.0C40.0 53.0 40.0 42.2 50.0 42.2V102.2C40.0 102.2 40.0 113.0 30.0 113.0Z');
});

test('few products are not drawn thicker than two pixels each, and a term without a count has its first value\'s', function (): void {
    $flow = new Flow([new FlowValue(1, 7, 3, [['id' => 11, 'products' => 3]])], [], [0.0, 1.0, 2.0, 3.0]);
    expect($flow->spellings[0]->thick)
        ->toBe(6.0)
        ->and($flow->terms[0]->products)
        ->toBe(3)
        ->and($flow->spellings[0]->middle())
        ->toBe($flow->values[0]->middle());
});

test('a color stands where its hue and lightness say, in the middle of a place of its size', function (): void {
    // Red has the hue of 40 degrees and 53.2 of lightness; 800 wide with a strip of 70 for grays.
    $plane = new ColorPlane(array_combine(range(1, 5), ['#ff0000', '#808080', '#ffffff', '#000000', '#0000ff']), 800, 480, 20);
    $near = fn (float $x, float $y): Closure => fn (array $dot): bool => abs($dot['x'] - $x) <= 10.1 && abs($dot['y'] - $y) <= 10.1;
    $middle = fn (float $at): bool => fmod($at, 20.0) === 10.0;
    foreach (
        [
            1 => [70 + 730 * 40.0 / 360, 480 * (1 - 0.5324)],
            2 => [35.0, 480 * (1 - 0.5359)],
            3 => [35.0, 10.0],
            4 => [35.0, 470.0],
            5 => [70 + 730 * 306.3 / 360, 480 * (1 - 0.323)],
        ] as $value => [$x, $y]
    ) {
        expect($near($x, $y)($plane->dots[$value]))
            ->toBeTrue("{$value}: ".json_encode($plane->dots[$value]))
            ->and($middle($plane->dots[$value]['x']) && $middle($plane->dots[$value]['y']))
            ->toBeTrue();
    }
});

test('a color of so little chroma that nobody sees a hue stands in the strip of grays', function (): void {
    // 6.9 and 7.0 of chroma.
    $plane = new ColorPlane([1 => '#718386', 2 => '#2e281f'], 800, 480, 20);
    expect($plane->dots[1]['x'])->toBe(30.0)->and($plane->dots[2]['x'])->toBeGreaterThan(70.0);
});

test('a color whose place is taken has the nearest free one of the first ring that has any', function (): void {
    $plane = new ColorPlane(array_fill(1, 25, '#ff0000'), 800, 480, 20);
    $rings = array_map(
        fn (array $dot): int => (int) round(max(abs($dot['x'] - $plane->dots[1]['x']), abs($dot['y'] - $plane->dots[1]['y'])) / 20),
        $plane->dots,
    );
    expect(array_count_values($rings))
        ->toBe([0 => 1, 1 => 8, 2 => 16])
        ->and(array_values($rings))
        ->toBe([0, ...array_fill(0, 8, 1), ...array_fill(0, 16, 2)]);
    // Of a ring those come first that are nearest to where the color belongs.
    $belongs = [70 + 730 * 39.999 / 360, 480 * (1 - 0.532371)];
    $far = array_map(fn (array $dot): float => hypot($dot['x'] - $belongs[0], $dot['y'] - $belongs[1]), array_slice($plane->dots, 1, 8));
    $sorted = $far;
    sort($sorted);
    expect($far)->toEqualWithDelta($sorted, 1e-6);
});

test('a plane that is full puts what is left where it belongs', function (): void {
    $plane = new ColorPlane(array_fill(1, 7, '#ff0000'), 60, 40, 20);
    $places = array_map(fn (array $dot): string => "{$dot['x']} {$dot['y']}", $plane->dots);
    expect(array_unique(array_slice($places, 0, 6)))
        ->toHaveCount(6)
        ->and(array_values(array_unique(array_slice($places, 0, 6))))
        ->toEqualCanonicalizing(['10 10', '30 10', '50 10', '10 30', '30 30', '50 30'])
        ->and($plane->dots[7]['x'])
        ->toBe(50.0)
        ->and($plane->dots[7]['y'])
        ->toEqualWithDelta(40 * (1 - 0.532371), 1e-3);
});

test('an outline is the convex hull of its dots, three quarters of a dot around them', function (): void {
    $plane = new ColorPlane(array_combine(range(1, 4), ['#ff0000', '#808080', '#0000ff', '#606060']), 800, 480, 20);
    ['x' => $x, 'y' => $y] = $plane->dots[1];
    expect($plane->outline([1]))
        ->toBe([[$x - 15, $y - 15], [$x + 15, $y - 15], [$x + 15, $y + 15], [$x - 15, $y + 15]])
        ->and($plane->outline([99, 1]))
        ->toBe($plane->outline([1]));
    $hull = $plane->outline([1, 2, 3, 4]);
    foreach ([1, 2, 3, 4] as $value) {
        foreach ([[-15, -15], [15, 15]] as [$dx, $dy]) {
            $corner = [$plane->dots[$value]['x'] + $dx, $plane->dots[$value]['y'] + $dy];
            foreach ($hull as $i => $one) {
                $next = $hull[($i + 1) % count($hull)];
                $turn = ($next[0] - $one[0]) * ($corner[1] - $one[1]) - ($next[1] - $one[1]) * ($corner[0] - $one[0]);
                expect($turn)->toBeGreaterThanOrEqual(-1e-6);
            }
        }
    }
});

test('quartiles count products, and fences lie three times their distance outside', function (): void {
    $line = new NumberLine([30.0, 10.0, 20.0, 40.0], [1, 1, 5, 1]);
    expect($line->fences)
        ->toBe([20.0, 20.0])
        ->and($line->isOutlier(40.0))
        ->toBeFalse();
    $line = new NumberLine([1.0, 2.0, 3.0, 4.0]);
    expect($line->fences)
        ->toBe([-5.0, 9.0])
        ->and([$line->isOutlier(9.0), $line->isOutlier(9.01), $line->isOutlier(-5.0), $line->isOutlier(-5.01)])
        ->toBe([false, true, false, true])
        ->and([$line->place(1.0), $line->place(2.5), $line->place(4.0)])
        ->toBe([0.0, 0.5, 1.0]);
    // Where nobody says its products, a number counts as one: 5, 1, 1 and 1.
    expect((new NumberLine([1.0, 2.0, 3.0, 4.0], [5]))->fences)->toBe([-2.0, 5.0]);
    // Without a product a number still counts as one.
    expect((new NumberLine([1.0, 2.0, 3.0, 4.0], [0, 0, 0, 0]))->fences)->toBe([-5.0, 9.0]);
    $powers = new NumberLine([1.0, 10.0, 100.0, 1000.0, 1e4]);
    expect($powers->powers)
        ->toBeTrue()
        ->and($powers->fences)
        ->toEqualWithDelta([-5.0, 9.0], 1e-9)
        ->and($powers->place(100.0))
        ->toBe(0.5);
    expect((new NumberLine([1.0, 100.0]))->powers)
        ->toBeFalse()
        ->and((new NumberLine([1.0, 101.0]))->powers)
        ->toBeTrue()
        ->and((new NumberLine([0.0, 101.0]))->powers)
        ->toBeFalse()
        ->and((new NumberLine([-1.0, 500.0]))->powers)
        ->toBeFalse();
});

test('marks of an axis are round numbers within it', function (array $numbers, array $marks): void {
    /** @var non-empty-list<float> $numbers */
    expect((new NumberLine($numbers))->marks())->toEqualWithDelta($marks, 1e-9);
})->with([
    'one number' => [[5.0], [5.0]],
    'far from nothing' => [[1000.0, 1007.0], [1000.0, 1001.0, 1002.0, 1003.0, 1004.0, 1005.0, 1006.0, 1007.0]],
    'a little more than five steps' => [[0.0, 5.5], [0.0, 1.0, 2.0, 3.0, 4.0, 5.0]],
    'by one' => [[1.0, 7.0], [1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0]],
    'by two' => [[0.0, 11.0], [0.0, 2.0, 4.0, 6.0, 8.0, 10.0]],
    'by five' => [[0.0, 26.0], [0.0, 5.0, 10.0, 15.0, 20.0, 25.0]],
    'ten steps of one' => [[0.0, 10.0], [0.0, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0]],
    'up to twelve steps' => [[0.0, 25.0], [0.0, 2.0, 4.0, 6.0, 8.0, 10.0, 12.0, 14.0, 16.0, 18.0, 20.0, 22.0, 24.0]],
    'tenths' => [[0.05, 0.5], [0.05, 0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5]],
    'across zero' => [[-3.0, 3.0], [-3.0, -2.0, -1.0, 0.0, 1.0, 2.0, 3.0]],
    'powers with threes' => [[2.0, 400.0], [3.0, 10.0, 30.0, 100.0, 300.0]],
    'powers alone' => [[1.0, 1e5], [1.0, 10.0, 100.0, 1000.0, 1e4, 1e5]],
    'just four powers' => [[1.0, 1e4], [1.0, 3.0, 10.0, 30.0, 100.0, 300.0, 1000.0, 3000.0, 1e4]],
]);

test('of measures those of the kind and the unit that most have count, numbers without a unit too', function (): void {
    $measures = Measures::among(['3 kg', '1 l', '20 ml', '30 ml', '4 kg']);
    expect([$measures->unit, array_map(fn (float $n): float => round($n, 6), $measures->numbers)])->toBe(
        ['ml', [1 => 1000.0, 2 => 20.0, 3 => 30.0]],
    );
    $plain = Measures::among(['12', 'x', '7', '5 kg', '10-12']);
    expect([$plain->unit, $plain->numbers])->toBe(['', [0 => 12.0, 2 => 7.0]]);
});

test('measures of the kind that most are come to the unit that most are written in', function (): void {
    $measures = Measures::among(['10 ml', '0.5 l', '20 ml', 'A4', '3 kg']);
    expect($measures->unit)
        ->toBe('ml')
        ->and(array_map(fn (float $n): float => round($n, 6), $measures->numbers))
        ->toBe([0 => 10.0, 1 => 500.0, 2 => 20.0])
        ->and([Measures::among(['a', 'b'])->numbers, Measures::among(['a', 'b'])->unit, (new FlowValue(1, 2, 3, []))->otherProducts])
        ->toBe([[], '', 0]);
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
