<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\WordForms;

/**
 * Words that only name what the values of a list are, and can be left out there (C2): "Hook size 6" is 6 where a 6 stands in the list
 * and nothing else is counted in it; matt paper is matt.
 */
final class Labels
{
    /** More names than these are not one in several forms. */
    private const MOST = 12;

    /** Words behind a measure that name what is measured. */
    private const MEASURED = '/^(?:thick|wide|long|high|deep|tall|thickness|width|length|height|depth|diameter|dia|diam|each|approx|'.
        'capacity|vol|abv|alc|dc|ac)$/';

    /** Words that change what a number says; beside them it is another number. */
    private const CHANGING = '/^(?:from|to|up|over|under|above|below|min|max|minimum|maximum|minus|plus|not|no|non|without|with|'.
        'included|half|double|triple|quarter|extra|super|ultra|mini|micro|maxi|pro|new|old|left|right|upper|lower|inner|outer|front|'.
        'rear|top|bottom|and|or|per|x|by|about|less|more|than|set|pair|dozen|inside|outside|long|short|wide|narrow|tall|slim|men|'.
        'women|boys|girls|kids|baby|mens|womens)$/';

    /** Labels that name nothing of their own, whatever stands beside them. */
    private const EMPTY = ['type', 'design', 'version', 'model', 'size', 'format'];

    /** Kinds of current, of which a voltage that is given with one alone has that: 230 V, 230 V AC. */
    private const CURRENTS = ['ac' => true, 'dc' => true];

    /** What could be a label before others: words of which none denies or compares. */
    private const FIRST = '/^(?!.*\b(?:not|no|non|without|with|for|from|to|up|over|under|above|below|half|double|extra|super|ultra|mini|'.
        'semi|anti|light|dark|pale|deep|bright|left|right|upper|lower|inner|outer|front|rear|top|bottom|new|old|un|less|more)\b)'.
        '\pL{3,}(?: \pL{3,})*$/u';

    /** The standard that a class is of: EN ISO 20345 S3, EN 853 2SN. */
    private const STANDARD = '/^(?:en|iso|din|iec|astm|ansi) \d{3,5}$/';

    /** What one word ends in and another form of it does not: cover, covers, coverage. */
    private const ENDING = '/^(?:e|es|s|ed|er|ing|age)?$/';

    /** Sizes by their numbers and one unit: 20 x 25 x 1 in, 20" x 25" x 1". */
    private const SIZES = '/^\d[\d.,]*(?:(mm|cm|m|in|inch|")?[x\/]\d[\d.,]*)+(mm|cm|m|in|inch|")$/';

    /** @var array<string, int> what several values of the list go with and without before them */
    private array $firstWords;

    /** @var array<string, array<string, true>> labels of numbers by what they count */
    private array $labels = [];

    /** @var array<string, non-empty-array<string, true>> labels by what stands in the list without them */
    private array $dressed = [];

    /** @var array<string, array<string, true>> what stands in the list without a label, by label */
    private array $left = [];

    /** @var array<int, list<string>> what stands in the list and a value is called with a label, by value */
    private array $bare = [];

    /**
     * @param  array<int, list<string>>  $words  of each value
     * @param  array<string, string>  $known  what each meets others by, by its text
     * @param  array<string, int>  $heads  words that say what the values of an attribute are
     * @param  array<string, int>  $naming  those of them that say so before a value too
     * @param  array<string, int>  $changing  words behind others that make another thing of them
     */
    public function __construct(array $words, private readonly array $known, private array $heads, private array $naming, array $changing)
    {
        $this->heads += array_diff_key($this->lastWords($words), $changing);
        $this->firstWords = $this->firstWords($words);
        foreach ($words as $i => $some) {
            foreach ($this->undressed($some) as [$bare, $label]) {
                if (isset($known[$bare])) {
                    $this->bare[$i][] = $bare;
                    $this->dressed[$bare][$label] = true;
                    $this->left[$label][$bare] = true;
                }
                if (preg_match('/\d/', $bare) === 1) {
                    $this->labels[self::counted($bare)][$label] = true;
                }
            }
        }
    }

    /** @return list<string> texts of the list that say the same as a value without a label, the one that leaves out least first */
    public function without(int $i): array
    {
        return array_values(array_filter($this->bare[$i] ?? [], $this->saysNothing(...)));
    }

    /**
     * Last words that several values of the list go with and without, and that no value is by itself: of red wine, red, white wine and
     * white it is wine.
     *
     * @param  array<int, list<string>>  $words
     * @return array<string, int>
     */
    private function lastWords(array $words): array
    {
        $without = [];
        foreach ($words as $some) {
            $last = count($some) > 1 && count($some) <= Notation::MOST_WORDS ? rtrim(array_pop($some), 's') : '';
            if (preg_match('/^\pL{3,}(?<!ed)$/u', $last) !== 1 || isset($this->known[$last])) {
                continue;
            }
            $first = $this->known[implode(' ', $some)] ?? null;
            if ($first !== null) {
                $without[$last][$first] = $without["{$last}s"][$first] = true;
            }
        }

        return array_map(count(...), array_filter($without, fn (array $some): bool => count($some) > 1));
    }

    /**
     * What several values of the list go with and without before them, and no value is by itself: of energy class A, A, energy class B
     * and B it is energy class.
     *
     * @param  array<int, list<string>>  $words
     * @return array<string, int>
     */
    private function firstWords(array $words): array
    {
        $without = [];
        foreach ($words as $some) {
            for ($length = 1; $length < min(count($some), 4) && count($some) <= Notation::MOST_WORDS; $length++) {
                $label = implode(' ', array_slice($some, 0, $length));
                $rest = $this->known[implode(' ', array_slice($some, $length))] ?? null;
                $isHead = isset($this->naming[$some[$length - 1]]) && preg_match(self::FIRST, $label) === 1;
                if ($rest !== null && ($isHead || preg_match(self::STANDARD, $label) === 1)) {
                    $without[$label][$rest] = true;
                }
            }
        }

        return array_map(count(...), array_filter($without, fn (array $some): bool => count($some) > 1));
    }

