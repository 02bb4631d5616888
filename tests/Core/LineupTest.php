<?php

declare(strict_types=1);

use Lokum\Lineup\Band;
use Lokum\Lineup\ComposedLineup;
use Lokum\Lineup\Control;
use Lokum\Lineup\DroppedFilter;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Layer;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\SortOrder;
use Lokum\Lineup\TermChoice;
use Lokum\Lineup\Worth;
use Lokum\Vocabulary\Kind;

/* What a page gets (C11), what a filter earns there (C12), bands (C7). */

/** @return array<string, mixed> */
function given(string $key, string $title = ''): array
{
    return ['key' => $key, 'kind' => 'choice', 'title' => $title ?: ucfirst($key)];
}

test(
    'a line-up lower down inherits, adds, drops, reorders and changes single properties, and tells from where each comes',
    function (): void {
        $shop = new Layer(
            1,
            'Whole shop',
            ['color' => given('color'), 'brand' => given('brand'), 'price' => ['kind' => 'number'] + given('price')],
            settings: ['sold_out' => 'last'],
        );
        $paint = new Layer(
            2,
            'Paint',
            ['series' => given('series')],
            ['color' => ['title' => 'Colour', 'columns' => 3]],
            ['brand'],
            ['series', 'color'],
        );
        $oil = new Layer(3, 'Oil', ['brand' => given('brand', 'Maker')], ['color' => ['columns' => 4]], [], null, [
            'sold_out' => 'hidden',
        ]);
        $page = ComposedLineup::of($shop, $paint);
        expect(array_keys($page->filters))
            ->toBe(['series', 'color', 'price'])
            ->and(array_map(fn (DroppedFilter $lost): array => [$lost->by, $lost->filter->given['title']], $page->dropped))
            ->toBe(['brand' => [2, 'Brand']])
            ->and($page->filters['color']->given['title'])
            ->toBe('Colour')
            ->and($page->filters['color']->from)
            ->toBe(1)
            ->and($page->filters['color']->changed)
            ->toBe(['title' => 2, 'columns' => 2])
            ->and($page->settings)
            ->toBe(['sold_out' => 'last']);
        $page = ComposedLineup::of($shop, $paint, $oil);
        expect(array_keys($page->filters))
            ->toBe(['series', 'color', 'price', 'brand'])
            ->and($page->dropped)
            ->toBe([])
            ->and($page->filters['color']->changed)
            ->toBe(['title' => 2, 'columns' => 3])
            ->and($page->filters['color']->settings()->columns)
            ->toBe(4)
            ->and($page->filters['brand']->given['title'])
            ->toBe('Maker')
            ->and($page->filters['brand']->from)
            ->toBe(3)
            ->and($page->settings['sold_out'])
            ->toBe('hidden');
        // What changes a filter that is not there is passed over.
        expect(
            array_keys(
                ComposedLineup::of($shop, new Layer(4, 'Ink', changed: ['hair' => ['title' => 'x']], dropped: ['none']))->filters,
            ),
        )
            ->toBe(['color', 'brand', 'price'])
            ->and(ComposedLineup::of()->filters)
            ->toBe([]);
    },
);

test('a filter follows its attribute unless terms are chosen', function (TermChoice $mode, array $offered): void {
    $filter = FilterSettings::of(given('color') + ['terms' => $mode->value, 'chosen' => [1, 2]]);
    expect(array_values(array_filter([1, 2, 3], $filter->offers(...))))->toBe($offered)->and($mode->label())->not->toBe('');
})->with([[TermChoice::Follow, [1, 2, 3]], [TermChoice::Except, [3]], [TermChoice::Only, [1, 2]]]);

test('settings that make no sense are read as the usual', function (): void {
    $filter = FilterSettings::of(
        given('x') + [
            'columns' => 99,
            'more' => -3,
            'control' => 'magic',
            'step' => 'x',
            'looks' => ['7' => ['colors' => ['#102030']]],
            'bands' => 'none',
        ],
    );
    expect($filter->columns)
        ->toBe(4)
        ->and($filter->more)
        ->toBe(0)
        ->and($filter->control->value)
        ->toBe('ticks')
        ->and($filter->step)
        ->toBeNull()
        ->and($filter->looks[7]->colors)
        ->toBe(['#102030'])
        ->and($filter->bands)
        ->toBe([]);
});

