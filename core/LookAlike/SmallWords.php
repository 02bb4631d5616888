<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Words that tie others together in other languages: bougie en cire is candle wax, mit Deckel is with lid. */
final readonly class SmallWords
{
    /** A word of up to seven letters with its apostrophe: en, d’, senza */
    private const SHORT = '/(?<![\pL\pN])\pL{1,7}(?![\pL\pN])[\'’]?/u';

    /** @param  array<string, array<string, string>>  $words  in English by language and word; "" for those that English goes without */
    private function __construct(private array $words)
    {
    }

    /** What ships. */
    public static function shipped(): self
    {
        /** @var array<string, array<string, string>> $words */
        $words = require __DIR__.'/data/small-words.php';

        return new self($words);
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
