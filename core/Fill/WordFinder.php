<?php

declare(strict_types=1);

namespace Lokum\Fill;

/**
 * Finds values by whole words in texts (C10), blind to case; spaces and dashes between words count the same. Where a word begins
 * the longest that begins there counts; of those that overlap the longest stands, so "semi-gloss" is not "gloss".
 */
final class WordFinder
{
    /** Alternatives and bytes in one expression; more are tried one after the other. */
    private const CHUNK = 500;

    private const LONGEST_EXPRESSION = 15000;

    /** @var list<string> */
    private array $expressions = [];

    /** @var array<string, string> values by folded words */
    private array $values = [];

    /** @var array<string, list<string>> words that rule a value out, folded, by value */
    private array $none = [];

    /** @param  list<WordLine>  $lines */
    public function __construct(array $lines)
    {
        foreach ($lines as $line) {
            foreach ($line->any as $words) {
                $folded = self::fold($words);
                if ($folded !== '') {
                    $this->values[$folded] ??= $line->value;
                }
            }
            $this->none[$line->value] = array_values(
                array_filter(
                    [...$this->none[$line->value] ?? [], ...array_map(self::fold(...), $line->none)],
                    fn (string $words): bool => $words !== '',
                ),
            );
        }
        $words = array_map(strval(...), array_keys($this->values));
        usort($words, fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        foreach (self::chunks($words) as $chunk) {
            $this->expressions[] = self::expression($chunk);
        }
    }

    /** @return list<Hit> in the order of the text, not overlapping */
    public function in(string $text): array
    {
        $longest = [];
        foreach ($this->expressions as $expression) {
            if (preg_match_all($expression, $text, $found, PREG_OFFSET_CAPTURE) > 0) {
                foreach ($found[1] as [$words, $offset]) {
                    if (strlen($words) > strlen($longest[$offset] ?? '')) {
                        $longest[$offset] = $words;
                    }
                }
            }
        }
        $hits = [];
        foreach ($longest as $offset => $words) {
            $value = $this->values[self::fold($words)] ?? null;
            if ($value !== null && ! $this->isRuledOut($value, $text)) {
                $hits[] = new Hit($value, mb_strlen(substr($text, 0, $offset)), mb_strlen($words));
            }
        }

        return self::apart($hits);
    }

    /** @return list<string> the values found, each once */
    public function values(string $text): array
    {
        return array_values(array_unique(array_map(fn (Hit $hit): string => $hit->value, $this->in($text))));
    }

    private function isRuledOut(string $value, string $text): bool
    {
        foreach (self::chunks($this->none[$value] ?? []) as $chunk) {
            if (preg_match(self::expression($chunk), $text) === 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Hit>  $hits
     * @return list<Hit>
     */
    private static function apart(array $hits): array
    {
        usort($hits, fn (Hit $a, Hit $b): int => [$b->length, $a->start] <=> [$a->length, $b->start]);
        $kept = [];
        foreach ($hits as $hit) {
            foreach ($kept as $other) {
                if ($hit->start < $other->start + $other->length && $other->start < $hit->start + $hit->length) {
                    continue 2;
                }
            }
            $kept[] = $hit;
        }
        usort($kept, fn (Hit $a, Hit $b): int => $a->start <=> $b->start);

        return $kept;
    }

    /**
     * @param  list<string>  $words
     * @return list<list<string>> each small enough for one expression
     */
    private static function chunks(array $words): array
    {
        $chunks = [];
        $chunk = [];
        $bytes = 0;
        foreach ($words as $word) {
            $bytes += 2 * strlen($word);
            if ($chunk !== [] && ($bytes > self::LONGEST_EXPRESSION || count($chunk) >= self::CHUNK)) {
                $chunks[] = $chunk;
                $chunk = [];
                $bytes = 2 * strlen($word);
            }
            $chunk[] = $word;
        }

        return $chunk === [] ? $chunks : [...$chunks, $chunk];
    }

    /**
     * What matches takes no room, so that every place of a text is tried; group 1 has the words.
     *
     * @param  list<string>  $words  folded, of those that begin alike the longest first
     */
    private static function expression(array $words): string
    {
        $alternatives = array_map(fn (string $one): string => str_replace(' ', '[\s\p{Pd}]+', preg_quote($one, '/')), $words);

        return '/(?<![\p{L}\p{N}])(?=((?:'.implode('|', $alternatives).')(?![\p{L}\p{N}])))/iu';
    }

    private static function fold(string $words): string
    {
        return trim(mb_strtolower((string) preg_replace('/[\s\p{Z}\p{Pd}]+/u', ' ', $words)));
    }
}
