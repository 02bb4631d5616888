<?php

declare(strict_types=1);

use Lokum\Vocabulary\ListedValue;
use Lokum\Vocabulary\Skos;
use Lokum\Vocabulary\SkosReader;
use Symfony\Component\Process\Process;

// Sources: n3 and jsonld (npm) as readers; SKOS Reference (W3C, 2009), integrity conditions S9, S13, S14 and S27.
test('a list of values is sound SKOS, the same in Turtle and JSON-LD', function (): void {
    $skos = new Skos('color', 'Color "of" the tube', [
        new ListedValue(
            'Sage',
            'sage',
            'Green',
            ['Sage', 'sage ', 'SAGE', 'Salvia', 'salvia', "tab\there", "line\nbreak", 'back\\slash "quoted"'],
            ['#9cab86'],
            'Soft',
        ),
        new ListedValue('Olive', 'olive', 'Green', ['Olive', 'olive grn.']),
        new ListedValue('Red', 'red', null, ['Rot', 'ROT', 'rouge'], languages: ['Rot' => 'de', 'ROT' => 'de']),
        new ListedValue('5', '5', '10', ['5 ', '🎨']),
        new ListedValue('Grün & <b>', 'grun-b', null, ['GRÜN & <b>']),
    ]);
    $read = json_decode(
        (new Process(
            ['node', __DIR__.'/skos.mjs'],
            input: (string) json_encode(['turtle' => $skos->turtle(), 'jsonld' => $skos->jsonLd()]),
        ))
            ->mustRun()
            ->getOutput(),
        true,
    );
    expect($read['turtle'])->toBe($read['jsonld']);
    $labels = [];
    $types = [];
    $relations = [];
    foreach ($read['turtle'] as $quad) {
        $quads = '/^(<\S+>) <\S+[#\/]([A-Za-z]+)> (.+)$/s';
        [, $subject, $property, $object] = preg_match($quads, $quad, $part) === 1 ? $part : ['', '', '', ''];
        match (true) {
            str_ends_with($property, 'Label') => ($labels[$subject][$property][] = $object),
            $property === 'type' => ($types[$subject][] = $object),
            default => ($relations[$property][] = [$subject, $object]),
        };
    }
    foreach ($types as $subject => $of) {
        expect($of)
            ->toHaveCount(1, "S9: {$subject} is a scheme or a concept")
            ->and($labels[$subject]['prefLabel'])
            ->toHaveCount(1, "S14: {$subject}");
        $all = array_merge(...array_values($labels[$subject]));
        expect(array_unique($all))->toHaveCount(count($all), "S13: {$subject}");
    }
    expect($relations)
        ->not->toHaveKey('related', 'S27')
        ->and(count($types))
        ->toBe(8)

        ->and(array_map(array_reverse(...), $relations['narrower']))
        ->toEqualCanonicalizing($relations['broader'])
        ->and($labels['<tag:lokum.invalid,2026:color/value/sage>']['altLabel'])
        ->toContain('"Salvia"')
        ->and($labels['<tag:lokum.invalid,2026:color/value/red>']['altLabel'])
        ->toEqualCanonicalizing(['"Rot"@de', '"rouge"']);
});

// Source: n3 and jsonld (npm) as writers, of the same statements.
test('lists of concepts are read however other programs write them', function (): void {
    $skos = 'http://www.w3.org/2004/02/skos/core#';
    $texts = ['Sage', "two\nlines", 'say "so" \\ or', '🎨 Grün', "tab\there", 'Über', '日本', "it's", 'a # b; c, d.', '<b>&amp;'];
    $quads = '';
    $wanted = [];
    $say = function (string $subject, string $property, string $object) use (&$quads, $skos): void {
        $quads .= "<https://example.invalid/{$subject}> <{$skos}{$property}> {$object} .\n";
    };
    $literal = fn (string $text, string $tag = ''): string => '"'.strtr($text, [
        '\\' => '\\\\',
        '"' => '\\"',
        "\n" => '\\n',
        "\t" => '\\t',
    ]).'"'.$tag;
    $say('tones', 'prefLabel', $literal('Earth tones'));
    foreach ($texts as $i => $text) {
        $say("c{$i}", 'prefLabel', $literal($text));
        $say("c{$i}", 'notation', $literal("n{$i}"));
        $say("c{$i}", 'altLabel', $literal("{$text} anders", '@de-at'));
        $say("c{$i}", 'definition', $literal("Help of {$text}"));
        if ($i % 2 === 0) {
            $say("c{$i}", 'broader', '<https://example.invalid/tones>');
        }
        foreach ([$text, "{$text} anders"] as $spelling) {
            $wanted[] = [
                'value' => $text,
                'umbrella' => $i % 2 === 0 ? 'Earth tones' : '',
                'spelling' => $spelling,
                'help' => "Help of {$text}",
                'address' => "n{$i}",
            ];
        }
    }
    $written = json_decode(
        (new Process(['node', __DIR__.'/skos-writers.mjs'], input: $quads))->mustRun()->getOutput(),
        true,
    );
    expect($written)->toHaveCount(5);
    foreach ($written as $how => $text) {
        expect(SkosReader::rows($text))->toEqualCanonicalizing($wanted, $how);
    }
});
