<?php

declare(strict_types=1);

use Lokum\Vocabulary\JsonLd;
use Lokum\Vocabulary\ListedValue;
use Lokum\Vocabulary\Skos;
use Lokum\Vocabulary\SkosReader;
use Lokum\Vocabulary\Triple;
use Lokum\Vocabulary\Turtle;
use Lokum\Vocabulary\UnreadableSkos;

/* Lists of concepts, written and read: by examples of the W3C Recommendations (their sections beside them), and by random lists. */

/**
 * @param  list<Triple>  $triples
 * @return list<string>
 */
function triplesSaid(array $triples): array
{
    return array_map(
        fn (Triple $one): string => "{$one->subject} {$one->property} {$one->object}".rtrim("@{$one->language}", '@'),
        $triples,
    );
}

test('Turtle is read as its Recommendation has it', function (string $turtle, array $triples): void {
    expect(triplesSaid(Turtle::triples($turtle)))->toBe($triples);
})->with([
    // RDF 1.1 Turtle, 2.2: predicate lists
    'semicolons' => [
        '<http://example.org/#a> <http://example.org/#is> <http://example.org/#b> ; <http://example.org/#name> "Spider" .',
        ['http://example.org/#a http://example.org/#is http://example.org/#b', 'http://example.org/#a http://example.org/#name Spider'],
    ],
    // 2.3: object lists; 2.5.1: languages
    'commas and languages' => [
        '<http://e.org/a> <http://e.org/name> "Spider-man", "Человек-паук"@RU, \'Spinne\'@de-AT .',
        [
            'http://e.org/a http://e.org/name Spider-man',
            'http://e.org/a http://e.org/name Человек-паук@ru',
            'http://e.org/a http://e.org/name Spinne@de-at',
        ],
    ],
    // 2.4: IRIs with @base, BASE, @prefix and PREFIX
    'prefixes and a base' => [
        "\u{FEFF}@base <http://one.example/> .\n@prefix p: <two#> .\nPREFIX q: <http://q.example/>\n".
            "BASE <http://three.example/>\n<s> p:o q:x .",
        ['http://three.example/s http://one.example/two#o http://q.example/x'],
    ],
    // 2.5.1: quotes, long texts, escapes; 6.4
    'texts' => [
        "@prefix : <http://e/> .\n".
            ":a :b \"\"\"one\n\"two\" three\"\"\" , \"tab\\t, \\\"quoted\\\", back\\\\slash, \\u00e9, \\U0001F600\" , 'it\\'s\\n' .",
        [
            "http://e/a http://e/b one\n\"two\" three",
            "http://e/a http://e/b tab\t, \"quoted\", back\\slash, é, 😀",
            "http://e/a http://e/b it's\n",
        ],
    ],
    // 2.5.1: a type behind a text; 2.4: "a"
    'types' => [
        '@prefix x: <http://e/> . x:a a x:T; x:n "1"^^<http://www.w3.org/2001/XMLSchema#integer>, "2"^^x:int .',
        ['http://e/a http://www.w3.org/1999/02/22-rdf-syntax-ns#type http://e/T', 'http://e/a http://e/n 1', 'http://e/a http://e/n 2'],
    ],
    'comments, points in names, semicolons before the end' => [
        "@prefix x: <http://e/> . # said once\nx:a.b x:c x:d. # and a point\n x:e x:f true ;; .",
        ['http://e/a.b http://e/c http://e/d', 'http://e/e http://e/f true'],
    ],
    'escaped marks in names' => ['@prefix x: <http://e/> . x:a\\,b x:c x:d .', ['http://e/a,b http://e/c http://e/d']],
    'every escape' => [
        '<http://e/a> <http://e/b> "\\t\\b\\n\\r\\f\\"\\\'\\\\.", "\\u0041\\U0001F600" .',
        ["http://e/a http://e/b \t\x08\n\r\f\"'\\.", 'http://e/a http://e/b A😀'],
    ],
    'colons in names' => ['@prefix x: <http://e/> . x:a:b x:c x:d.', ['http://e/a:b http://e/c http://e/d']],
    'nothing' => ["# only a comment\n", []],
]);

