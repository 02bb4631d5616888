<?php

declare(strict_types=1);

use Lokum\LookAlike\Inflections;

/* Which forms of a word of another language could stand in a list of names (common practice of these languages, from memory). */

test('an ending leads to the form that is in lists, in the languages that have it', function (string $word, array $forms): void {
    expect(Inflections::shipped()->of($word))->toBe($forms);
})->with([
    ['sedano', []],
    ['lampes', ['lampe' => ['fr', 'es', 'nl', 'de']]],
    ['kopfes', ['kopfe' => ['fr', 'es', 'nl', 'de']]],
    ['lampen', ['lampe' => ['de', 'nl']]],
    ['lampern', ['lamper' => ['de', 'nl']]],
    ['schraubern', ['schrauber' => ['de', 'nl'], 'schraub' => ['de']]],
    ['schrauben', ['schraub' => ['de', 'nl'], 'schraube' => ['de', 'nl']]],
    ['bilderer', ['bilder' => ['de']]],
    ['bijoux', ['bijou' => ['fr']]],
    ['chevaux', ['chevau' => ['fr'], 'cheval' => ['fr']]],
    ['blancas', ['blanca' => ['fr', 'es', 'nl', 'de'], 'blanco' => ['es']]],
    ['blancos', ['blanco' => ['fr', 'es', 'nl', 'de']]],
    ['rossa', ['rosso' => ['es', 'it']]],
    ['rossi', ['rosso' => ['it'], 'rosse' => ['it'], 'rossa' => ['it']]],
    ['sedie', ['sedia' => ['it'], 'sedio' => ['it']]],
    ['verte', ['verta' => ['it'], 'verto' => ['it']]],
    ['lehrerinnen', ['lehrerinn' => ['de', 'nl'], 'lehrerinne' => ['de', 'nl'], 'lehrerin' => ['de']]],
    ['tafeltje', [
        'tafeltj' => ['fr', 'nl', 'de'],
        'tafeltja' => ['it'],
        'tafeltjo' => ['it'],
        'tafel' => ['nl'],
    ]],
    ['kistjes', ['kistje' => ['fr', 'es', 'nl', 'de'], 'kistj' => ['es', 'fr', 'de']]],
    ['mansjes', ['mansje' => ['fr', 'es', 'nl', 'de'], 'mansj' => ['es', 'fr', 'de']]],
    ['feroces', ['feroce' => ['fr', 'es', 'nl', 'de'], 'feroc' => ['es', 'fr', 'de'], 'feroz' => ['es']]],
]);

test('short words and English ones have no forms of other languages', function (string $word): void {
    expect(Inflections::shipped()->of($word))->toBe([]);
})->with(['arms', 'roten', 'garden', 'gardens']);
