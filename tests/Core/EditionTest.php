<?php

declare(strict_types=1);

use Lokum\Edition\Drift;
use Lokum\Edition\FilterLine;
use Lokum\Edition\PublishGuards;
use Lokum\Edition\Summary;
use Lokum\Edition\TermLine;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;
use Lokum\Vocabulary\Kind;

function line(int $id, string $label, int $products = 1, string $look = '', ?string $slug = null): TermLine
{
    return new TermLine($id, 'color', $label, $slug ?? strtolower($label), $look, $products);
}

/**
 * @param  array<mixed>  $filters
 * @param  array<mixed>  $pages
 * @param  array<mixed>  $terms
 */
function summary(array $terms, array $filters = [], array $pages = [], int $products = 1): Summary
{
    $lines = [];
    foreach ($filters as $title => $says) {
        $lines["shop {$title}"] = new FilterLine($title, ! str_starts_with($title, '~'), $says);
    }

    return new Summary($products, $products, array_column($terms, null, 'id'), $lines, $pages, (string) $products);
}

test('an edition does not drift from itself', function (): void {
    $summary = summary([line(1, 'Red')], ['Color' => '{}'], ['paint' => ['Color']]);
    expect(Drift::between($summary, $summary)->differences())->toBe(0);
});

test('every kind of difference is found once', function (): void {
    $before = summary(
        [line(1, 'Red'), line(2, 'Blue', 5), line(3, 'Gone'), line(4, 'Same')],
        ['Color' => '{}', 'Price' => '{}', 'Old' => '{}'],
        ['paint' => ['Color', 'Price']],
        9,
    );
    $after = summary(
        [line(1, 'Crimson', 1, '', 'red'), line(2, 'Blue', 6, '#00f'), line(5, 'New'), line(4, 'Same')],
        ['Price' => '{"step":2}', 'Color' => '{}', 'Fresh' => '{}'],
        ['paint' => ['Color', 'Fresh'], 'ink' => []],
        10,
    );
    $drift = Drift::between($before, $after);
    expect([
        array_column($drift->new, 'label'),
        array_column($drift->gone, 'label'),
        $drift->renamed[0][1]->label,
        $drift->redressed[0][1]->label,
        $drift->recounted[0][1]->products,
    ])
        ->toBe([['New'], ['Gone'], 'Crimson', 'Blue', 6])
        ->and($drift->filters)
        ->toBe([
            'appearing' => ['Fresh'],
            'disappearing' => ['Old'],
            'changed' => ['Price'],
            'reordered' => true,
        ])
        ->and($drift->pages)
        ->toBe(['paint' => ['appearing' => ['Fresh'], 'disappearing' => ['Price']]])
        ->and($drift->products)
        ->toBe(1)
        ->and($drift->differences())
        ->toBe(10);
});

test('an umbrella that holds other values is regrouped, and addresses say where they will lead', function (): void {
    $greens = fn (string ...$holds): TermLine => new TermLine(9, 'color', 'Green', 'green', '', 4, array_values($holds));
    $before = summary([$greens('Olive', 'Sage'), line(1, 'Viridian'), line(2, 'Rot'), line(3, 'Old')]);
    $after = new Summary(1, 1, [9 => $greens('Olive', 'Viridian'), 2 => line(2, 'Red')], [], [], '1', [
        'color' => ['viridian' => 9, 'sage' => 3],
    ]);
    $drift = Drift::between($before, $after);
    expect($drift->regrouped)
        ->toHaveCount(1)
        ->and($drift->regrouped[0][1]->holds)
        ->toBe(['Olive', 'Viridian'])
        ->and($drift->differences())
        ->toBe(4)

        ->and($drift->addresses)
        ->toBe([
            ['attribute' => 'color', 'from' => 'viridian', 'to' => 'green'],
            ['attribute' => 'color', 'from' => 'rot', 'to' => 'red'],
            ['attribute' => 'color', 'from' => 'old', 'to' => null],
        ]);
});

test('a value that becomes an umbrella, and an umbrella that is made anew, are the same term for shoppers', function (): void {
    $umbrella = fn (int $id): TermLine => new TermLine($id, 'color', 'Green', 'green', '', 4, ['Green', 'Sage']);
    $gathered = Drift::between(summary([line(1, 'Green', 3), line(2, 'Sage')]), summary([$umbrella(9)]));
    expect([count($gathered->new), array_column($gathered->gone, 'label'), count($gathered->regrouped)])->toBe([0, ['Sage'], 1]);
    expect(Drift::between(summary([$umbrella(9)]), summary([$umbrella(12)]))->differences())->toBe(0);
});

