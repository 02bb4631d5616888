<?php

declare(strict_types=1);

use Lokum\LookAlike\Guards;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\Names;

/* Which word may be a misspelling of another. */

function nearWords(string $one, string $other): bool
{
    $guards = new Guards(Lexicon::shipped(), Names::shipped());
    $near = $guards->near($one, $other);
    expect($guards->near($other, $one))->toBe($near);

    return $near;
}

test('a slip of the fingers is near to what was meant', function (string $slip, string $word): void {
    expect(nearWords($slip, $word))->toBeTrue();
})->with([
    'two letters swapped' => ['hadnle', 'handle'],
    'the first two swapped' => ['ahndle', 'handle'],
    'two pairs swapped in seven letters' => ['crmiosn', 'crimson'],
    'two pairs swapped in eight' => ['lvaenedr', 'lavender'],
    'a letter too few' => ['viridan', 'viridian'],
    'a letter too many' => ['merlott', 'merlot'],
    'another letter' => ['tyger', 'tiger'],
    'two other letters in a long word' => ['terrakotto', 'terracotta'],
    'a letter too many in a short word' => ['teaak', 'teak'],
    'names of no language that sound the same' => ['trymex', 'trimex'],
    'a name with another sign for a sound' => ['bellophane', 'bellofane'],
    'a name with a doubled letter' => ['kennwick', 'kenwick'],
    'a name with two letters swapped' => ['abdcefg', 'abcdefg'],
]);

test('what is another word, or could be, is not near', function (string $one, string $other): void {
    expect(nearWords($one, $other))->toBeFalse();
})->with([
    'the same word' => ['handle', 'handle'],
    'two words' => ['angel', 'angle'],
    'two pairs swapped in six letters' => ['slvier', 'silver'],
    'three pairs swapped' => ['cirmsno', 'crimson'],
    'two other letters in eight' => ['lavandar', 'lavender'],
    'another first letter' => ['mandle', 'candle'],
    'the first swapped, and another letter' => ['ahndlo', 'handle'],
    'three letters' => ['oak', 'oakk'],
    'another letter in four' => ['tesk', 'teak'],
    'opposed words' => ['inside', 'outside'],
    'short words of another language' => ['seide', 'seite'],
    'names that differ by a letter' => ['kenwick', 'kenwack'],
    'short names with two letters swapped' => ['zylno', 'zylon'],
]);
