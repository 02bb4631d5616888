<?php

declare(strict_types=1);

use Lokum\Facet\Combine;
use Lokum\Lineup\Absence;
use Lokum\Lineup\AddressWords;
use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\ProposedBands;
use Lokum\Lineup\SortOrder;
use Lokum\Lineup\TermChoice;
use Lokum\Lineup\TypedRange;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\TermOrder;

/* How a line-up's settings are read, word by word and number by number: a sail loft's cloth and a dairy's cheeses. */

test('every setting is taken as it is said', function (): void {
    $filter = FilterSettings::of([
        'key' => 'cloth',
        'kind' => 'choice',
        'title' => 'Cloth',
        'title_shown' => 0,
        'group' => 'Sails',
        'help' => 'What it is woven of',
        'control' => 'menu',
        'combine' => 'all',
        'empty_terms' => 'unavailable',
        'open' => 0,
        'more' => '7',
        'counts' => 0,
        'columns' => '3',
        'prefix' => 'about',
        'unit' => 'g',
        'decimals' => '2',
        'step' => '0.5',
        'from' => '1',
        'to' => 9,
        'order' => 'products',
        'pinned' => ['b' => 4],
        'terms' => 'only',
        'chosen' => [2 => '8'],
        'seen' => '11',
        'looks' => ['8' => ['colors' => ['#102030'], 'label' => 'Grün'], 9 => 'no look'],
        'bands' => [['from' => 1, 'to' => 2]],
        'match' => 'whole',
        'sequence' => ['z' => '6'],
    ]);
    expect([$filter->key, $filter->kind, $filter->title, $filter->titleShown, $filter->group, $filter->help])
        ->toBe(['cloth', Kind::Choice, 'Cloth', false, 'Sails', 'What it is woven of'])
        ->and([$filter->control, $filter->combine, $filter->open, $filter->more, $filter->counts, $filter->columns])
        ->toBe([Control::Menu, Combine::All, false, 7, false, 3])
        ->and([$filter->prefix, $filter->unit, $filter->decimals, $filter->step, $filter->from, $filter->to])
        ->toBe(['about', 'g', 2, 0.5, 1.0, 9.0])
        ->and([$filter->order, $filter->pinned, $filter->chosen, $filter->seen, $filter->wholeText, $filter->sequence])
        ->toBe([TermOrder::Products, [4], [8], 11, true, [6]])
        ->and($filter->looks)
        ->toEqual([8 => new Look(['#102030'], 'Grün'), 9 => new Look()])
        ->and($filter->bands)
        ->toEqual([new Band(1.0, 2.0)]);
});

test('settings that are none are as usual, one by one', function (string $name, mixed $says, string $property, mixed $is): void {
    expect(FilterSettings::of(['key' => 'k', 'kind' => 'choice', $name => $says])->{$property})->toBe($is);
})->with([
    ['combine', 'nobody', 'combine', Combine::Any],
    ['combine', 5, 'combine', Combine::Any],
    ['empty_terms', 'nothing', 'emptyTerms', EmptyTerms::Hide],
    ['terms', ['x'], 'terms', TermChoice::Follow],
    ['order', 'upside down', 'order', null],
    ['control', 'scale', 'control', Control::Ticks],
    ['control', null, 'control', Control::Ticks],
    ['more', -4, 'more', 0],
    ['columns', 9, 'columns', 4],
    ['title', 7, 'title', ''],
    ['help', '', 'help', null],
    ['pinned', 'none', 'pinned', []],
    ['looks', null, 'looks', []],
    ['match', 'part', 'wholeText', false],
]);

test('a kind has the controls that fit it, the usual one first', function (Kind $kind, array $controls): void {
    expect(Control::fitting($kind))->toBe($controls);
})->with([
    [Kind::Choice, [Control::Ticks, Control::Cubes, Control::Menu, Control::Letters, Control::Nested]],
    [Kind::Flag, [Control::Flag, Control::Ticks, Control::Menu]],
    [Kind::Number, [Control::Scale, Control::Bands]],
    [Kind::Text, [Control::Words]],
    [Kind::Date, [Control::Dates]],
]);