test('what is said otherwise of an inherited filter is a change, and no filter that appears', function (): void {
    $drift = Drift::between(
        summary([], ['Color' => '{}']),
        summary([], ['Color' => '{}', '~Color (Paint and below)' => '{"step":2}']),
    );
    expect($drift->filters)->toBe([
        'appearing' => [],
        'disappearing' => [],
        'changed' => ['~Color (Paint and below)'],
        'reordered' => false,
    ]);
    expect(Drift::between(summary([], ['~Color' => '{}']), summary([]))->filters['changed'])->toBe(['~Color']);
});

test('before the first edition everything is new', function (): void {
    expect(Drift::between(null, summary([line(1, 'Red')], ['Color' => '{}']))->differences())->toBe(3);
});

// Common practice, no source: drill into a category with one color only, and the color filter has nothing to offer there.
test('a filter with nothing to offer says why', function (Kind $kind, array $counts, int $products, ?Absence $why): void {
    expect(Absence::ofTerms($kind === Kind::Flag, array_values($counts), $products))->toBe($why);
})->with([
    [Kind::Choice, [], 5, Absence::NobodyCarriesIt],
    [Kind::Choice, [0, 0], 5, Absence::NobodyCarriesIt],
    [Kind::Choice, [5, 0], 5, Absence::AllTheSame],
    [Kind::Choice, [3], 5, Absence::AllTheSame],
    [Kind::Choice, [3, 1], 5, null],
    [Kind::Flag, [3], 5, null],
    [Kind::Flag, [5], 5, Absence::AllTheSame],
]);

test('a scale needs two ends', function (): void {
    expect(Absence::ofScale(null))
        ->toBe(Absence::NobodyCarriesIt)
        ->and(Absence::ofScale([2.0, 2.0]))
        ->toBe(Absence::AllTheSame)
        ->and(Absence::ofScale([1.0, 2.0]))
        ->toBeNull();
});

test('controls are proposed from what a definition holds', function (): void {
    expect(Control::proposeFor(Kind::Choice, 10, 5))
        ->toBe(Control::Cubes)
        ->and(Control::proposeFor(Kind::Choice, 10, 4))
        ->toBe(Control::Ticks)
        ->and(Control::proposeFor(Kind::Number, 0, 0))
        ->toBe(Control::Scale)
        ->and(Control::proposeFor(Kind::Flag, 2, 0))
        ->toBe(Control::Flag)
        ->and(Control::proposeFor(Kind::Text, 0, 0))
        ->toBe(Control::Words)
        ->and(Control::proposeFor(Kind::Date, 0, 0))
        ->toBe(Control::Dates)
        ->and(Control::proposeFor(Kind::Choice, 100, 0))
        ->toBe(Control::Letters);
});

test('an edition is held where a page is left empty or less of the shop carries an attribute', function (): void {
    $of = fn (int $products, array $carried, array $listed): Summary => new Summary(
        $products,
        $products,
        [],
        [],
        [],
        '',
        carried: $carried,
        listed: $listed,
    );
    $served = $of(100, ['Color' => 0.8, 'Rare' => 0.04, 'Ended' => 0.5], ['paint' => 60, 'ink' => 40, 'new' => 0]);
    $reasons = fn (Summary $draft): array => PublishGuards::reasons(Drift::between($served, $draft), $served, $draft, 0.2);
    // 64 of 100 is a fifth less than 80 of 100: no more than may be.
    expect($reasons($of(100, ['Color' => 0.64, 'Rare' => 0.0], ['paint' => 90, 'ink' => 10])))
        ->toBe([])
        ->and($reasons($of(100, ['Color' => 0.63], ['paint' => 90, 'ink' => 10])))
        ->toBe(['Color is carried by 63 % of the shop, before by 80 %'])
        ->and($reasons($of(90, ['Color' => 0.8], ['paint' => 90])))
        ->toBe(['ink is left without products'])
        ->and($reasons($of(100, ['Color' => 0.504, 'Ended' => 0.296], ['paint' => 90, 'ink' => 1])))
        ->toBe([
            'Color is carried by 50 % of the shop, before by 80 %',
            'Ended is carried by 30 % of the shop, before by 50 %',
        ]);
});

