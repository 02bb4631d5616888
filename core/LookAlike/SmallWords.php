<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Words that tie others together in other languages: bougie en cire is candle wax, mit Deckel is with lid. */
final readonly class SmallWords
{
    /** Those that stand in English texts as well, as words or in names. */
    private const ELSEWHERE = ['per', 'non', 'met', 'van', 'von', 'del', 'los', 'las', 'des'];

    /** A word of up to seven letters with its apostrophe: en, d’, senza */
    private const SHORT = '/(?<![\pL\pN])\pL{1,7}(?![\pL\pN])[\'’]?/u';

    /**
     * @param  array<string, array<string, string>>  $words  in English by language and word; "" for those that English goes without
     * @param  array<string, list<string>>  $languages  of those that are no English words, by word
     */
    private function __construct(private array $words, private array $languages)
    {
    }

    /** What ships. */
    public static function shipped(): self
    {
        /** @var array<string, array<string, string>> $words */
        $words = require __DIR__.'/data/small-words.php';
        $languages = [];
        foreach ($words as $language => $some) {
            foreach (array_keys($some) as $word) {
                if (strlen($word) > 2 && ! WordList::shipped()->has($word) && ! in_array($word, self::ELSEWHERE, true)) {
                    $languages[$word][] = $language;
                }
            }
        }

        return new self($words, $languages);
    }

    /**
     * @param  list<string>  $tokens  words of a text
     * @return list<string> languages that it must be in, by the small words that it has
     */
    public function languages(array $tokens): array
    {
        return array_values(array_unique(array_merge([], ...array_map(
            fn (string $token): array => $this->languages[$token] ?? [],
            $tokens,
        ))));
    }

    /**
     * A text whose other words are in English already.
     *
     * @param  list<string>  $languages  that any of these was in
     */
    public function inEnglish(string $text, array $languages): string
    {
        $words = [];
        foreach ($languages as $language) {
            $words += $this->words[$language] ?? [];
        }
        if ($words === []) {
            return $text;
        }
        $english = preg_replace_callback(
            self::SHORT,
            fn (array $found): string => $words[rtrim($found[0], '\'’')] ?? $found[0],
            $text,
        );

        return trim((string) preg_replace('/\s+/u', ' ', (string) $english));
    }
}
