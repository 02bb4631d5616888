<?php

declare(strict_types=1);

use Lokum\Text\TextBlock;

test('a block finds what each text by itself would', function (int $seed): void {
    mt_srand($seed);
    $letter = fn (): string => ['a', 'b', 'ß', '1', '-'][mt_rand(0, 4)];
    $word = fn (int $longest): string => implode('', array_map($letter, range(1, mt_rand(1, $longest))));
    $text = fn (): string => implode(["\n", ' '][mt_rand(0, 1)], array_map(fn (): string => $word(6), range(1, mt_rand(1, 5))));
    $texts = array_map(fn (): string => mt_rand(0, 5) === 0 ? '' : $text(), range(1, mt_rand(1, 60)));
    $words = array_map(fn (): string => $word(3), range(1, 8));
    $wanted = array_map(
        fn (string $word): array => array_keys(array_filter($texts, fn (string $text): bool => str_contains($text, $word))),
        $words,
    );
    expect(TextBlock::having(TextBlock::packed($texts), $words))->toBe($wanted);
})->with(range(1, 60));

test('a block of nothing has nothing, and no word reaches from one text into the next', function (): void {
    expect(TextBlock::having(TextBlock::packed([]), ['a']))
        ->toBe([[]])
        ->and(TextBlock::having(TextBlock::packed(['ab', 'cd']), ['bc', 'b', 'd']))
        ->toBe([[], [0], [1]])
        // Bytes of its numbers are no text.
        ->and(TextBlock::having(TextBlock::packed(['x']), ["\x01"]))
        ->toBe([[]]);
});
