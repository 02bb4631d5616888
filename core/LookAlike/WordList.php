<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\WordForms;

/** The words of the language, as the data files beside this one have them. It never changes, so everybody can share one. */
final class WordList
{
    /** @var array<string, true>|null */
    private ?array $words = null;

    /** @var array<string, string>|null one spelling for words that have several */
    private ?array $spelled = null;

    private static ?self $shipped = null;

    /** What ships, read once. */
    public static function shipped(): self
    {
        return self::$shipped ??= new self();
    }

    /** Whether it is a lemma: a word as dictionaries list it, in small letters. */
    public function has(string $word): bool
    {
        $this->words ??= array_fill_keys(file(__DIR__.'/data/words.txt', FILE_IGNORE_NEW_LINES) ?: [], true);

        return isset($this->words[$word]);
    }

    /** Whether it is a word, or a plural or a form of a verb of one: candles, coated. */
    public function hasInAnyForm(string $word): bool
    {
        return $this->has($word) ||
            $this->has(WordForms::singular($word)) ||
            (preg_match('/^(.{3,}?)(?:ed|ing|er|ers|ly)$/', $word, $part) === 1 && ($this->has($part[1]) || $this->has($part[1].'e')));
    }

    /** One spelling of a word that dictionaries give several of: pendent is pendant. */
    public function spelled(string $word): string
    {
        if ($this->spelled === null) {
            $this->spelled = [];
            foreach (file(__DIR__.'/data/same-words.txt', FILE_IGNORE_NEW_LINES) ?: [] as $pair) {
                [$one, $other] = explode(' ', $pair);
                $this->spelled[$other] ??= $this->spelled[$one] ?? $one;
            }
        }

        return $this->spelled[$word] ?? $word;
    }
}
