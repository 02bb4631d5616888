<?php

declare(strict_types=1);

namespace Lokum\Text;

/**
 * How far two words are apart, letter by letter. Words are given as bytes of one-byte letters, as strict keys of Latin words are,
 * or as UTF-8.
 */
final class Distance
{
    /** Letters at the beginning that count more, where the words are alike at all. */
    private const PREFIX = 4;

    private const BOOSTED = 0.7;

    /**
     * Edits from one word to the other: insertions, deletions, replacements, and transpositions of neighbors, no letter edited
     * twice (optimal string alignment; Damerau 1964, Levenshtein 1966).
     *
     * @return int at least 0
     */
    public static function edits(string $one, string $other): int
    {
        $a = mb_str_split($one);
        $b = mb_str_split($other);
        $before = [];
        $above = range(0, count($b));
        foreach ($a as $i => $letter) {
            $row = [$i + 1];
            foreach ($b as $j => $there) {
                $best = min($above[$j + 1] + 1, $row[$j] + 1, $above[$j] + ($letter === $there ? 0 : 1));
                if ($i > 0 && $j > 0 && $letter === $b[$j - 1] && $a[$i - 1] === $there) {
                    $best = min($best, $before[$j - 1] + 1);
                }
                $row[] = $best;
            }
            $before = $above;
            $above = $row;
        }

        return $above[count($b)];
    }

    /**
     * Likeness that favors words with the same beginning (Winkler 1990): 1 for equal words, 0 for words without common letters.
     *
     * @return float from 0 to 1
     */
    public static function jaroWinkler(string $one, string $other): float
    {
        $jaro = self::jaro($one, $other);
        $a = mb_str_split($one);
        $b = mb_str_split($other);
        $same = 0;
        while ($same < self::PREFIX && isset($a[$same], $b[$same]) && $a[$same] === $b[$same]) {
            $same++;
        }

        return $jaro < self::BOOSTED ? $jaro : $jaro + $same * 0.1 * (1 - $jaro);
    }

    /** @return float from 0 to 1 (Jaro 1989) */
    public static function jaro(string $one, string $other): float
    {
        if ($one === $other) {
            return 1.0;
        }
        $a = mb_str_split($one);
        $b = mb_str_split($other);
        $window = max(0, intdiv(max(count($a), count($b)), 2) - 1);
        $taken = [];
        $matched = [];
        foreach ($a as $i => $letter) {
            for ($j = max(0, $i - $window); $j < min(count($b), $i + $window + 1); $j++) {
                if (! isset($taken[$j]) && $b[$j] === $letter) {
                    $taken[$j] = true;
                    $matched[] = $letter;
                    break;
                }
            }
        }
        $common = count($matched);
        if ($common === 0) {
            return 0.0;
        }
        ksort($taken);
        $swapped = 0;
        foreach (array_keys($taken) as $n => $j) {
            $swapped += $b[$j] === $matched[$n] ? 0 : 1;
        }

        return ($common / count($a) + $common / count($b) + ($common - intdiv($swapped, 2)) / $common) / 3;
    }
}