// Common practice, no source (domain.md, 5): a price of 65 falls in 51–100; "20 and under", "20 to 50", "over 50" may overlap at
// their ends.
test('bands made by hand hold both ends and may overlap; proposed ones hold the lower end alone', function (): void {
    $hand = [new Band(null, 20, '20 and under'), new Band(20, 50), new Band(51, 100), new Band(50, null)];
    $in = fn (float $number): array => array_keys(array_filter($hand, fn (Band $band): bool => $band->holds($number)));
    expect($in(20))
        ->toBe([0, 1])
        ->and($in(65))
        ->toBe([2, 3])
        ->and($in(50))
        ->toBe([1, 3])
        ->and($in(0))
        ->toBe([0]);
    $over = new Band(50, null, holdsFrom: false);
    expect([$over->holds(50), $over->holds(50.01), $over->slug(), $over->words(), Band::list([$over->toArray()])])
        ->toEqual([false, true, '50-..', 'Over 50', [$over]])
        ->and(fn () => new Band(5, 5, holdsFrom: false))
        ->toThrow(InvalidArgumentException::class);
    $proposed = Band::between([10.0, 20.0]);
    expect(array_map(fn (Band $band): bool => $band->holds(10), $proposed))
        ->toBe([false, true, false])
        ->and(array_map(fn (Band $band): string => $band->slug(), $proposed))
        ->toBe(['..10-', '10..20-', '20..'])

        ->and(array_map(fn (Band $band): string => $band->words('', '€'), $proposed))
        ->toBe(['Under 10 €', '10 – 20 €', '20 € and over'])
        ->and(Band::between([]))
        ->toBe([])
        ->and(Band::list(array_map(fn (Band $band): array => $band->toArray(), $proposed)))
        ->toEqual($proposed)

        ->and(fn () => new Band(5, 4))
        ->toThrow(InvalidArgumentException::class, 'before it begins')
        ->and(fn () => new Band(null, null))
        ->toThrow(InvalidArgumentException::class);
});

test('gaps, overlaps and empty bands are pointed out', function (): void {
    $products = [
        '5' => 3,
        '15' => 2,
        '20' => 1,
        '70' => 1,
    ];
    expect(Band::remarks([new Band(null, 10), new Band(10, 20), new Band(20, 30)], $products))
        ->toBe(['1 product is in no band', '10 – 20 and 20 – 30 overlap'])

        ->and(Band::remarks([new Band(null, 80), new Band(90, null)], $products))
        ->toBe(['90 and over holds no product here'])
        ->and(Band::remarks([new Band(null, 80)], $products))
        ->toBe([]);
});

// The rule 1–2–2.5–5 × 10ⁿ on known ranges, worked out by hand.
test('proposed bands stand on round steps', function (float $from, float $to, int $most, array $edges): void {
    expect(ProposedBands::equalSteps($from, $to, $most))->toBe($edges);
})->with([
    [0, 100, 5, [20.0, 40.0, 60.0, 80.0]],
    [0, 100, 4, [25.0, 50.0, 75.0]],
    [0, 100, 2, [50.0]],
    [3.9, 85, 6, [20.0, 40.0, 60.0, 80.0]],
    [0.5, 2.4, 5, [1.0, 1.5, 2.0]],
    [1, 1000, 5, [200.0, 400.0, 600.0, 800.0]],
    [-20, 30, 5, [-10.0, 0.0, 10.0, 20.0]],
    [7, 7, 5, []],
]);

