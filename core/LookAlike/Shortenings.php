<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\Distance;
use Lokum\Text\StrictKey;

/**
 * What words with a point behind them are short for, as the list itself tells: beside "Cadmium red" stands "Cad. red". A word is
 * taken where values have all other words and a longer one in its place, and these longer ones are one word, misspelled or not.
 */
final readonly class Shortenings
{
    /** Values of more words are texts rather than names. */
    private const MOST_WORDS = 8;

    /** How many letters more the whole word has at least. */
    private const LEFT_OUT = 2;

    /** Edits that keep two long words the same one. */
    private const MISSPELLED = 2;

    /**
     * @param  iterable<string>  $texts
     * @return array<string, string> the whole word by its beginning, both as strict keys
     */
    public static function among(iterable $texts): array
    {
        $short = [];
        $lines = [];
        foreach ($texts as $text) {
            preg_match_all('/(?<![\pL\pN.])(\pL{2,6})\.(?![\pL.])/u', $text, $found);
            $words = self::words($text);
            $lines[] = $words;
            foreach (array_map(StrictKey::of(...), $found[1]) as $word) {
                if (count($words) > 1 && count($words) <= self::MOST_WORDS && in_array($word, $words, true)) {
                    $short[self::without($words, $word)][$word] = true;
                }
            }
        }

        return $short === [] ? [] : self::whole($short, $lines);
    }

    /**
     * @param  array<string, array<string, true>>  $short  shortened words by the words beside them
     * @param  list<list<string>>  $lines
     * @return array<string, string>
     */
    private static function whole(array $short, array $lines): array
    {
        $whole = [];
        foreach ($lines as $words) {
            foreach (count($words) > self::MOST_WORDS ? [] : array_unique($words) as $long) {
                foreach (array_keys($short[self::without($words, $long)] ?? []) as $word) {
                    if (str_starts_with($long, $word) && strlen($long) >= strlen($word) + self::LEFT_OUT) {
                        $whole[$word][$long] = ($whole[$word][$long] ?? 0) + 1;
                    }
                }
            }
        }

        $found = [];
        foreach ($whole as $word => $times) {
            arsort($times);
            $most = array_key_first($times);
            if (
                array_filter(array_keys($times), fn (string $long): bool => Distance::edits($most, $long) > self::MISSPELLED) ===
                []
            ) {
                $found[$word] = $most;
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        return preg_split('/[^\pL\pN]+/u', StrictKey::of($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @param  list<string>  $words */
    private static function without(array $words, string $word): string
    {
        unset($words[array_search($word, $words, true)]);
        sort($words, SORT_STRING);

        return implode(' ', $words);
    }
}