    /**
     * A text without a label before or behind it, in every way there is.
     *
     * @param  list<string>  $words
     * @return list<array{0: string, 1: string}> what is left and the label
     */
    private function undressed(array $words): array
    {
        $n = count($words);
        if ($n < 2 || $n > Notation::MOST_WORDS) {
            return [];
        }
        $found = self::withoutUnits($words);
        $first = 0;
        while ($first < $n && preg_match('/^\pL{1,}$/u', $words[$first]) === 1) {
            $first++;
        }
        for ($length = 1; $length <= $first && $length < $n; $length++) {
            [$label, $bare] = [array_slice($words, 0, $length), array_slice($words, $length)];
            if ($this->mayGo($label, $bare, before: true)) {
                $found[] = [implode(' ', $bare), implode(' ', $label)];
            }
        }
        $standard = implode(' ', array_slice($words, 0, 2));
        if (isset($this->firstWords[$standard]) && preg_match(self::STANDARD, $standard) === 1) {
            $found[] = [implode(' ', array_slice($words, 2)), $standard];
        }
        for ($length = 1; $length < min($n, 4); $length++) {
            [$bare, $label] = [array_slice($words, 0, $n - $length), array_slice($words, $n - $length)];
            if ($this->mayGo($label, $bare, before: false)) {
                $found[] = [implode(' ', $bare), implode(' ', $label)];
            }
        }

        return $found;
    }

    /**
     * Sizes by their numbers alone: 20 x 25 x 1 in, 20" x 25" x 1".
     *
     * @param  list<string>  $words
     * @return list<array{0: string, 1: string}>
     */
    private static function withoutUnits(array $words): array
    {
        $text = implode('', $words);
        if (preg_match(self::SIZES, $text, $part) !== 1) {
            return [];
        }

        $numbers = (string) preg_replace('/[^\dx\/.,]/', '', $text);

        return [[strtr($numbers, ',', '.'), $part[2] === '"' || $part[2] === 'inch' ? 'in' : $part[2]]];
    }

    /**
     * @param  list<string>  $label
     * @param  list<string>  $bare
     */
    private function mayGo(array $label, array $bare, bool $before): bool
    {
        if ($before && isset($this->firstWords[implode(' ', $label)])) {
            return true;
        }
        $isNumber = preg_match('/\d/', $bare[0]) === 1 && count($bare) < 4;
        foreach ($label as $word) {
            $says = match (true) {
                $before && ! $isNumber => $word !== 'for' && ! isset($this->naming[$word]),
                isset($this->heads[$word]) => false,
                $word === 'for' => true,
                $before => preg_match(self::CHANGING, $word) === 1 ||
                    (isset($this->known[$word]) && preg_match('/^\pL/u', $bare[0]) !== 1),
                ! $isNumber => true,
                count($bare) === 1 => preg_match(self::MEASURED, $word) !== 1,
                default => preg_match(self::CHANGING, $word) === 1 || isset($this->known[$word]),
            };
            if ($says) {
                return false;
            }
        }

        return true;
    }

    /** Whether a label can be left out: what stands without it is called nothing else, or goes without it elsewhere as well. */
    private function saysNothing(string $bare): bool
    {
        $told = array_diff_key($this->dressed[$bare], $this->firstWords, array_flip(self::EMPTY));
        if ($told !== [] && ! self::areOne(array_keys($told))) {
            return false;
        }

        return count($told) < count($this->dressed[$bare]) ||
            array_diff_key($told, self::CURRENTS) === [] ||
            preg_match('/^\d[^x]*$/', $bare) !== 1 ||
            array_filter(array_keys($told), fn (int|string $label): bool => count($this->left[$label]) > 1) !== [] ||
            self::areOne(array_keys($this->labels[self::counted($bare)]));
    }

    /**
     * Whether labels say one thing: all words of each are in the longest, whole or shortened.
     *
     * @param  list<int|string>  $labels
     */
    private static function areOne(array $labels): bool
    {
        if (count($labels) > self::MOST) {
            return false;
        }
        $labels = array_map(
            fn (int|string $label): string => implode(' ', array_map(WordForms::american(...), self::saying((string) $label))),
            $labels,
        );
        usort($labels, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $longest = explode(' ', $labels[0]);
        foreach ($labels as $label) {
            if (Notation::areInitials($label, $labels[0])) {
                continue;
            }
            foreach (explode(' ', $label) as $word) {
                if (array_filter($longest, fn (string $other): bool => self::isOneOf($word, $other)) === []) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * The words of a label that say more than that something is so hot: serve at, serving temperature.
     *
     * @return non-empty-list<string>
     */
    private static function saying(string $label): array
    {
        $words = explode(' ', $label);

        return array_values(array_diff($words, ['at', 'temperature', 'temp', 'temp.'])) ?: $words;
    }

    /** Whether a word is another, shortened or in another form: temp., temperature; serve, serving; covers, coverage. */
    private static function isOneOf(string $word, string $other): bool
    {
        $alike = strspn($word ^ $other, "\0");
        $ends = fn (string $of): bool => preg_match(self::ENDING, substr($of, $alike)) === 1;

        return str_starts_with($other, rtrim($word, '.')) || ($alike > 3 && $ends($word) && $ends($other));
    }

    /** What a number counts: its unit, or nothing. */
    private static function counted(string $bare): string
    {
        return (string) preg_replace('/[\d.,\/\s-]+/', '#', $bare);
    }
}