test('each kind of difference counts as one, and counts and products once together', function (): void {
    $line = fn (string $says = '{}'): FilterLine => new FilterLine('Color', true, $says);
    $price = new FilterLine('Price', true, '{}');
    $of = fn (array $more): Summary => new Summary(...$more + [
        'products' => 5,
        'variants' => 6,
        'terms' => [1 => line(1, 'Red', 3), 2 => line(2, 'Blue', 3)],
        'filters' => ['shop color' => $line(), 'shop price' => $price],
        'pages' => ['paint' => ['Color']],
        'content' => '7:x',
    ]);
    $differs = fn (array $more): int => Drift::between($of([]), $of($more))->differences();
    $terms = fn (TermLine ...$terms): array => ['terms' => array_column($terms, null, 'id')];
    $blue = line(2, 'Blue', 3);
    expect([
        'nothing' => $differs([]),
        'products' => $differs(['products' => 4]),
        'variants' => $differs(['variants' => 7]),
        'both and what they are' => $differs(['products' => 9, 'variants' => 9, 'content' => '8:x']),
        'what they are' => $differs(['content' => '8:x']),
        'a count' => $differs($terms(line(1, 'Red', 2), $blue)),
        'two counts' => $differs($terms(line(1, 'Red', 2), line(2, 'Blue', 9))),
        'a look' => $differs($terms(line(1, 'Red', 3, '#f00'), $blue)),
        'a name' => $differs($terms(line(1, 'Rot', 3, '', 'red'), $blue)),
        'an address' => $differs($terms(line(1, 'Red', 3, '', 'rot'), $blue)),
        'a name, a look and a count' => $differs($terms(line(1, 'Rot', 4, '#f00', 'red'), $blue)),
        'one gone' => $differs($terms($blue)),
        'one new' => $differs($terms(line(1, 'Red', 3), $blue, line(3, 'Sepia'))),
        'a filter less' => $differs(['filters' => ['shop color' => $line()]]),
        'a filter otherwise' => $differs(['filters' => ['shop color' => $line('{"more":2}'), 'shop price' => $price]]),
        'another order' => $differs(['filters' => ['shop price' => $price, 'shop color' => $line()]]),
        'what pages show follows from these' => $differs(['pages' => ['paint' => [], 'ink' => ['Color']]]),
    ])->toBe([
        'nothing' => 0,
        'products' => 1,
        'variants' => 1,
        'both and what they are' => 1,
        'what they are' => 1,
        'a count' => 1,
        'two counts' => 1,
        'a look' => 1,
        'a name' => 1,
        'an address' => 1,
        'a name, a look and a count' => 3,
        'one gone' => 1,
        'one new' => 1,
        'a filter less' => 1,
        'a filter otherwise' => 1,
        'another order' => 1,
        'what pages show follows from these' => 0,
    ]);
});

test('a term that was gathered or merged is led on to the one that is ticked instead, and is not gone', function (): void {
    $before = summary([line(4, 'Rouge', 3), line(5, 'Old'), line(6, 'Rot'), line(7, 'Red', 2)]);
    $after = new Summary(1, 1, [7 => line(7, 'Red', 5), 9 => line(9, 'Blue')], [], [], '1', [
        'color' => ['rouge' => 7, 'rot' => 8],
        'size' => ['old' => 7],
    ]);
    $drift = Drift::between($before, $after);
    expect($drift->ledOn)
        ->toEqual([[line(4, 'Rouge', 3), line(7, 'Red', 5)]])
        ->and($drift->gone)
        ->toEqual([line(5, 'Old'), line(6, 'Rot')])
        ->and($drift->new)
        ->toEqual([line(9, 'Blue')])
        ->and(array_column($drift->addresses, 'to', 'from'))
        ->toBe(['rouge' => 'red', 'old' => null, 'rot' => null])
        // One led on, two gone, one new, and the count.
        ->and($drift->differences())
        ->toBe(5);
});

test('before the first edition all products are new', function (): void {
    $drift = Drift::between(null, new Summary(7, 9, [3 => line(3, 'Red'), 8 => line(8, 'Blue')], [], ['paint' => ['Color']], ''));
    expect([$drift->products, $drift->variants, $drift->content, array_keys($drift->new), array_keys($drift->pages)])->toBe(
        [7, 9, false, [0, 1], ['paint']],
    );
});

test('an attribute that goes by another word is one difference, wherever the word stands', function (): void {
    $term = fn (string $attribute): TermLine => new TermLine(1, $attribute, 'Red', 'red', '', 3, ['Rouge']);
    $line = fn (string $word): FilterLine => new FilterLine('Hue', true, "{\"key\":\"{$word}\",\"not\":\"{$word}s\"}");
    $of = fn (string $word, array $led): Summary => new Summary(
        1,
        2,
        [1 => $term($word)],
        ["shop {$word}" => $line($word), 'below:3 size' => $line('size')],
        ['paint' => ['Hue']],
        '7:x',
        led: $led,
    );
    [$before, $after] = [$of('color', []), $of('hue', ['color' => 'hue', 'unknown' => 'known'])];
    // A word inside another is another one.
    $kept = fn (Summary $summary): array => array_map(fn (FilterLine $line): string => $line->says, $summary->filters);
    $drift = Drift::between($before, $after);
    expect($drift->attributes)
        ->toBe(['color' => 'hue'])
        ->and($kept($before->calling(['color' => 'hue'])))
        ->toBe(['shop hue' => '{"key":"hue","not":"colors"}', 'below:3 size' => '{"key":"size","not":"sizes"}'])
        ->and($before->calling(['color' => 'hue'])->terms[1])
        ->toEqual($term('hue'))
        ->and($before->calling([]))
        ->toBe($before)
        ->and($drift->addresses)
        ->toBe([])
        ->and([$drift->products, $drift->variants, $drift->content])
        ->toBe([0, 0, false]);
});