test('what is no Turtle is refused by its line', function (string $turtle, string $why): void {
    expect(fn () => Turtle::triples($turtle))->toThrow(UnreadableSkos::class, $why);
})->with([
    'a blank node' => ["@prefix x: <http://e/> .\n\nx:a x:b [ x:c x:d ] .", 'Line 3: "[ x:c x:d ] ." is no Turtle that Lokum reads.'],
    'a name of a blank node' => ["\n_:b <http://e/c> <http://e/d> .", 'Line 2: a name was expected, and "_:b" came.'],
    'a prefix that was not said' => ["\n\nx:a x:b x:c .", 'Line 3: the prefix "x:" is not said.'],
    'no full stop' => ["<http://e/a> <http://e/b> <http://e/c>\n<http://e/d>", 'Line 2: a full stop was expected, and "<http://e/d>"'],
    'no end' => ["<http://e/a>\n<http://e/b>", 'Line 2: a name was expected, and "the end" came.'],
    'an end before the stop' => ['<http://e/a> <http://e/b> "c"', 'Line 1: a full stop was expected, and "the end" came.'],
    'a text for a name' => ["\n<http://e/a> \"b\" <http://e/c> .", 'Line 2: a name was expected, and ""b"" came.'],
    'a prefix without an address' => ['@prefix x: "e" .', 'Line 1: ""e"" was not expected.'],
    'a declaration that ends with the file' => ["\n@prefix x:", 'Line 2: "the end" was not expected.'],
    'a declaration without its stop' => ["@prefix x: <http://e/>\nx:a x:b x:c .", 'Line 2: a full stop was expected, and "x:a" came.'],
    'a point alone' => ["\n.", 'Line 2: a name was expected, and "." came.'],
    'no end behind lines' => ["<http://e/a>\n<http://e/b>\n\"c\"", 'Line 3: a full stop was expected, and "the end" came.'],
    'a long rest' => ['<http://e/a> ) 34567890123456789012', 'Line 1: ") 34567890123456789…" is no Turtle that Lokum reads.'],
    'no stop, lines on' => ["@prefix x: <http://e/> .\nx:a x:b x:c.d\n\nx:e", 'Line 4: a full stop was expected, and "x:e" came.'],
    'a point behind a name, lines on' => ["@prefix x: <http://e/> .\n\nx:a x:b. x:c", 'Line 3: a name was expected, and "." came.'],
    'a text over lines' => ["<http://e/a> <http://e/b> \"one\ntwo\" .", 'Line 1: ""one'],
    'a line after long texts' => ["<http://e/a> <http://e/b> \"\"\"one\ntwo\n\"\"\" .\n )", 'Line 4: ")" is no Turtle'],
]);

test('JSON-LD is read as its Recommendation has it', function (array $document, array $triples): void {
    expect(triplesSaid(JsonLd::triples((string) json_encode($document))))->toBe($triples);
})->with([
    // JSON-LD 1.1, 3.1 and 4.1: terms, prefixes and @vocab of a context
    'a context' => [
        [
            '@context' => [
                's' => 'http://s/',
                'label' => 's:label',
                'other' => ['@id' => 'http://o/other'],
                '@vocab' => 'http://v/',
            ],
            '@id' => 'http://e/a',
            '@type' => 's:Thing',
            'label' => 'One',
            'other' => ['Two', 'Three'],
            's:more' => ['@id' => 'http://e/b'],
            'plain' => 4,
            'http://whole/name' => true,
        ],
        [
            'http://e/a http://www.w3.org/1999/02/22-rdf-syntax-ns#type http://s/Thing',
            'http://e/a http://s/label One',
            'http://e/a http://o/other Two',
            'http://e/a http://o/other Three',
            'http://e/a http://s/more http://e/b',
            'http://e/a http://v/plain 4',
            'http://e/a http://whole/name 1',
        ],
    ],
    // 4.2.2 and 4.9: values with a language, several nodes in a graph
    'a graph' => [
        [
            '@graph' => [
                ['@id' => 'http://e/a', 'http://p' => [['@value' => 'Rot', '@language' => 'DE'], ['@value' => 'red'], [], null]],
                ['http://p' => 'nobody says it'],
                'no node',
                ['@id' => 'http://e/b', 'http://p' => []],
            ],
        ],
        ['http://e/a http://p Rot@de', 'http://e/a http://p red'],
    ],
    'a list of nodes' => [
        [['@id' => 'http://e/a', 'http://p' => 'x'], ['@id' => 'http://e/b', 'http://p' => 'y']],
        ['http://e/a http://p x', 'http://e/b http://p y'],
    ],
    'no graph in it' => [['@graph' => 'none'], []],
    'no nodes' => [[], []],
]);

