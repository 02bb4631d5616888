<?php

declare(strict_types=1);

use Lokum\Fill\Bands;
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
