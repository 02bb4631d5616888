<?php

declare(strict_types=1);

use Lokum\Facet\Combine;
use Lokum\Lineup\Absence;
use Lokum\Lineup\AddressWords;
use Lokum\Lineup\Control;
use Lokum\Lineup\EmptyTerms;
use Lokum\Lineup\FilterSettings;
use Lokum\Lineup\Offer;
use Lokum\Lineup\OfferableTerm;
use Lokum\Lineup\OfferedTerm;
use Lokum\Lineup\ProductField;
use Lokum\Lineup\TermChoice;
use Lokum\Lineup\TypedRange;
use Lokum\Lineup\Worth;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\Look;

/* What a filter offers on a page (C6), and ranges as shoppers type them (C7): a mill's flours and a chandler's ropes. */

/** @param  array<string, mixed>  $says */
function filterOver(string $kind, array $says = []): FilterSettings
{
    return FilterSettings::of([...$says, 'key' => 'grain', 'kind' => $kind, 'title' => 'Grain']);
}

/** @return list<OfferableTerm> spelt and einkorn below wheat, rye, oat */
function grains(): array
{
    return [
        new OfferableTerm(1, 'rye', 'Rye', new Look(['#806040'], help: 'Dark')),
        new OfferableTerm(2, 'oat', 'Oat'),
        new OfferableTerm(9, 'wheat', 'Wheat'),
        new OfferableTerm(3, 'spelt', 'Spelt', parent: 9),
        new OfferableTerm(4, 'einkorn', 'Einkorn', parent: 9),
    ];
}

/**
 * @param  list<OfferedTerm>  $terms
 * @return list<string> "slug count", a star where picked, those below in brackets
 */
function said(array $terms): array
{
    return array_map(
        fn (OfferedTerm $term): string => $term->slug.' '.$term->count.($term->picked ? '*' : '').
            ($term->below === [] ? '' : ' ['.implode(', ', said($term->below)).']'),
        $terms,
    );
}

test('terms that the page carries are offered with what is left after the picks', function (
    array $says,
    array $before,
    array $now,
    array $picked,
    array $offered,
): void {
    /** @var list<string> $picked */
    $offer = Offer::ofTerms(filterOver('choice', $says), grains(), $before, $now, 10, $picked);
    expect($offer instanceof Absence ? [$offer->value] : said($offer->terms))->toBe($offered);
})->with([
    'in the order of the attribute, values below their umbrella' => [
        [],
        [1 => 5, 9 => 4, 4 => 1],
        [1 => 4, 9 => 4, 4 => 1],
        [],
        ['rye 4', 'wheat 4 [einkorn 1]'],
    ],
    'one that nobody carries is not there, whatever happens to empty ones' => [
        ['empty_terms' => 'unavailable'],
        [1 => 5, 9 => 4],
        [1 => 5, 9 => 4],
        [],
        ['rye 5', 'wheat 4'],
    ],
    'one that is left without products goes' => [[], [1 => 5, 2 => 1], [1 => 5], [], ['rye 5']],
    'or stays to be seen' => [['empty_terms' => 'unavailable'], [1 => 5, 2 => 1], [1 => 5], [], ['rye 5', 'oat 0']],
    'what is picked stays, though nothing is left' => [[], [1 => 5, 2 => 1], [1 => 5], ['oat'], ['rye 5', 'oat 0*']],
    'and though nobody carries it' => [[], [1 => 5], [1 => 5], ['oat'], ['rye 5', 'oat 0*']],
    'an umbrella stays for the pick below it' => [[], [1 => 5, 9 => 2, 4 => 2], [1 => 5], ['einkorn'], ['rye 5', 'wheat 0 [einkorn 0*]']],
    'but not for a value that is not picked' => [
        ['empty_terms' => 'hide'],
        [1 => 5, 9 => 2, 4 => 2],
        [1 => 5, 4 => 1],
        ['rye'],
        ['rye 5*'],
    ],
    'pinned ones first, then its own sequence, then the rest' => [
        ['pinned' => [2, 77], 'sequence' => [9, 2]],
        [1 => 1, 2 => 1, 9 => 1],
        [1 => 1, 2 => 1, 9 => 1],
        [],
        ['oat 1', 'wheat 1', 'rye 1'],
    ],
    'only these: values of a chosen umbrella too' => [
        ['terms' => 'only', 'chosen' => [9, 2]],
        [2 => 1, 9 => 1, 3 => 1],
        [2 => 1, 9 => 1, 3 => 1],
        [],
        ['oat 1', 'wheat 1 [spelt 1]'],
    ],
    'all left out by choice' => [['terms' => 'except', 'chosen' => [1]], [1 => 3], [1 => 3], [], ['left out']],
    'nobody carries any' => [[], [], [], [], ['nobody']],
    'below an umbrella alone is nobody' => [[], [3 => 2], [3 => 2], [], ['nobody']],
    'a lone one of a choice' => [[], [1 => 3], [1 => 3], [], ['same']],
    'but a pick keeps the filter' => [[], [1 => 3], [1 => 3], ['rye'], ['rye 3*']],
]);

