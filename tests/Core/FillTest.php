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

test('a hit is shown with 24 characters on either side, and a mark where more is left out', function (): void {
    $before = 'The first twenty letters ';
    $behind = ' and what follows it here';
    $around = fn (string $text): array => (new WordFinder([new WordLine('Red', ['red'])]))->in($text)[0]->in($text);
    expect($around("{$before}réd, red{$behind}"))
        ->toBe(['…rst twenty letters réd, ', 'red', ' and what follows it her…'])
        ->and($around('red'))
        ->toBe(['', 'red', ''])
        ->and($around(str_repeat('ä', 23).' red '.str_repeat('ö', 23)))
        ->toBe([str_repeat('ä', 23).' ', 'red', ' '.str_repeat('ö', 23)])
        ->and($around(str_repeat('ä', 24).' red '.str_repeat('ö', 24)))
        ->toBe(['…'.str_repeat('ä', 23).' ', 'red', ' '.str_repeat('ö', 23).'…'])
        ->and((new Hit('x', 3, 2))->in('abcdefgh', 1))
        ->toBe(['…c', 'de', 'f…'])
        ->and((new Hit('x', 1, 2))->in('abcd', 1))
        ->toBe(['a', 'bc', 'd']);
});

test('a band that cannot hold anything says which it is', function (array $bands, string $why): void {
    /** @var list<array{from: float|null, to: float|null, label: string}> $bands */
    expect(fn () => new Bands($bands))->toThrow(InvalidArgumentException::class, $why);
})->with([
    [[['from' => 1.0, 'to' => 2.0, 'label' => 'a'], ['from' => 2.0, 'to' => 2.0, 'label' => 'b']], 'Band 2 ends before it begins.'],
    [[['from' => 3.0, 'to' => 2.0, 'label' => 'a']], 'Band 1 ends before it begins.'],
    [[['from' => null, 'to' => 2.0, 'label' => ' ']], 'Band 1 has no label.'],
]);

test('however many and long the words are, all are found', function (int $words, int $letters): void {
    $name = fn (int $i): string => "w{$i}".str_repeat('x', $letters);
    $lines = array_map(fn (int $i): WordLine => new WordLine("v{$i}", [$name($i)], ["no {$i}"]), range(1, $words));
    $finder = new WordFinder($lines);
    $text = implode(', ', array_map($name, range(1, $words)));
    expect($finder->values($text))
        ->toBe(array_map(fn (int $i): string => "v{$i}", range(1, $words)))
        ->and($finder->values("{$text} no 1"))
        ->toBe(array_map(fn (int $i): string => "v{$i}", array_slice(range(1, $words), 1)));
})->with([[1, 3], [499, 3], [500, 3], [501, 3], [1001, 3], [150, 400], [3, 20_000]]);

test('one value is ruled out by many words, and by those of several lines', function (): void {
    $none = array_map(fn (int $i): string => "never{$i}", range(1, 1200));
    $finder = new WordFinder([
        new WordLine('Red', ['red'], $none),
        new WordLine('Red', ['crimson'], ['dark', ' ']),
        new WordLine('Blue', ['', 'blue']),
    ]);
    expect($finder->values('red'))
        ->toBe(['Red'])
        ->and($finder->values('red, never1'))
        ->toBe([])
        ->and($finder->values('crimson never1200'))
        ->toBe([])
        ->and($finder->values('red and dark'))
        ->toBe([])
        ->and($finder->values('crimson, red, blue, red'))
        ->toBe(['Red', 'Blue']);
});

test('words beside each other do not overlap; of those that do the longest stands, then the first', function (): void {
    $finder = new WordFinder([
        new WordLine('one', ['a b']),
        new WordLine('two', ['b c']),
        new WordLine('three', ['c d e']),
        new WordLine('four', ['f']),
        new WordLine('five', [' -G- h ']),
    ]);
    $said = fn (string $text): array => array_map(
        fn (Hit $hit): string => "{$hit->value} {$hit->start}+{$hit->length}",
        $finder->in($text),
    );
    expect($said('a b c'))
        ->toBe(['one 0+3'])
        ->and($said('a b c d e'))
        ->toBe(['one 0+3', 'three 4+5'])
        ->and($said('b c d e'))
        ->toBe(['three 2+5'])
        ->and($said('f f-f'))
        ->toBe(['four 0+1', 'four 2+1', 'four 4+1'])
        ->and($said("g \u{2014}\u{A0}H"))
        ->toBe(['five 0+5']);
});
