<?php

declare(strict_types=1);

use Lokum\Color\ColorNames;
use Lokum\Feed\TextFate;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\LookAlike\Stays;
use Lokum\Vocabulary\FittingUmbrella;
use Lokum\Vocabulary\FlagWord;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\MergePlan;
use Lokum\Vocabulary\MonthNames;
use Lokum\Vocabulary\Policy;
use Lokum\Vocabulary\SizeLadder;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermOrder;
use Lokum\Vocabulary\TermSorter;

/** @param  array<mixed>  $spellings */
function known(int $id, string $label, int $products, array $spellings): KnownValue
{
    return new KnownValue($id, $label, strtolower($label), $products, $spellings);
}

test('a merge plan moves the spellings of the values that end, and their addresses lead on', function (): void {
    $plan = MergePlan::of(known(1, 'Green', 9, [10 => 'Green']), [
        known(1, 'Green', 9, [10 => 'Green']),
        known(2, 'grn', 3, [11 => 'grn', 12 => 'Grn ']),
        known(3, 'Verde', 1, [13 => 'Verde']),
    ]);
    expect($plan->moves())
        ->toBe([11 => 1, 12 => 1, 13 => 1])
        ->and($plan->redirects())
        ->toBe(['grn' => 'green', 'verde' => 'green']);
});

test('a value is not merged with itself', fn () => MergePlan::of(known(1, 'Green', 9, []), [known(1, 'Green', 9, [])]))->throws(
    InvalidArgumentException::class,
    'nothing to merge',
);

test('the one that stays has the most products, then the best-formed label, then is the oldest', function (): void {
    expect(Stays::among(known(1, 'GREEN', 3, []), known(2, 'green', 5, []))->id)
        ->toBe(2)
        ->and(Stays::among(known(1, 'GREEN', 5, []), known(2, 'Green', 5, []), known(3, 'green', 5, []))->id)
        ->toBe(2)
        ->and(Stays::among(known(4, 'Green', 5, []), known(3, 'Green', 5, []))->id)
        ->toBe(3);
});

test('values that are the same are called in the language of the shop, by the best-formed name', function (
    string $language,
    string $called,
    string $stays,
    string ...$others,
): void {
    expect(Stays::called($stays, array_values($others), $language))->toBe($called);
})->with([
    ['en', 'Steel', 'Stahl', 'Steel', 'acier'],
    ['en', 'Bread', 'Pan', 'Bread'],
    ['en', 'Pan', 'Brot', 'Pan'],
    ['de', 'Hut', 'Hat', 'Hut'],
    ['en', 'Green', 'grn', 'Green', 'green'],
    ['en', 'light blue', 'Lt. Blue', 'light blue'],
    ['en', 'Cast iron', 'ghisa', 'cast-iron', 'Gusseisen', 'fonte', 'Cast iron'],
    ['de-DE', 'Gusseisen', 'ghisa', 'cast-iron', 'Gusseisen', 'fonte', 'Cast iron'],
    ['it', 'Ghisa', 'Cast iron', 'ghisa', 'Ghisa'],
    ['en-GB', 'Winter cover', 'Winterabdeckung', 'Winter cover'],
    ['de', 'Winterabdeckung', 'Winterabdeckung', 'Winter cover'],
    ['nl', 'Holz', 'Holz', 'Bois'],
]);

/**
 * @param  array<mixed>  $labels
 * @param  array<mixed>  $positions
 * @param  array<mixed>  $products
 * @return array<mixed>
 */
function ordered(TermOrder $order, array $labels, array $positions = [], array $products = []): array
{
    $terms = array_map(
        fn (int $i, string $label): Term => new Term($i + 1, $label, $positions[$i] ?? 0, $products[$i] ?? 0),
        array_keys($labels),
        $labels,
    );

    return array_map(fn (Term $term): string => $term->label, (new TermSorter('en'))->sort($terms, $order));
}