test('a lone term is something to choose where some lack it', function (): void {
    $yes = [new OfferableTerm(1, 'yes', 'Yes')];
    $shows = fn (FilterSettings $filter, int $n): bool => Offer::ofTerms($filter, $yes, [1 => $n], [1 => $n], 10) instanceof Offer;
    expect($shows(filterOver('flag'), 9))
        ->toBeTrue()
        ->and($shows(filterOver('flag'), 10))
        ->toBeFalse()
        ->and($shows(filterOver('number', ['control' => 'bands']), 9))
        ->toBeTrue()
        ->and($shows(FilterSettings::of(['key' => 'category', 'kind' => 'choice']), 9))
        ->toBeTrue()
        ->and($shows(filterOver('choice'), 9))
        ->toBeFalse();
});

test('what a filter says of a look comes before what the term wears', function (): void {
    $terms = [
        new OfferableTerm(1, 'rye', 'Rye', new Look(['#806040'], help: 'Dark')),
        new OfferableTerm(2, 'oat', 'Oat', new Look(picture: str_repeat('a', 32).'.webp', label: 'Oats')),
        new OfferableTerm(3, 'malt', 'Malt', new Look(['#111111'], 'Malted', 'Sweet')),
    ];
    $looks = ['1' => ['label' => 'Rye flour'], '2' => ['colors' => ['#ffeedd']], '3' => ['help' => 'From barley']];
    $offer = Offer::ofTerms(filterOver('choice', ['looks' => $looks]), $terms, [1 => 1, 2 => 1, 3 => 1], [1 => 1, 2 => 1, 3 => 1], 9);
    [$rye, $oat, $malt] = $offer instanceof Offer ? $offer->terms : [];
    expect([$rye->label, $rye->look->colors, $rye->look->help, $rye->look->label])
        ->toBe(['Rye flour', ['#806040'], 'Dark', 'Rye flour'])
        ->and([$oat->label, $oat->look->colors, $oat->look->picture, $oat->look->label])
        ->toBe(['Oat', ['#ffeedd'], null, 'Oats'])
        ->and([$malt->label, $malt->look->colors, $malt->look->help, $malt->look->label])
        ->toBe(['Malt', ['#111111'], 'From barley', 'Malted'])
        ->and([$rye->isAvailable(), (new OfferedTerm('x', 'X', new Look(), 0, false))->isAvailable()])
        ->toBe([true, false])
        ->and((new OfferedTerm('x', 'X', new Look(), 0, true))->isAvailable())
        ->toBeTrue();
    $pictured = filterOver('choice', ['looks' => ['2' => ['help' => 'Rolled']]]);
    $offer = Offer::ofTerms($pictured, $terms, [1 => 1, 2 => 1], [1 => 1, 2 => 1], 9);
    expect($offer instanceof Offer ? $offer->terms[1]->look->picture : null)->toBe(str_repeat('a', 32).'.webp');
});