test('equal shares part the products evenly, at round edges', function (): void {
    $even = array_combine(array_map(strval(...), range(1, 100)), array_fill(0, 100, 1));
    expect(ProposedBands::equalShares($even, 5))
        ->toBe([20.0, 40.0, 60.0, 80.0])
        ->and(ProposedBands::equalShares(['1' => 50, '2' => 1], 4))
        ->toBe([2.0])
        ->and(ProposedBands::equalShares(['9' => 4], 5))
        ->toBe([]);
    $skewed = [];
    foreach ([[3, 200], [4, 180], [6, 150], [9, 120], [14, 90], [30, 40], [80, 10]] as [$price, $n]) {
        $skewed[(string) $price] = $n;
    }
    $edges = ProposedBands::equalShares($skewed, 4);
    $shares = array_map(
        fn (Band $band): int => array_sum(
            array_filter($skewed, fn (int|string $number): bool => $band->holds((float) $number), ARRAY_FILTER_USE_KEY),
        ),
        Band::between($edges),
    );
    expect(array_sum($shares))->toBe(790)->and(min([INF, ...$shares]))->toBeGreaterThan(100);
});

// Worked by hand: a fair coin has 1 bit, four equal answers 2 bits; H(1/4, 3/4) = 2 − 3/4 · log2 3 = 0.8113.
test('entropy and mutual information are those of the textbook', function (): void {
    expect(Worth::entropy(['a' => 5, 'b' => 5]))
        ->toEqualWithDelta(1.0, 1e-12)
        ->and(Worth::entropy([1, 1, 1, 1]))
        ->toEqualWithDelta(2.0, 1e-12)
        ->and(Worth::entropy([1, 3]))
        ->toEqualWithDelta(2 - 0.75 * log(3, 2), 1e-12)
        ->and(Worth::entropy([7]))
        ->toBe(0.0);
    // T. Cover and J. Thomas, "Elements of Information Theory", example 2.2.1, from memory: H(X) = 7/4, H(Y) = 2, H(X|Y) = 11/8
    // bits, so I(X;Y) = 3/8.
    $joint = [[4, 2, 1, 1], [2, 4, 1, 1], [2, 2, 2, 2], [8, 0, 0, 0]];
    expect(Worth::mutualInformation($joint))
        ->toEqualWithDelta(3 / 8, 1e-9)
        ->and(Worth::overlap($joint))
        ->toEqualWithDelta(3 / 8 / (7 / 4), 1e-9);
    // One that says all the other does; two that have nothing in common; one that says nothing.
    expect(Worth::overlap([[5, 0], [0, 5]]))
        ->toEqualWithDelta(1.0, 1e-9)
        ->and(Worth::overlap([[5, 5], [5, 5]]))
        ->toEqualWithDelta(0.0, 1e-9)
        ->and(Worth::overlap([[5, 5]]))
        ->toBe(0.0);
});

test('narrowing is what one pick removes when picks follow the counts', function (): void {
    // Two halves: a pick leaves one half. One term with all: a pick removes nothing. By hand: 1 − (0.5² + 0.25² + 0.25²) / 1 = 0.625.
    expect(Worth::narrowing([50, 50], 100))
        ->toEqualWithDelta(0.5, 1e-12)
        ->and(Worth::narrowing([100], 100))
        ->toEqualWithDelta(0.0, 1e-12)
        ->and(Worth::narrowing([50, 25, 25], 100))
        ->toEqualWithDelta(0.625, 1e-12)
        ->and(Worth::narrowing([], 100))
        ->toBe(0.0)
        ->and(Worth::narrowing([10, 10], 100))
        ->toEqualWithDelta(0.9, 1e-12);
});

test('filters stand in the order of what they earn, less what those above have said', function (): void {
    $overlap = fn (string $one, string $other): float => [$one, $other] === ['series', 'price'] ||
    [$one, $other] === ['price', 'series']
        ? 0.95
        : 0.0;
    expect(Worth::ranked(['brand' => 0.5, 'series' => 0.8, 'price' => 0.7], $overlap))
        ->toBe(['series', 'brand', 'price'])
        ->and(Worth::ranked([], $overlap))
        ->toBe([]);
});

