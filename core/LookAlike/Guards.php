<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\Distance;

/** What forbids that two values are proposed to be the same, however close their letters are (C2). */
final readonly class Guards
{
    /** Words below this length are the same or not. */
    private const SHORTEST = 4;

    /** Words of other languages below this length are the same or not. */
    private const LONG_ELSEWHERE = 7;

    /** From this length on two letters may differ. */
    private const LONG = 9;

    public function __construct(private Lexicon $lexicon, private Names $names)
    {
    }

    /** Whether a word may be a misspelling of another. */
    public function near(string $one, string $other): bool
    {
        [$short, $long] = strlen($one) <= strlen($other) ? [$one, $other] : [$other, $one];
        if (
            strlen($short) < self::SHORTEST ||
            ($one[0] !== $other[0] && ! $this->swapped($one, $other)) ||
            $this->lexicon->areOpposed($one, $other)
        ) {
            return false;
        }
        $allowed = strlen($short) >= self::LONG ? 2 : 1;
        $edits = Distance::edits($one, $other);
        if ($edits === 2 && $allowed === 1 && strlen($short) >= 7 && $this->sorted($one) === $this->sorted($other)) {
            $allowed = 2;
        }
        if ($edits === 0 || $edits > $allowed || ($edits === 2 && Distance::jaroWinkler($one, $other) < 0.92)) {
            return false;
        }
        // Of words as short as these another letter is mostly another word; a letter too many or two swapped are slips.
        if (strlen($long) === self::SHORTEST && $this->sorted($one) !== $this->sorted($other)) {
            return false;
        }
        $ordinary = array_map($this->lexicon->isWord(...), [$one, $other]);
        $words = [$ordinary[0] || $this->names->knows($one), $ordinary[1] || $this->names->knows($other)];
        // Of other languages too little is known to tell a slip from another short word: Seide, Seite.
        if ($ordinary === [false, false] && $words !== $ordinary && strlen($short) < self::LONG_ELSEWHERE) {
            return false;
        }

        // Two words, of whatever language, mean what they say; two that are none are names, and short names differ by a letter.
        return $words !== [true, true] &&
            ($words !== [false, false] ||
                $this->sound($one) === $this->sound($other) ||
                (strlen($short) >= 6 && $this->isSlip($one, $other)));
    }

    private function sorted(string $word): string
    {
        $letters = str_split($word);
        sort($letters);

        return implode('', $letters);
    }

    private function swapped(string $one, string $other): bool
    {
        return strlen($one) === strlen($other) &&
            $one[0] === ($other[1] ?? '') &&
            $other[0] === ($one[1] ?? '') &&
            substr($one, 2) === substr($other, 2);
    }

    /** How it is said, as far as letters tell: doubled ones once, and spellings of one sound as one. */
    private function sound(string $word): string
    {
        return (string) preg_replace(['/ie$|ey$/', '/(?<=.)y/', '/ph/', '/ck|q/', '/(.)\1+/'], ['i', 'i', 'f', 'k', '$1'], $word);
    }

    /** A doubled letter, a letter left out or two swapped: what happens to fingers, and seldom makes another name. */
    private function isSlip(string $one, string $other): bool
    {
        $single = fn (string $word): string => (string) preg_replace('/(.)\1+/', '$1', $word);

        return $single($one) === $single($other) ||
            $this->sorted($one) === $this->sorted($other) ||
            abs(strlen($one) - strlen($other)) === 1;
    }
}