test('one term that is dressed is a cube', function (): void {
    expect([Control::proposeFor(Kind::Choice, 1, 1), Control::proposeFor(Kind::Choice, 0, 0)])->toBe([Control::Cubes, Control::Ticks]);
});

test('words of addresses that shoppers use are no filters', function (): void {
    $taken = array_filter(
        ['name', 'price', 'new', 'stock', 'sku', 'page', AddressWords::WHOLE_LIST, AddressWords::IN_LIST],
        AddressWords::has(...),
    );
    expect($taken)->toHaveCount(8)->and(AddressWords::has('cloth'))->toBeFalse();
});

test('the usual orders are these', function (): void {
    expect(array_map(fn (SortOrder $order): array => array_values($order->toArray()), SortOrder::usual()))
        ->toBe([
            ['name', 'Name', [['name', false]], true],
            ['price', 'Price, low to high', [['price', false]], true],
            ['price-down', 'Price, high to low', [['price', true]], true],
            ['new', 'Newest', [['new', true]], true],
        ])
        ->and(SortOrder::FIELDS)
        ->toBe(array_combine(['name', 'price', 'new', 'stock'], ['Name', 'Price', 'When it was added', 'Stock']));
});

test('steps of an order that name no field are left out, and a word of its own is kept', function (): void {
    $orders = SortOrder::list([
        ['name' => 'Ripe first', 'slug' => 'ripe', 'by' => [['age', 1], 'x', [3], ['', true], ['name']]],
        ['name' => 'Ripe last', 'slug' => '', 'by' => [['age', 0]]],
        ['name' => 'Nothing', 'by' => [['']]],
        ['name' => 'Nothing', 'by' => 'age'],
        ['name' => 5, 'by' => [['age', true]]],
        'no order',
    ]);
    expect(array_map(fn (SortOrder $order): array => array_values($order->toArray()), $orders))->toBe([
        ['ripe', 'Ripe first', [['age', true], ['name', false]], true],
        ['ripe-last', 'Ripe last', [['age', false]], true],
    ]);
});

test('orders that are switched off are passed over, and places are counted anew', function (): void {
    $offered = SortOrder::offered([
        ['name' => 'Off', 'by' => [['age', true]], 'active' => false],
        ['name' => 'On', 'by' => [['age', false]]],
    ]);
    expect(array_keys($offered))->toBe([0])->and($offered[0]->name)->toBe('On');
});

test('bands are read from what was kept, and read the same again', function (): void {
    $bands = Band::list([
        ['from' => '1.5', 'label' => 'Heavy', 'holds_from' => false],
        ['to' => '3', 'label' => '', 'holds_to' => false],
        ['to' => 4, 'label' => 7],
        'no band',
        new Band(1.0, 2.0, 'First'),
        ['from' => 1, 'to' => 2, 'label' => 'Second'],
    ]);
    expect(array_map(fn (Band $band): array => array_values($band->toArray()), $bands))
        ->toBe([
            [1.5, null, 'Heavy', true, false],
            [null, 3.0, null, false, true],
            [null, 4.0, null, true, true],
            [1.0, 2.0, 'First', true, true],
        ])
        ->and(Band::list(array_map(fn (Band $band): array => $band->toArray(), $bands)))
        ->toEqual($bands);
});

test('a band of one number holds it where it holds both ends', function (): void {
    expect((new Band(5.0, 5.0))->holds(5.0))
        ->toBeTrue()
        ->and(fn () => new Band(5.0, 5.0, null, false))
        ->toThrow(InvalidArgumentException::class, 'A band cannot end (5) before it begins (5).')
        ->and(fn () => new Band(5.0, 4.9))
        ->toThrow(InvalidArgumentException::class, 'A band cannot end (4.9) before it begins (5).');
});

