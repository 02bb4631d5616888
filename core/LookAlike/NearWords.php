<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/**
 * Finds pairs of words that may be misspellings of each other among all words of a list, without comparing all pairs: words
 * that are equal after one or two letters are left out meet in the same bucket (Garbe 2012; Bocek, Hunt and Stiller 2007).
 */
final readonly class NearWords
{
    private const LONG = 9;

    /** Of longer words two omissions are tried in the first letters only. */
    private const PREFIX = 14;

    /**
     * Bytes of a word from which on it is compared as it is: its omissions would fill the memory, and nobody misspells such a
     * text by one letter.
     */
    private const LONGEST = 48;

    public function __construct(private Guards $guards)
    {
    }

    /**
     * @param  list<string>  $words  distinct
     * @return array<string, list<string>> the near ones of each word that has any
     */
    public function among(array $words): array
    {
        $buckets = [];
        foreach ($words as $i => $word) {
            foreach ($this->omissions($word) as $shorter) {
                $buckets[$shorter][] = $i;
            }
        }
        $near = [];
        $seen = [];
        foreach ($buckets as $members) {
            for ($a = 0, $n = count($members); $n > 1 && $a < $n; $a++) {
                for ($b = $a + 1; $b < $n; $b++) {
                    $pair = $members[$a] * 4194304 + $members[$b];
                    if ($members[$a] !== $members[$b] && ! isset($seen[$pair])) {
                        $seen[$pair] = true;
                        [$one, $other] = [$words[$members[$a]], $words[$members[$b]]];
                        if ($this->guards->near($one, $other)) {
                            $near[$one][] = $other;
                            $near[$other][] = $one;
                        }
                    }
                }
            }
        }

        return $near;
    }

    /** @return list<string> the word, and what is left of it without one letter, or two of a long one */
    private function omissions(string $word): array
    {
        $found = [$word => true];
        $once = [];
        $n = strlen($word);
        if ($n > self::LONGEST) {
            return [$word];
        }
        for ($i = 0; $i < $n; $i++) {
            $once[substr($word, 0, $i).substr($word, $i + 1)] = true;
        }
        $found += $once;
        if ($n >= self::LONG) {
            foreach (array_keys($once) as $shorter) {
                for ($i = 0; $i < min(self::PREFIX, $n - 1); $i++) {
                    $found[substr($shorter, 0, $i).substr($shorter, $i + 1)] = true;
                }
            }
        }

        return array_keys($found);
    }
}
