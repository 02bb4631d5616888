<?php

declare(strict_types=1);

use Lokum\Text\Distance;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Text\Unicode;

/* How far words are apart, and what of a text a person reads. */

test('edits are counted as optimal string alignment counts them', function (string $one, string $other, int $edits): void {
    expect([Distance::edits($one, $other), Distance::edits($other, $one)])->toBe([$edits, $edits]);
})->with([
    'nothing' => ['', '', 0],
    'all of it' => ['', 'abc', 3],
    'kitten (V. I. Levenshtein\'s distance, the usual example)' => ['kitten', 'sitting', 3],
    'neighbors changed places (F. J. Damerau)' => ['ab', 'ba', 1],
    'twice' => ['abcd', 'badc', 2],
    'no letter is edited twice: 2 otherwise' => ['ca', 'abc', 3],
    'letters of two bytes are one' => ['größe', 'große', 1],
    'a repeated letter' => ['aa', 'aaa', 1],
    'one replaced, one gone' => ['blue', 'bly', 2],
]);

test('edits are those of the definition, whatever the words', function (): void {
    mt_srand(17);
    /** The definition, without a table. */
    $edits = function (string $one, string $other) use (&$edits): int {
        if ($one === '' || $other === '') {
            return strlen($one) + strlen($other);
        }
        $least = min(
            $edits(substr($one, 0, -1), $other) + 1,
            $edits($one, substr($other, 0, -1)) + 1,
            $edits(substr($one, 0, -1), substr($other, 0, -1)) + ($one[-1] === $other[-1] ? 0 : 1),
        );

        return strlen($one) > 1 && strlen($other) > 1 && $one[-1] === $other[-2] && $one[-2] === $other[-1]
            ? min($least, $edits(substr($one, 0, -2), substr($other, 0, -2)) + 1)
            : $least;
    };
    $word = fn (): string => implode('', array_map(fn (): string => 'abc'[mt_rand(0, 2)], range(1, mt_rand(1, 5))));
    for ($i = 0; $i < 150; $i++) {
        [$one, $other] = [$word(), $word()];
        expect(Distance::edits($one, $other))->toBe($edits($one, $other), "{$one} {$other}");
    }
});

test('likeness is that of the paper', function (string $one, string $other, float $jaro, float $winkler): void {
    expect(round(Distance::jaro($one, $other), 4))
        ->toBe($jaro)
        ->and(round(Distance::jaroWinkler($one, $other), 4))
        ->toBe($winkler);
})->with([
    // W. E. Winkler, "String comparator metrics and enhanced decision rules" (1990), table of examples; values from memory.
    ['martha', 'marhta', 0.9444, 0.9611],
    ['dwayne', 'duane', 0.8222, 0.84],
    ['dixon', 'dicksonx', 0.7667, 0.8133],
    // Worked out by hand.
    'nothing' => ['', '', 1.0, 1.0],
    'against nothing' => ['', 'a', 0.0, 0.0],
    'no letter' => ['abc', 'xyz', 0.0, 0.0],
    'too far off to be the same letter' => ['ab', 'ba', 0.0, 0.0],
    'moved by one' => ['abcd', 'dabc', 0.8333, 0.8333],
    'beyond the window' => ['abcdef', 'fbcdea', 0.7778, 0.7778],
    'a beginning does not count where little else is alike' => ['abcxyz', 'abcuvw', 0.6667, 0.6667],
    'four letters of it at most' => ['abcdefgh', 'abcdefgx', 0.9167, 0.95],
    'a letter is taken once' => ['aaa', 'abb', 0.5556, 0.5556],
    'letters of two bytes' => ['grün', 'grüm', 0.8333, 0.8833],
]);

test('a label is what a person reads', function (string $spelling, string $label): void {
    expect(Label::of($spelling))->toBe($label)->and(Label::isBlank($spelling))->toBe($label === '');
})->with([
    'entities, once' => ['R&amp;amp;B &#8364;5', 'R&amp;B €5'],
    'an ampersand by itself' => ['R & B', 'R & B'],
    'both quotes' => ['&quot;a&quot; &#39;b&apos;', "\"a\" 'b'"],
    'what nobody sees' => ["\u{FEFF}so\u{00AD}ft\u{200B}", 'soft'],
    'spaces of any kind' => ["\u{0085} a\u{2003}\u{00A0}b\t\n", 'a b'],
    'only such' => ["\u{0085}\u{200B} \u{FEFF}", ''],
    'spaces as entities' => ['&nbsp;&#160;', ''],
    'an entity that is seen' => ['&lt;', '<'],
    'a sign' => ['-', '-'],
    'a zero' => ['0', '0'],
    'a letter of two bytes' => ['é', 'é'],
    'nothing' => ['', ''],
]);

test('a label is well formed by its spaces, its capitals and its first letter', function (string $text, int $form): void {
    expect(Label::form($text))->toBe($form);
})->with([
    ['Red wine', 7],
    ['red wine', 6],
    ['RED WINE', 5],
    ['LED', 7],
    ['ÄÖÜÉ', 5],
    ['1 kg', 7],
    ['1234', 7],
    ['Red  wine', 3],
    ["Red\u{00A0}wine", 3],
    ['Red_wine', 3],
    [' red', 3],
    ['Red ', 3],
    ['RED  WINE', 1],
    ['red  wine', 2],
]);

test('a slug keeps letters and digits of any script', function (string $label, string $slug): void {
    expect(Slug::of($label))->toBe($slug);
})->with([
    ['Größe 5 & mehr', 'größe-5-mehr'],
    ["Cafe\u{0301}", 'café'],
    ['--a--', 'a'],
    ['½', 'x'],
    ['!?', 'x'],
    ['☕', 'x'],
    ['0', '0'],
    ['  A & B! ', 'a-b'],
    ['1½"', '1'],
    ['300 g/m²', '300-g-m'],
    ['١٢', '١٢'],
    ['हिन्दी', 'हिन्दी'],
    ['ΣΑ', 'σα'],
]);

test('a slug is numbered from two on where it is taken', function (): void {
    $taken = ['red', 'red-2'];
    expect(Slug::unique('Red', fn (): bool => false))
        ->toBe('red')
        ->and(Slug::unique('Red', fn (string $slug): bool => $slug === 'red'))
        ->toBe('red-2')
        ->and(Slug::unique('Red!', fn (string $slug): bool => in_array($slug, $taken, true)))
        ->toBe('red-3');
});

test('digits of any script are digits, and what is no text stays', function (): void {
    expect(Unicode::digits('٣x9'))
        ->toBe('3x9')
        ->and(Unicode::digits('10²'))
        ->toBe('10²')
        ->and(Unicode::digits('12'))
        ->toBe('12')
        ->and(Unicode::normal("e\u{0301}", Normalizer::FORM_C))
        ->toBe('é')
        ->and(Unicode::normal("\xff", Normalizer::FORM_C))
        ->toBe("\xff");
});