test('a band is said in words', function (Band $band, string $prefix, string $unit, ?int $decimals, string $words): void {
    expect($band->words($prefix, $unit, $decimals))->toBe($words);
})->with([
    [new Band(1.5, 1234.5), '', 'kg', null, '1.5 – 1234.5 kg'],
    [new Band(1.5, 1234.5), '€', '', 2, '€1.50 – €1,234.50'],
    [new Band(null, 20.0), '€', '', 0, 'Under €20'],
    [new Band(20.0, null), '€', '', null, '€20 and over'],
    [new Band(20.0, null, holdsFrom: false), '', 'cm', null, 'Over 20 cm'],
    [new Band(1.0, 2.0, 'Small'), '€', 'cm', 2, 'Small'],
]);

test('what is typed for a scale is told as it was taken', function (
    array $says,
    string $from,
    string $to,
    array $ends,
    array $snapped,
): void {
    $filter = FilterSettings::of([...$says, 'key' => 'k', 'kind' => 'number', 'title' => 'Ply']);
    $range = TypedRange::read($filter, $from, $to);
    expect([$range->from, $range->to])->toBe($ends)->and($range->snapped)->toBe($snapped);
})->with([
    'room around numbers' => [[], " 2\t", "\n3 ", [2.0, 3.0], []],
    'one end, and another that is above' => [[], '3', '', [3.0, null], []],
    'a half goes up' => [['step' => 2], '3', '', [4.0, null], ['Ply: 3 was taken as 4, the nearest stop of the scale.']],
    'steps of a millionth' => [
        ['step' => 0.000001],
        '0.1234564',
        '',
        [0.123456, null],
        ['Ply: 0.1234564 was taken as 0.123456, the nearest stop of the scale.'],
    ],
    'no steps of nothing' => [['step' => 0], '3.7', '', [3.7, null], []],
    'no steps backwards' => [['step' => -1], '3.7', '', [3.7, null], []],
]);

// By the rule 1, 2, 2.5 or 5 times a power of ten, worked out by hand.
test('equal steps are the smallest round ones that need no more bands', function (float $from, float $to, int $most, array $edges): void {
    expect(ProposedBands::equalSteps($from, $to, $most))->toBe($edges);
})->with([
    'a step of the next power' => [0, 46, 6, [10.0, 20.0, 30.0, 40.0]],
    'a step beyond the next power' => [5, 64.9, 6, [20.0, 40.0, 60.0]],
    'far from nothing' => [100, 106, 6, [101.0, 102.0, 103.0, 104.0, 105.0]],
    'from behind a half' => [0.8, 3.4, 6, [1.0, 1.5, 2.0, 2.5, 3.0]],
    'quarters' => [0, 1, 4, [0.25, 0.5, 0.75]],
    'the other way round' => [6, 5, 4, []],
]);

test('where nobody says how many bands, there are at most six', function (): void {
    expect(ProposedBands::equalSteps(0, 60))
        ->toBe([10.0, 20.0, 30.0, 40.0, 50.0])
        ->and(ProposedBands::equalSteps(0, 70))
        ->toBe([20.0, 40.0, 60.0]);
});

test('of two numbers that share the products the roundest between parts them', function (string $one, string $other, float $edge): void {
    // 43 of a hundred are below the lower bound of the half (42.5), the rest is beyond its upper one (57.5).
    expect(ProposedBands::equalShares([$other => 57, $one => 43], 2))->toBe([$edge]);
})->with([
    ['2.1', '2.6', 2.5],
    ['1.5', '2.2', 2.0],
    ['0.5', '1.2', 1.0],
    ['30', '52', 50.0],
    ['30', '49', 40.0],
    ['24.5', '39', 25.0],
    ['60', '70', 70.0],
    ['0.0012', '0.0013', 0.00125],
    ['-3', '-1', -2.5],
    ['999', '1001', 1000.0],
]);