test('sort orders are read with what is missing left out, and equal ones share a name', function (): void {
    $orders = SortOrder::list([
        ['name' => 'Cheapest', 'by' => [['price', false]]],
        ['name' => 'Heavy', 'by' => [['weight', true], ['name', false]], 'active' => false],
        ['by' => 'x'],
    ]);
    expect(array_map(fn (SortOrder $order): array => [$order->slug, $order->key(), $order->active], $orders))
        ->toBe([['cheapest', 'price', true], ['heavy', 'weight down,name', false]])
        ->and(SortOrder::list('no')[0]->slug)
        ->toBe('name')
        ->and(SortOrder::list(array_map(fn (SortOrder $order): array => $order->toArray(), $orders)))
        ->toEqual($orders);
});

test('filters of one heading follow the first of them, wherever they are added', function (): void {
    $filter = fn (string $key, ?string $group): array => ['key' => $key, 'kind' => 'choice'] + ($group === null ? [] : ['group' => $group]);
    $lineup = ComposedLineup::of(
        new Layer(1, 'Shop', added: [
            'a' => $filter('a', 'Size'),
            'b' => $filter('b', null),
            'c' => $filter('c', 'Look'),
            'd' => $filter('d', 'Size'),
        ]),
        new Layer(2, 'Paint', added: ['e' => $filter('e', 'Look'), 'f' => $filter('f', null)], changed: ['b' => ['open' => false]]),
    );
    expect(array_keys($lineup->filters))
        ->toBe(['a', 'd', 'b', 'c', 'e', 'f'])
        ->and($lineup->changing('b')?->name)
        ->toBe('Paint')
        ->and($lineup->changing('a'))
        ->toBeNull()
        ->and(array_keys(ComposedLineup::of(new Layer(1, 'Shop', added: ['z' => $filter('z', null), 'y' => $filter('y', null)]))->filters))
        ->toBe(['z', 'y']);
});

test('what is switched off is not offered, and without any the usual ones are', function (): void {
    $orders = [
        ['name' => 'Best first', 'by' => [['stock', true], ['price', false]]],
        ['name' => 'Hidden', 'by' => [['name', false]], 'active' => false],
        ['name' => 'By nothing', 'by' => []],
        ['by' => [['price', false]]],
        'no order',
    ];
    $list = SortOrder::list($orders);
    expect(array_column($list, 'slug'))
        ->toBe(['best-first', 'hidden'])
        ->and(array_column(SortOrder::offered($orders), 'slug'))
        ->toBe(['best-first'])
        ->and($list[0]->key())
        ->toBe('stock down,price')
        ->and(SortOrder::ofKey('stock down,price'))
        ->toBe($list[0]->by)
        ->and(SortOrder::ofKey('price-down'))
        ->toBe([['price', true]])
        ->and((new SortOrder('x', 'X', [['price', true]]))->key())
        ->toBe('price-down')
        ->and(array_column(SortOrder::offered(null), 'slug'))
        ->toBe(['name', 'price', 'price-down', 'new'])
        ->and(array_column(SortOrder::list([['name' => 'Off', 'by' => [['name', true]], 'active' => false]]), 'slug'))
        ->toBe(['name', 'price', 'price-down', 'new']);
});

test('a control is proposed by what a filter holds', function (Kind $kind, int $terms, int $dressed, Control $control): void {
    expect(Control::proposeFor($kind, $terms, $dressed))->toBe($control)->and(Control::fitting($kind))->toContain($control);
})->with([
    'half of them with colors' => [Kind::Choice, 10, 5, Control::Cubes],
    'fewer' => [Kind::Choice, 10, 4, Control::Ticks],
    'none at all' => [Kind::Choice, 0, 0, Control::Ticks],
    'sixty are read' => [Kind::Choice, 60, 0, Control::Ticks],
    'more are looked up' => [Kind::Choice, 61, 0, Control::Letters],
    'yes or no' => [Kind::Flag, 2, 2, Control::Flag],
    'numbers' => [Kind::Number, 500, 0, Control::Scale],
    'texts' => [Kind::Text, 0, 0, Control::Words],
    'days' => [Kind::Date, 0, 0, Control::Dates],
]);