// The sizes and brush noughts are common practice, no source; sheets follow ISO 216.
test('terms stand in order', function (TermOrder $order, array $labels): void {
    $mixed = $labels;
    mt_srand(3);
    shuffle($mixed);
    expect(ordered($order, $mixed))->toBe($labels);
})->with([
    [TermOrder::Alphabet, ['Apple', 'äther', 'Banana', 'éclair', 'Zebra']],
    [TermOrder::Number, ['Series 2', 'Series 10', 'Series 11']],
    [TermOrder::Size, ['XXS', 'XS', 'S', 'M', 'L', 'XL', 'XXL', '3XL']],
    [TermOrder::Size, ['000', '00', '0', '1', '2', '10', '24']],
    [TermOrder::Size, ['A6', 'A5', 'A4', 'A3', 'A0', '2A0', '4A0']],
    [TermOrder::Size, ['S', 'L', '2', '10', 'A4', 'other']],
    // Mixed lists of a clothing, a shoe and a garden shop: one system after the other, measures by size in one unit.
    [TermOrder::Size, ['M', '2XL', '36', '38', 'EU 37', '38 EU', 'EU 38,5', 'UK 4', 'UK 10', 'one size']],
    [TermOrder::Size, ['5', '50 mm', '10 cm', '12–15 cm', '1/2 m', '2 ft', '1 m', '500 ml', '1 l', '20 x 30 cm', '1 x 2 m']],
    [TermOrder::Size, ['12 oz of it', '250 g', '½ kg', '2 lb', '1 kg']],
]);

test('by hand, those without a place go last; by products, the many come first', function (): void {
    expect(ordered(TermOrder::Hand, ['c', 'a', 'b', 'new'], [1, 2, 3, 0]))
        ->toBe(['c', 'a', 'b', 'new'])
        ->and(ordered(TermOrder::Products, ['a', 'b', 'c'], [], [1, 5, 5]))
        ->toBe(['b', 'c', 'a']);
});

test('colors are taken from names', function (string $name, array $colors): void {
    expect(ColorNames::in($name))->toBe($colors);
})->with([
    ['Burnt sienna', ['#8a4527']],
    ['Sienna, burnt', ['#8a4527']],
    ['BURNT SIENNA hue', ['#8a4527']],
    ['Teal', ['#008080']],
    ['black and white', ['#000000', '#ffffff']],
    ['Red/Blue/Green', ['#ff0000', '#0000ff', '#008000']],
    ['Cotton', []],
    ['Ninefold crimson', ['#dc143c']],
    ['', []],
]);

test('yes and no', function (string $text, ?bool $flag): void {
    expect(FlagWord::read($text))->toBe($flag);
})->with([
    ['Yes', true],
    [' ja ', true],
    ['TRUE', true],
    ['1', true],
    ['✓', true],
    ['n', false],
    ['Nein', false],
    ['0', false],
    ['maybe', null],
    ['', null],
]);

test('a look comes back from what is stored, and refuses what is no color', function (): void {
    $look = new Look(['#ff0000', '#00ff00'], 'Label', 'Help');
    expect(Look::fromJson($look->toJson()))
        ->toEqual($look)
        ->and((new Look())->toJson())
        ->toBeNull()
        ->and(Look::fromJson('nonsense')->isBare())
        ->toBeTrue();
    new Look(['red']);
})->throws(InvalidArgumentException::class, '"red" is not a color');

test('of texts with the same letters the best-formed one makes the label', function (string $better, string $worse): void {
    expect(Lokum\Text\Label::form($better))->toBeGreaterThan(Lokum\Text\Label::form($worse));
})->with([
    ['Matte', 'matte'],
    ['Matte', 'MATTE'],
    ['matte', 'MATTE'],
    ['Matte', 'Matte '],
    ['Semi gloss', "Semi\u{A0}gloss"],
    ['A4', 'a4'],
    ['Semi gloss', 'Semi  gloss'],
    ['Semi gloss', 'semi_gloss'],
]);