test('a number at the very bound of a share is taken, not the next', function (array $products, array $edges): void {
    // Of 40 products the half lies between the 17th and the 23rd.
    expect(ProposedBands::equalShares($products, 2))->toBe($edges);
})->with([
    [['1' => 17, '10' => 6, '20' => 17], [10.0]],
    [['1' => 16, '10' => 7, '20' => 17], [20.0]],
    [['1' => 17, '10' => 5, '20' => 18], [20.0]],
]);

test('where nobody says how many shares, there are five', function (): void {
    $even = array_combine(array_map(strval(...), range(1, 100)), array_fill(0, 100, 1));
    expect(ProposedBands::equalShares($even))->toBe(ProposedBands::equalShares($even, 5));
});

test('edges of equal shares rise, and each is one of the roundest that its share allows', function (int $seed): void {
    mt_srand($seed);
    $products = [];
    for ($i = mt_rand(2, 30); $i > 0; $i--) {
        $products[(string) (mt_rand(-2000, 9000) / [1, 10, 100][mt_rand(0, 2)])] = mt_rand(1, 50);
    }
    $wanted = mt_rand(2, 8);
    $edges = ProposedBands::equalShares($products, $wanted);
    $sorted = $edges;
    sort($sorted);
    expect($edges)->toBe(array_values(array_unique($sorted)))->and(count($edges))->toBeLessThan($wanted);
    $numbers = array_map(floatval(...), array_keys($products));
    foreach ($edges as $edge) {
        expect($edge)->toBeGreaterThan(min($numbers))->toBeLessThanOrEqual(max($numbers));
    }
    shuffle($numbers);
    $mixed = [];
    foreach ($numbers as $number) {
        $mixed[(string) $number] = $products[(string) $number];
    }
    expect(ProposedBands::equalShares($mixed, $wanted))->toBe($edges);
})->with(range(1, 25));

test('a filter whose terms nobody carries or all leave out says which', function (
    array $says,
    array $before,
    int $products,
    ?Absence $why,
): void {
    $filter = FilterSettings::of([...$says, 'key' => 'k', 'kind' => 'choice']);
    expect(Offer::absence($filter, $before, $products))->toBe($why);
})->with([
    'nobody' => [[], [1 => 0, 2 => 0], 5, Absence::NobodyCarriesIt],
    'left out' => [['terms' => 'only', 'chosen' => [9]], [1 => 3, 2 => 0], 5, Absence::LeftOut],
    'left out by nobody' => [['terms' => 'only', 'chosen' => [9]], [1 => 0], 5, Absence::NobodyCarriesIt],
    'one for all' => [[], [1 => 5, 2 => 0], 5, Absence::AllTheSame],
    'one of two left out' => [['terms' => 'except', 'chosen' => [2]], [1 => 5, 2 => 1], 5, Absence::AllTheSame],
    'two' => [[], [1 => 5, 2 => 1], 5, null],
]);

test('a scale goes in its own steps, or in those that fit what the page holds', function (
    array $says,
    array $before,
    ?array $now,
    array $steps,
): void {
    /** @var array{0: float, 1: float} $before */
    /** @var array{0: float, 1: float}|null $now */
    $offer = Offer::ofScale(FilterSettings::of([...$says, 'key' => 'k', 'kind' => 'number']), $before, $now);
    expect($offer instanceof Offer ? [$offer->steps?->min, $offer->steps?->max, $offer->steps?->step] : null)->toBe($steps);
})->with([
    'half steps' => [['step' => 0.5], [10.0, 20.0], null, [10.0, 20.0, 0.5]],
    'far from nothing' => [[], [1000.0, 1010.0], null, [1000.0, 1010.0, 1.0]],
    'picked elsewhere' => [[], [1000.0, 1010.0], [1003.0, 1004.0], [1003.0, 1004.0, 1.0]],
]);