test('a text that is no JSON says so', fn () => JsonLd::triples('{"@id": '))->throws(UnreadableSkos::class, 'It is no JSON: Syntax error.');

test('a number alone is a list without nodes', fn () => expect(JsonLd::triples('5'))->toBe([]));

/** @return list<array<string, string>> rows of a list in Turtle with the prefixes of both vocabularies */
function conceptRows(string $turtle): array
{
    return SkosReader::rows("@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n@prefix x: <http://e/> .\n{$turtle}");
}

test('of several preferred labels the one without a language is the value, then the English one', function (
    string $labels,
    string $value,
): void {
    $rows = conceptRows("x:a a skos:Concept; skos:inScheme x:s; skos:prefLabel {$labels} .");
    expect(array_unique(array_column($rows, 'value')))
        ->toBe([$value])
        ->and($rows[0]['spelling'])
        ->toBe($value)
        ->and(count($rows))
        ->toBe(substr_count($labels, '"') / 2);
})->with([
    ['"rot"@de, "red"@en-GB, "Red"', 'Red'],
    ['"rot"@de, "red"@en-GB', 'red'],
    ['"rosso"@it, "rot"@de', 'rosso'],
    ['"Red"', 'Red'],
]);

test('umbrellas are what concepts are below, said from either side; schemes are no concepts', function (): void {
    $rows = conceptRows('x:s a skos:ConceptScheme; skos:prefLabel "Colors"; skos:hasTopConcept x:warm .
        x:warm skos:prefLabel "Warm"; skos:inScheme x:s; skos:narrower x:red .
        x:red skos:prefLabel "Red"; skos:altLabel "Rot"@de, "Red"; skos:hiddenLabel "red."; skos:notation "red";
            skos:definition "Like blood" .
        x:pink skos:prefLabel "Pink"; skos:broader x:red2 .
        x:red2 skos:prefLabel "Reds"; skos:inScheme x:s .
        x:gray skos:prefLabel "Gray"; skos:inScheme x:s .
        x:nameless skos:inScheme x:s .
        x:else <http://other/prefLabel> "No" .');
    $columns = ['value', 'umbrella', 'spelling', 'help', 'address'];
    $read = fn (array $row): string => implode('|', array_map(fn (string $column): string => $row[$column], $columns));
    expect(array_map($read, $rows))->toBe([
        'Red|Warm|Red|Like blood|red',
        'Red|Warm|Rot|Like blood|red',
        'Red|Warm|red.|Like blood|red',
        'Pink|Reds|Pink||',
        'Gray||Gray||',
    ]);
});

test('a list without a concept says so', function (string $text): void {
    expect(fn () => SkosReader::rows($text))->toThrow(UnreadableSkos::class, 'It has no concept with a skos:prefLabel.');
})->with(['', "\u{FEFF} \n", '{}', '[]', '<http://e/a> <http://e/b> "c" .']);

/** Odd texts that no two of are the same letters. */
function oddText(int $i): string
{
    $kinds = ['Plain', 'åé', 'quo"ted', 'back\\slash', "two\nrows", "tab\tbed", '😀', "it's", '<b>', "\u{5D0}", "car\rriage", "\x08\f"];

    return $kinds[mt_rand(0, count($kinds) - 1)]." {$i}";
}

/**
 * @param  list<array<string, string>>  $rows
 * @return list<string>
 */
function sortedRows(array $rows): array
{
    foreach ($rows as &$row) {
        ksort($row);
    }
    $lines = array_map(fn (array $row): string => (string) json_encode($row), $rows);
    sort($lines);

    return $lines;
}

test('a list that is written is read as it was, in both forms', function (int $seed): void {
    mt_srand($seed);
    $values = $wanted = [];
    for ($i = mt_rand(1, 6); $i > 0; $i--) {
        $label = oddText($i);
        $umbrella = mt_rand(0, 1) === 1 ? 'Umbrella '.mt_rand(1, 2) : null;
        $spellings = [$label, mb_strtoupper($label), oddText(100 + $i), oddText(200 + $i)];
        shuffle($spellings);
        $help = mt_rand(0, 1) === 1 ? oddText(300 + $i) : null;
        $languages = mt_rand(0, 1) === 1 ? [$spellings[0] => 'de'] : [];
        $values[] = new ListedValue($label, "v-{$i}", $umbrella, $spellings, help: $help, languages: $languages);
        foreach (array_unique($spellings) as $spelling) {
            $row = [$label, $umbrella ?? '', $spelling, $help ?? '', "v-{$i}"];
            $wanted[] = array_combine(['value', 'umbrella', 'spelling', 'help', 'address'], $row);
        }
    }
    $list = new Skos('colors', 'Colors of "all"', $values);
    foreach ([$list->turtle(), $list->jsonLd()] as $written) {
        expect(sortedRows(SkosReader::rows($written)))->toBe(sortedRows($wanted));
    }
    // Each label of a concept is of one kind only (SKOS Reference, S13), and each value stands below its umbrella or at the top.
    $triples = triplesSaid(Turtle::triples($list->turtle()));
    expect(array_unique($triples))
        ->toBe($triples)
        ->and(array_values(array_filter($triples, fn (string $one): bool => str_contains($one, '#topConceptOf '))))
        ->toHaveCount(
            count(array_filter($values, fn (ListedValue $one): bool => $one->umbrella === null)) +
                count(array_unique(array_filter(array_map(fn (ListedValue $one): ?string => $one->umbrella, $values)))),
        );
})->with(range(1, 25));

test('a list in Turtle reads like this', function (): void {
    $list = new Skos('color', 'Color', [
        new ListedValue('Olive', 'olive', 'Greens', ['Olive', 'OLIVE', 'Olivgrün'], [], 'Like the fruit', ['Olivgrün' => 'de']),
        new ListedValue('Mist 2/3', 'mist-2/3'),
    ]);
    $iri = 'tag:lokum.invalid,2026:color';
    expect($list->turtle())->toBe(<<<TURTLE
        @prefix skos: <http://www.w3.org/2004/02/skos/core#> .

        <{$iri}> a skos:ConceptScheme ;
            skos:prefLabel "Color" .

        <{$iri}/umbrella/greens-501b408d> a skos:Concept ;
            skos:inScheme <{$iri}> ;
            skos:prefLabel "Greens" ;
            skos:narrower <{$iri}/value/olive> ;
            skos:topConceptOf <{$iri}> .

        <{$iri}/value/olive> a skos:Concept ;
            skos:inScheme <{$iri}> ;
            skos:prefLabel "Olive" ;
            skos:altLabel "Olivgrün"@de ;
            skos:hiddenLabel "OLIVE" ;
            skos:notation "olive" ;
            skos:definition "Like the fruit" ;
            skos:broader <{$iri}/umbrella/greens-501b408d> .

        <{$iri}/value/mist-2/3> a skos:Concept ;
            skos:inScheme <{$iri}> ;
            skos:prefLabel "Mist 2/3" ;
            skos:notation "mist-2/3" ;
            skos:topConceptOf <{$iri}> .

        TURTLE);
});

test('a list in JSON-LD reads like this', function (): void {
    $list = new Skos('color', 'Color', [
        new ListedValue('Olive', 'olive', 'Greens', ['OLIVE', 'Olive', 'Olivgrün', 'Olivgrün', 'vert/olive'], [], 'Like', [
            'Olive' => 'en',
            'Olivgrün' => 'de',
        ]),
        new ListedValue('Mist 2/3', 'mist-2/3'),
    ]);
    $iri = 'tag:lokum.invalid,2026:color';
    expect($list->jsonLd())->toBe(<<<JSON
        {
            "@context": {
                "skos": "http://www.w3.org/2004/02/skos/core#"
            },
            "@graph": [
                {
                    "@id": "{$iri}",
                    "@type": "skos:ConceptScheme",
                    "skos:prefLabel": "Color"
                },
                {
                    "@id": "{$iri}/umbrella/greens-501b408d",
                    "@type": "skos:Concept",
                    "skos:inScheme": {
                        "@id": "{$iri}"
                    },
                    "skos:prefLabel": "Greens",
                    "skos:narrower": [
                        {
                            "@id": "{$iri}/value/olive"
                        }
                    ],
                    "skos:topConceptOf": [
                        {
                            "@id": "{$iri}"
                        }
                    ]
                },
                {
                    "@id": "{$iri}/value/olive",
                    "@type": "skos:Concept",
                    "skos:inScheme": {
                        "@id": "{$iri}"
                    },
                    "skos:prefLabel": "Olive",
                    "skos:altLabel": [
                        {
                            "@value": "Olivgrün",
                            "@language": "de"
                        },
                        "vert/olive"
                    ],
                    "skos:hiddenLabel": "OLIVE",
                    "skos:notation": "olive",
                    "skos:definition": "Like",
                    "skos:broader": [
                        {
                            "@id": "{$iri}/umbrella/greens-501b408d"
                        }
                    ]
                },
                {
                    "@id": "{$iri}/value/mist-2/3",
                    "@type": "skos:Concept",
                    "skos:inScheme": {
                        "@id": "{$iri}"
                    },
                    "skos:prefLabel": "Mist 2/3",
                    "skos:notation": "mist-2/3",
                    "skos:topConceptOf": [
                        {
                            "@id": "{$iri}"
                        }
                    ]
                }
            ]
        }
        JSON);
});

// RDF 1.1 Turtle, 6.4: what has to be escaped in a short text
test('no text breaks a list in Turtle', function (): void {
    $turtle = (new Skos('c', "a\\b\"c\nd\re\tf\x08g\fh", [new ListedValue('x', 'p q/r%')]))->turtle();
    expect($turtle)
        ->toContain('skos:prefLabel "a\\\\b\\"c\\nd\\re\\tf\\bg\\fh" .')
        ->toContain('<tag:lokum.invalid,2026:c/value/p%20q/r%25> a skos:Concept');
});

test('concept lists are read whatever stands before them, and the first umbrella said counts', function (): void {
    $one = fn (string $iri, string $label, array $more = []): array => [
        '@id' => $iri,
        '@type' => 'skos:Concept',
        'skos:prefLabel' => $label,
        ...$more,
    ];
    $document = [
        '@context' => ['skos' => 'http://www.w3.org/2004/02/skos/core#'],
        '@graph' => [
            $one('x:a', 'Olive', ['skos:broader' => [['@id' => 'x:g'], ['@id' => 'x:h']]]),
            $one('x:g', 'Greens'),
            $one('x:h', 'Fruits', ['skos:narrower' => [['@id' => 'x:a'], ['@id' => 'x:b']]]),
            $one('x:b', 'Plum'),
        ],
    ];
    $rows = SkosReader::rows("\u{FEFF} \t\r\n".json_encode($document));
    expect(array_map(fn (array $row): string => "{$row['value']} {$row['umbrella']}", $rows))->toBe(['Olive Greens', 'Plum Fruits']);
});
