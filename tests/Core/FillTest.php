<?php

declare(strict_types=1);

use Lokum\Fill\Bands;
use Lokum\Fill\Hit;
use Lokum\Fill\WordFinder;
use Lokum\Fill\WordLine;

test('whole words are found, the longest first, and none of those that rule a value out', function (
    string $text,
    array $values,
): void {
    $finder = new WordFinder([
        new WordLine('Gloss', ['gloss', 'glossy']),
        new WordLine('Semi-gloss', ['Semi-gloss']),
        new WordLine('Green', ['green', 'grün'], ['green house']),
        new WordLine('Sap green', ['sap green']),
    ]);
    expect($finder->values($text))->toBe($values);
})->with([
    ['Oil, GLOSSY finish', ['Gloss']],
    ['semi gloss varnish', ['Semi-gloss']],
    ['glossary of terms', []],
    ['Sap  Green and gloss', ['Sap green', 'Gloss']],
    ['for the green-house', []],
    ['GRÜN', ['Green']],
    ['', []],
    ['evergreen', []],
]);

test('a hit is shown in its text', function (): void {
    [$hit] = (new WordFinder([new WordLine('Matte', ['matt'])]))->in(
        'Ölfarbe in sehr feiner Qualität, matt, 60 ml, in kleinen Mengen gerieben',
    );
    expect($hit->in('Ölfarbe in sehr feiner Qualität, matt, 60 ml, in kleinen Mengen gerieben', 10))->toBe([
        '…Qualität, ',
        'matt',
        ', 60 ml, i…',
    ]);
});

test('a band holds its lower end and not its upper', function (float $number, ?string $label): void {
    $bands = new Bands([
        ['from' => null, 'to' => 50.0, 'label' => 'small'],
        ['from' => 50.0, 'to' => 200.0, 'label' => 'medium'],
        ['from' => 500.0, 'to' => null, 'label' => 'large'],
    ]);
    expect($bands->label($number))->toBe($label);
})->with([[49.99, 'small'], [50.0, 'medium'], [199.0, 'medium'], [200.0, null], [500.0, 'large'], [-1.0, 'small']]);

test(
    'a band that ends before it begins is refused',
    fn () => expect(fn () => new Bands([['from' => 5.0, 'to' => 5.0, 'label' => 'x']]))->toThrow(
        InvalidArgumentException::class,
        'Band 1',
    ),
);

test('a band has a label', function (string $label): void {
    new Bands([['from' => null, 'to' => 5.0, 'label' => 'small'], ['from' => 5.0, 'to' => null, 'label' => $label]]);
})->with(['', '  '])->throws(InvalidArgumentException::class, 'Band 2 has no label.');

test('of equal words the first value stands, and what rules a value out is gathered from all its lines', function (): void {
    $finder = new WordFinder([
        new WordLine('Hemp', ['hemp', '']),
        new WordLine('Rope', ['hemp', 'rope'], ['']),
        new WordLine('Hemp', ['cannabis'], ['Hemp Seed']),
        new WordLine('Hemp', [], ['HEMP-OIL']),
    ]);
    expect($finder->values('hemp rope, cannabis, more hemp'))
        ->toBe(['Hemp', 'Rope'])
        ->and($finder->values('hemp  seed rope'))
        ->toBe(['Rope'])
        ->and($finder->values('hemp oil'))
        ->toBe([])
        ->and($finder->values('nothing'))
        ->toBe([]);
});

test('of words that overlap the longest stands, then the first; those side by side all do', function (): void {
    $finder = new WordFinder(array_map(fn (string $words): WordLine => new WordLine($words, [$words]), [
        'navy',
        'navy blue',
        'blue steel',
        'steel wire rope',
        'a b',
        'b c',
        'c-d',
    ]));
    expect($finder->values('navy blue steel wire rope'))
        ->toBe(['navy blue', 'steel wire rope'])
        ->and($finder->values('navy blue steel'))
        ->toBe(['blue steel'])
        ->and($finder->values('a b c d'))
        ->toBe(['a b', 'c-d']);
});

// A rule that every word of a small alphabet meets, worked out anew by trying every place: long lists are cut into several expressions.
test('long lists find what trying every word at every place finds', function (): void {
    mt_srand(19);
    $words = [];
    while (count($words) < 1300) {
        $some = array_map(fn (): string => ['tan', 'wax', 'rib', 'oak', 'x1', 'été'][mt_rand(0, 5)], range(0, mt_rand(0, 6)));
        $words[implode(' ', $some)] = true;
    }
    $finder = new WordFinder(array_map(fn (int|string $one): WordLine => new WordLine((string) $one, [(string) $one]), array_keys($words)));
    for ($round = 0; $round < 40; $round++) {
        $tokens = array_map(fn (): string => ['tan', 'wax', 'rib', 'oak', 'x1', 'été', 'of'][mt_rand(0, 6)], range(1, 9));
        $all = [];
        foreach (array_keys($tokens) as $start) {
            for ($length = 1; $start + $length <= count($tokens); $length++) {
                $run = implode(' ', array_slice($tokens, $start, $length));
                if (isset($words[$run])) {
                    $all[] = [mb_strlen($run), $start, $length, $run];
                }
            }
        }
        foreach ($finder->in(implode(' ', $tokens)) as $hit) {
            expect(array_column($all, 3))->toContain($hit->value);
        }
        // The longest of all is among them, and no two hits meet.
        $longest = max([0, ...array_column($all, 0)]);
        expect(max([0, ...array_map(fn (Hit $hit): int => $hit->length, $finder->in(implode(' ', $tokens)))]))->toBe($longest);
    }
});