test('a text of a delivery that is no known spelling is what its attribute lets it be', function (
    Kind $kind,
    bool $isKnown,
    Policy $policy,
    TextFate $fate,
): void {
    expect(TextFate::of($kind, $isKnown, $policy))->toBe($fate);
})->with([
    [Kind::Choice, true, Policy::Refuse, TextFate::Resolved],
    [Kind::Choice, false, Policy::Follow, TextFate::New],
    [Kind::Choice, false, Policy::Hold, TextFate::Held],
    [Kind::Choice, false, Policy::Refuse, TextFate::Refused],
    [Kind::Number, false, Policy::Refuse, TextFate::Read],
    [Kind::Text, true, Policy::Follow, TextFate::Read],
    [Kind::Flag, false, Policy::Hold, TextFate::Read],
]);

test('a newcomer is proposed under the umbrella of its words, or else of its basic color', function (
    string $label,
    array $colors,
    ?string $under,
): void {
    $umbrellas = [
        'Green' => ['#2e8b57'],
        'Warm white' => [],
        'Red' => ['#cc2222'],
        'Striped' => ['#cc2222', '#ffffff'],
    ];
    expect(FittingUmbrella::of($label, array_values($colors), $umbrellas))->toBe($under);
})->with([
    'a word of its own' => ['Pale green', ['#cc2222'], 'Green'],
    'several words' => ['LED warm white, dim', [], 'Warm white'],
    'part of a word is none' => ['Evergreens', [], null],
    'its color' => ['Cherry', ['#d01030'], 'Red'],
    'two colors are none' => ['Cherry and snow', ['#d01030', '#ffffff'], null],
    'a word at the end' => ['Pine, green', [], 'Green'],
    'a word with others around it' => ['Pale green stripes', [], 'Green'],
    'words that only begin so' => ['Greenish, warm whites', [], null],
    'nothing' => ['Plain', [], null],
]);

test('a number is a name for an umbrella, too', function (): void {
    // PHP keeps such a name as a number.
    expect(FittingUmbrella::of('Size 38 wide', [], ['38' => []]))->toBe('38');
});

test('the one that stays is the same wherever it is asked for', function (int $seed): void {
    mt_srand($seed);
    $texts = ['Olive', 'olive', 'OLIVE', 'Olive ', 'olive.', 'Ol. green', 'Olive green', 'olive-green', 'Grn. olive'];
    shuffle($texts);
    $texts = array_slice($texts, 0, 5);
    $products = array_map(fn (): int => mt_rand(0, 2), $texts);
    $known = array_map(
        fn (string $text, int $n, int $id): KnownValue => new KnownValue($id, $text, "v{$id}", $n, []),
        $texts,
        $products,
        array_keys($texts),
    );
    $candidates = array_map(fn (string $text, int $n): Candidate => new Candidate($text, $n), $texts, $products);
    foreach ((new LookAlikes(Lexicon::shipped()))->among($candidates) as $group) {
        $members = array_map(fn (int $i): KnownValue => $known[$i], $group->members);
        shuffle($members);
        expect(Stays::among(...$members)->id)->toBe($group->members[0]);
    }
})->with(range(1, 25));