test('a scale holds its numbers in steps, and keeps ends that are fixed', function (
    array $says,
    ?array $before,
    ?array $now,
    bool $asked,
    array $scale,
): void {
    /**
     * @var array{float, float}|null $before
     * @var array{float, float}|null $now
     */
    $offer = Offer::ofScale(filterOver('number', $says), $before, $now, $asked);
    expect($offer instanceof Absence ? [$offer->value] : [$offer->steps?->min, $offer->steps?->max, $offer->steps?->step])->toBe($scale);
})->with([
    'steps of one' => [[], [2.5, 7.2], null, false, [2.0, 8.0, 1.0]],
    'no step below zero' => [['step' => -3], [2.5, 7.2], null, false, [2.0, 8.0, 1.0]],
    'its own step' => [['step' => 5], [2.5, 7.2], null, false, [0.0, 10.0, 5.0]],
    'what is left after other picks' => [[], [2.5, 70.0], [3.0, 4.0], false, [3.0, 4.0, 1.0]],
    'fixed ends' => [['from' => 1, 'to' => 20, 'step' => 5], [2.5, 7.2], null, false, [1.0, 20.0, 5.0]],
    'a fixed end below its beginning' => [['from' => 9, 'to' => 3], [2.5, 7.2], null, false, [9.0, 9.0, 1.0]],
    'one number' => [[], [4.0, 4.0], null, false, ['same']],
    'one number, asked for' => [[], [4.0, 4.0], null, true, [4.0, 4.0, 1.0]],
    'none' => [[], null, null, false, ['nobody']],
    'none, though asked for' => [[], null, null, true, ['nobody']],
]);

test('a text box is there where somebody carries a text, or one is asked for', function (): void {
    expect(Offer::ofWords(1))
        ->toBeInstanceOf(Offer::class)
        ->and(Offer::ofWords(0))
        ->toBe(Absence::NobodyCarriesIt)
        ->and(Offer::ofWords(0, true))
        ->toBeInstanceOf(Offer::class);
});

test('a typed range is taken as the scale can answer it, and what was changed is said', function (
    array $says,
    string $from,
    string $to,
    array $ends,
    array $refused,
    array $snapped,
): void {
    $filter = FilterSettings::of([...$says, 'key' => 'length', 'kind' => $says['kind'] ?? 'number', 'title' => 'Length']);
    $range = TypedRange::read($filter, $from, $to);
    expect([$range->from, $range->to])->toBe($ends)->and($range->refused)->toBe($refused)->and($range->snapped)->toBe($snapped);
})->with([
    'as typed' => [[], ' 3 ', '12.5', [3.0, 12.5], [], []],
    'open ends' => [[], '', '', [null, null], [], []],
    'the wrong way round' => [[], '9', '2', [2.0, 9.0], [], []],
    'equal ends' => [[], '4', '4', [4.0, 4.0], [], []],
    'no number' => [[], 'long', '4', [null, 4.0], ['Length: “long” is not a number, so it was left out.'], []],
    'to the nearest stop' => [
        ['step' => 0.25],
        '1.1',
        '2',
        [1.0, 2.0],
        [],
        ['Length: 1.1 was taken as 1, the nearest stop of the scale.'],
    ],
    'stops count from the fixed beginning' => [
        ['step' => 5, 'from' => 1],
        '7',
        '11',
        [6.0, 11.0],
        [],
        ['Length: 7 was taken as 6, the nearest stop of the scale.'],
    ],
    'into the fixed ends' => [
        ['from' => 1, 'to' => 20],
        '0',
        '100',
        [1.0, 20.0],
        [],
        [
            'Length: 0 was taken as 1, the nearest stop of the scale.',
            'Length: 100 was taken as 20, the nearest stop of the scale.',
        ],
    ],
    'days' => [['kind' => 'date', 'step' => 7, 'from' => 99999], '2026-11-30', '', [20_787.0, null], [], []],
    'no day' => [
        ['kind' => 'date'],
        '30.11.',
        '',
        [null, null],
        ['Length: “30.11.” is no day such as 2026-11-30, so it was left out.'],
        [],
    ],
]);

test('a setting that nobody has said is as usual', function (): void {
    $filter = filterOver('number');
    expect([$filter->titleShown, $filter->help, $filter->combine, $filter->emptyTerms, $filter->open, $filter->more, $filter->counts])
        ->toBe([true, null, Combine::Any, EmptyTerms::Hide, true, 12, true])
        ->and([$filter->columns, $filter->prefix, $filter->unit, $filter->decimals, $filter->step, $filter->from, $filter->to])
        ->toBe([2, null, null, null, null, null, null])
        ->and([$filter->order, $filter->pinned, $filter->terms, $filter->chosen, $filter->seen, $filter->looks, $filter->bands])
        ->toBe([null, [], TermChoice::Follow, [], 0, [], []])
        ->and([$filter->wholeText, $filter->sequence, $filter->control, $filter->isScale()])
        ->toBe([false, [], Control::Scale, true])
        ->and(filterOver('date')->isScale())
        ->toBeTrue()
        ->and(filterOver('choice')->isScale())
        ->toBeFalse()
        ->and([filterOver('number', ['decimals' => 9])->decimals, filterOver('number', ['decimals' => -1])->decimals])
        ->toBe([6, 0])
        ->and([filterOver('choice', ['columns' => 0])->columns, filterOver('text', ['match' => 'whole'])->wholeText])
        ->toBe([1, true])
        ->and(filterOver('choice', ['pinned' => ['3', 'x', 5]])->pinned)
        ->toBe([3, 0, 5]);
});