test('what is said of products since is added to the sum of their digests, round and round', function (): void {
    $of = fn (string $content): Summary => new Summary(
        1,
        2,
        [1 => line(1, 'Red')],
        [],
        ['paint' => []],
        $content,
        ['color' => []],
        [],
        ['Color' => 0.5],
        ['paint' => 1],
    );
    $summary = $of('10:rest:of it');
    expect($summary->withContentAdded(0))
        ->toBe($summary)
        ->and($summary->withContentAdded(5))
        ->toEqual($of('15:rest:of it'))
        ->and($summary->withContentAdded(-11))
        ->toEqual($of((Summary::MODULUS - 1).':rest:of it'))
        ->and($summary->withContentAdded(Summary::MODULUS))
        ->toEqual($of('10:rest:of it'))
        ->and($summary->withContentAdded(-3 * Summary::MODULUS - 10))
        ->toEqual($of('0:rest:of it'))
        ->and($of('4')->withContentAdded(1)->content)
        ->toBe('5:');
});

test('an edition is held for what shoppers would lose, five reasons by name', function (): void {
    $of = fn (int $products, array $terms, array $filters = [], array $pages = []): Summary => new Summary(
        $products,
        $products,
        array_column($terms, null, 'id'),
        $filters,
        $pages,
        '',
    );
    $reasons = fn (Summary $served, Summary $draft, float $loss = 0.2): array => PublishGuards::reasons(
        Drift::between($served, $draft),
        $served,
        $draft,
        $loss,
    );
    $filter = ['shop color' => new FilterLine('Color', true, '{}')];
    expect(PublishGuards::reasons(Drift::between(null, $of(1, [])), null, $of(1, []), 0.2))
        ->toBe(['there is no edition yet; the first is published by somebody'])
        ->and($reasons($of(1, [], $filter, ['paint' => ['Color', 'Size']]), $of(1, [], [], ['paint' => []])))
        ->toBe(['the filter Color goes', 'on paint nobody would see Color, Size'])
        ->and($reasons($of(1, [], [], ['paint' => []]), $of(1, [], [], ['paint' => ['Color']])))
        ->toBe([])
        ->and($reasons($of(1000, []), $of(800, [])))
        ->toBe([])
        ->and($reasons($of(1000, []), $of(799, [])))
        ->toBe(['201 of 1,000 products go'])
        ->and($reasons($of(0, []), $of(0, [])))
        ->toBe([])
        // A term of ten may lose two of them, one of nine all.
        ->and($reasons($of(99, [line(1, 'Red', 10), line(2, 'Blue', 9)]), $of(99, [line(1, 'Red', 8)])))
        ->toBe([])
        ->and($reasons($of(99, [line(1, 'Red', 10), line(2, 'Blue', 1200)]), $of(99, [line(1, 'Red', 7)])))
        ->toBe(['Blue (color) falls from 1,200 to 0 products', 'Red (color) falls from 10 to 7 products']);
    $many = fn (int $n): array => array_map(fn (int $i): TermLine => line($i, "T{$i}", 20), range(1, $n));
    expect($reasons($of(99, $many(6)), $of(99, [])))
        ->toHaveCount(6)
        ->and($reasons($of(99, $many(7)), $of(99, [])))
        ->toHaveCount(6)
        ->and(array_slice($reasons($of(99, $many(7)), $of(99, [])), 4))
        ->toBe(['T5 (color) falls from 20 to 0 products', 'and 2 more']);
});

test('editions that say less than those of today are read all the same', function (): void {
    $kept = (string) preg_replace('/s:(6|7):"(listed|carried)";a:0:\{\}/', '', serialize(new Summary(3, 4, [], [], [], 'x')));
    $older = str_replace(':10:{', ':8:{', $kept);
    $read = unserialize($older, ['allowed_classes' => [Summary::class]]);
    expect($read)->toBeInstanceOf(Summary::class)->and([$read->products, $read->content, $read->listed])->toBe([3, 'x', []]);
    $terms = [1 => line(1, 'Red')];
    $all = new Summary(3, 4, $terms, [], ['a' => ['B']], 'x', ['color' => ['rot' => 1]], ['a' => 'b'], ['C' => 0.5], ['p' => 2]);
    expect(unserialize(serialize($all)))->toEqual($all);
});