// Letter sizes are common practice, no source; sheets: ISO 216; systems by themselves.
test('a label stands at one height of one ladder', function (string $label, ?string $ladder, float $height): void {
    $rung = SizeLadder::rung($label);
    expect($rung?->name)->toBe($ladder)->and($rung->height ?? 0.0)->toEqualWithDelta($height, 1e-9);
})->with([
    ['mini', 'Letter sizes', -2.5],
    ['Extra small', 'Letter sizes', -2.0],
    ['small', 'Letter sizes', -1.0],
    ['Medium', 'Letter sizes', 0.0],
    ['large', 'Letter sizes', 1.0],
    ['extra large', 'Letter sizes', 2.0],
    ['M', 'Letter sizes', 0.0],
    ['s', 'Letter sizes', -1.0],
    ['XXS', 'Letter sizes', -3.0],
    ['2XL', 'Letter sizes', 3.0],
    ['12xl', 'Letter sizes', 13.0],
    ['XM', null, 0.0],
    ['123xl', 'Numbers', 123.0],
    ['size 7', 'Numbers', 7.0],
    ['No 12', 'Numbers', 12.0],
    ['nr 3', 'Numbers', 3.0],
    ['#4', 'Numbers', 4.0],
    ['000', 'Numbers', -2.0],
    ['0', 'Numbers', 0.0],
    ['2,5', 'Numbers', 2.5],
    ['EU 38', 'EU', 38.0],
    ['38,5 eu', 'EU', 38.5],
    ['UK5', 'UK', 5.0],
    ['Mondo 260', 'MONDO', 260.0],
    ['A4', 'Sheets', -4.0],
    ['c4', 'Sheets', -3.75],
    ['a10', 'Sheets', -10.0],
    ['10XL', 'Letter sizes', 11.0],
    ['2XM', 'Numbers', 2.0],
    ['B5', 'Sheets', -4.5],
    ['2A0', 'Sheets', 1.0],
    ['4a0', 'Sheets', 2.0],
    ['d4', null, 0.0],
    ['50 mm', 'Measures', 50.0],
    ['1 m', 'Measures', 1000.0],
    ['12-15 cm', 'Measures', 120.0],
    ['½ m', 'Measures', 500.0],
    ['20 x 30 cm', 'Sides', 200.0],
    ['other', null, 0.0],
    ['', null, 0.0],
]);

test('an attribute is about sizes by its name', function (string $name, bool $is): void {
    expect(SizeLadder::isAbout($name))->toBe($is);
})->with([
    ['Size', true],
    ['Shoe sizes', true],
    ['Paper format', true],
    ['Sheet', true],
    ['Sized', false],
    ['Formatting', false],
]);

test('letters are told from other sizes', function (string $label, bool $are): void {
    expect(SizeLadder::isLetters($label))->toBe($are);
})->with([['XL', true], ['medium', true], ['3', false], ['A4', false], ['XA', false]]);

test('months are known in the languages that are read, whole, short and within a date', function (string $word, ?int $month): void {
    expect(MonthNames::known($word))->toBe($month);
})->with([
    ['January', 1], ['JAN.', 1], ['Jänner', null], ['Januar', 1], ['janvier', 1], ['enero', 1], ['gennaio', 1], ['januari', 1],
    ['März', 3], ['mrt.', 3], ['août', 8], ['dic', 12], ['Dezember', 12], ['décembre', 12], ['monday', null], ['', null],
]);

test('months alone are twelve, as each language calls them', function (): void {
    expect(MonthNames::in('de'))
        ->toHaveCount(12)
        ->and(MonthNames::in('de')[2])
        ->toBe('marz')
        ->and(MonthNames::in('en')[0])
        ->toBe('january')
        ->and(MonthNames::in('fr')[11])
        ->toBe('decembre')
        ->and(MonthNames::in('es')[0])
        ->toBe('enero');
});

test('yes and no in every word that suppliers write', function (): void {
    foreach (['yes', 'Y', 'true', 't', '1', 'on', 'x', '✓', '✔', '☑', 'ja', 'oui', 'Sí', 'sim', 'tak'] as $yes) {
        expect(FlagWord::read($yes))->toBe(true, $yes);
    }
    foreach (['no', 'N', 'false', 'f', '0', 'off', '✗', '✘', '☐', 'nein', 'non', 'Não', 'nie'] as $no) {
        expect(FlagWord::read($no))->toBe(false, $no);
    }
});