test('product fields say what they are', function (ProductField $field, Kind $kind, Level $level, string $title, ?string $unit): void {
    expect([$field->kind(), $field->level(), $field->title(), $field->unit('CHF')])
        ->toBe([$kind, $level, $title, $unit])
        ->and(AddressWords::has($field->value))
        ->toBeTrue();
})->with([
    [ProductField::Price, Kind::Number, Level::Variant, 'Price', 'CHF'],
    [ProductField::Stock, Kind::Flag, Level::Variant, 'In stock', null],
    [ProductField::Category, Kind::Choice, Level::Product, 'Category', null],
    [ProductField::Added, Kind::Number, Level::Product, 'New', 'days'],
    [ProductField::Discount, Kind::Number, Level::Variant, 'Discount', '%'],
]);

test('stock has two terms, numbered unlike any of an attribute', function (): void {
    $terms = array_map(fn (OfferableTerm $term): array => [$term->id, $term->slug, $term->label], ProductField::Stock->terms());
    expect($terms)
        ->toBe([[-1, 'yes', 'In stock'], [-2, 'no', 'Sold out']])
        ->and(ProductField::Price->terms())
        ->toBe([])
        ->and(ProductField::ownNumbers())
        ->toBe([ProductField::Price, ProductField::Stock])
        ->and(ProductField::Stock->label())
        ->toBe('Stock');
});

test('no filter goes by a word of addresses', function (string $word, bool $taken): void {
    expect(AddressWords::has($word))->toBe($taken);
})->with([['q', true], ['sort', true], ['page', true], ['sold-out', true], ['name', true], ['new', true], ['sku', true], ['grain', false]]);

test('an absence is said in words', function (): void {
    expect(array_map(fn (Absence $why): string => $why->inWords(), Absence::cases()))->toBe([
        'no product here carries it',
        'all products here have the same',
        'all that it could offer here is left out by choice',
    ]);
});

// The bias of Miller 1955, (r − 1)(c − 1) / 2n nats, worked by hand for two answers each and 20 products: 1/40 nat = 0.03607 bit.
test('overlap beyond chance is what is left of it', function (): void {
    $chance = 1 / (40 * M_LN2);
    $same = [[10, 0], [0, 10]];
    $mixed = [[8, 2], [2, 8]];
    expect(Worth::overlapBeyondChance($same))
        ->toEqualWithDelta(1.0, 1e-12)
        ->and(Worth::overlapBeyondChance($mixed))
        ->toEqualWithDelta((Worth::mutualInformation($mixed) - $chance) / (1 - $chance), 1e-12)
        ->and(Worth::overlapBeyondChance([[5, 5], [5, 5]]))
        ->toBe(0.0)
        // Five times each on average is enough; less is not.
        ->and(Worth::overlapBeyondChance([[5, 0], [0, 5]]))
        ->toBeGreaterThan(0.99)
        ->and(Worth::overlapBeyondChance([[5, 0], [0, 4]]))
        ->toBe(0.0)
        ->and(Worth::overlapBeyondChance([[20, 20]]))
        ->toBe(0.0);
});

test('a list with a term for each product is shared by nobody', function (): void {
    expect(Worth::shared(array_fill(0, 60, 1), 60))
        ->toEqualWithDelta(0.0, 1e-12)
        ->and(Worth::shared([30, 27, 3, 2, 1], 63))
        ->toEqualWithDelta(60 / 63, 1e-12)
        ->and(Worth::shared(array_fill(0, 59, 1), 59))
        ->toBe(1.0)
        ->and(Worth::shared([], 100))
        ->toBe(1.0);
});