test('colors go round from red, dark before light; grays from light to dark come behind, then what has none', function (): void {
    $terms = [];
    // In tens of degrees of CIE Lab hue from 15 on; beside each its hue, and its lightness where others share the ten.
    $colors = [
        '#b12c3a', // 24.8, L 40
        '#e57584', // 15.1, L 63
        '#400000', // 27
        '#ff0000', // 40
        '#ff8000', // 67
        '#2e281f', // 82, chroma 7.0
        '#ffff00', // 103
        '#00ff00', // 136
        '#2f8b99', // 214.9
        '#44c6da', // 215.3
        '#0000ff', // 306
        '#ff00ff', // 328
        '#f67ac1', // 344.9
        '#8e2256', // 355.0, L 33
        '#ae0179', // 345.2, L 39
        '#d29caf', // 355.2
        '#d3385c', // 14.6
        '#ffffff',
        '#888888',
        '#718386', // chroma 6.9, L 53
        '#777a77', // L 51
        '#000000',
        null,
    ];
    foreach ($colors as $i => $color) {
        $terms[] = new Term(100 - $i, 'same', 0, 0, $color);
    }
    $mixed = $terms;
    mt_srand(4);
    shuffle($mixed);
    expect(array_map(fn (Term $term): ?string => $term->color, (new TermSorter())->sort($mixed, TermOrder::Hue)))->toBe($colors);
});

test('equal ones stand by the alphabet, then the oldest first', function (TermOrder $order): void {
    $sorted = (new TermSorter('de'))->sort([new Term(3, 'b', 0, 0), new Term(2, 'a', 0, 0), new Term(1, 'b', 0, 0)], $order);
    expect(array_map(fn (Term $term): int => $term->id, $sorted))->toBe([2, 1, 3]);
})->with(TermOrder::cases());

test('of two looks one over the other what the upper says comes first, and its colors hide a picture', function (): void {
    $picture = str_repeat('a', 32).'.webp';
    $below = new Look([], 'Below', 'Help', $picture);
    expect($below->under(null))
        ->toBe($below)
        ->and($below->under(new Look(['#ff0000'])))
        ->toEqual(new Look(['#ff0000'], 'Below', 'Help'))
        ->and($below->under(new Look([], 'Over')))
        ->toEqual(new Look([], 'Over', 'Help', $picture))
        ->and((new Look(['#00ff00']))->under(new Look([], null, 'Else', $picture)))
        ->toEqual(new Look(['#00ff00'], null, 'Else', $picture))
        ->and((new Look([], 'Name'))->isBare())
        ->toBeFalse()
        ->and((new Look([], null, 'Help'))->isBare())
        ->toBeFalse()
        ->and((new Look([], 'Name', 'Help'))->isUndressed())
        ->toBeTrue()
        ->and($below->isUndressed())
        ->toBeFalse()
        ->and((new Look(['#00ff00']))->isUndressed())
        ->toBeFalse();
});

test('a look is kept by the parts that it has', function (): void {
    $picture = str_repeat('0', 32).'.webp';
    expect((new Look(['#ff0000']))->toJson())
        ->toBe('{"colors":["#ff0000"]}')
        ->and((new Look([], 'Grün', null, $picture))->toJson())
        ->toBe("{\"label\":\"Grün\",\"picture\":\"{$picture}\"}")
        ->and(Look::fromJson('{"colors":["#ff0000",5],"label":"","help":["x"]}'))
        ->toEqual(new Look(['#ff0000']))
        ->and(Look::fromJson(null))
        ->toEqual(new Look())
        ->and(Look::fromJson(''))
        ->toEqual(new Look())
        ->and(Look::fromJson('5'))
        ->toEqual(new Look());
});

test('what is no sound look is refused', function (array $colors, ?string $picture, string $why): void {
    /** @var list<string> $colors */
    expect(fn () => new Look($colors, null, null, $picture))->toThrow(InvalidArgumentException::class, $why);
})->with([
    [['#FF0000'], null, '"#FF0000" is not a color of the form #rrggbb.'],
    [['#ff00001'], null, '"#ff00001" is not a color of the form #rrggbb.'],
    [["#ff0000\n"], null, 'is not a color of the form #rrggbb.'],
    [['#ff0000', '#ff0000', '#ff0000', '#ff0000'], null, 'A look has at most three colors.'],
    [[], '../x.webp', '"../x.webp" is not the name of a kept picture.'],
    [[], str_repeat('a', 32).'.webpx', 'is not the name of a kept picture.'],
    [[], 'x'.str_repeat('a', 32).'.webp', 'is not the name of a kept picture.'],
]);
