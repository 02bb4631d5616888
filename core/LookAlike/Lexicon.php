<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\WordForms;

/** What Lokum knows about words before it sees a shop: data files beside this one, each with its source. */
final class Lexicon
{
    private static ?self $shipped = null;

    /** @var array<string, true>|null */
    private ?array $words = null;

    /** @var array<string, string>|null one spelling for words that have several */
    private ?array $spelled = null;

    /** @var array<string, true> */
    private array $brought = [];

    /** @var array<string, list<int>> groups of opposed words, by word */
    private array $opposed = [];

    /** @var array<string, true> */
    private array $otherPlurals;

    /**
     * @param  array<string, string>  $abbreviations
     * @param  list<list<string>>  $opposedGroups
     * @param  list<string>  $otherPlurals
     */
    private function __construct(
        private readonly array $abbreviations,
        private readonly array $opposedGroups,
        array $otherPlurals,
    ) {
        foreach ($opposedGroups as $group => $words) {
            foreach ($words as $word) {
                $this->opposed[$word][] = $group;
            }
        }
        $this->otherPlurals = array_fill_keys($otherPlurals, true);
    }

    public static function shipped(): self
    {
        return self::$shipped ??= self::read();
    }

    private static function read(): self
    {
        /** @var array<string, string> $abbreviations */
        $abbreviations = require __DIR__.'/data/abbreviations.php';
        /** @var list<list<string>> $opposed */
        $opposed = require __DIR__.'/data/opposed.php';
        /** @var list<string> $plurals */
        $plurals = require __DIR__.'/data/plurals.php';

        return new self($abbreviations, $opposed, $plurals);
    }

    /**
     * The same with what has been learned; that comes first.
     *
     * @param  array<string, string>  $abbreviations
     */
    public function taught(array $abbreviations): self
    {
        return $abbreviations === []
            ? $this
            : new self(
                $abbreviations + $this->abbreviations,
                $this->opposedGroups,
                array_map(strval(...), array_keys($this->otherPlurals)),
            );
    }

    /** The words that an abbreviation stands for; other words as they are. */
    public function expanded(string $word): string
    {
        return $this->abbreviations[$word] ?? $word;
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

    /** What a participle is made of where that is a word: pressed is press, colored is color. Others as they are. */
    public function stem(string $word): string
    {
        if (strlen($word) < 6 || ! str_ends_with($word, 'ed') || isset($this->opposed[$word])) {
            return $word;
        }
        foreach (
            [substr($word, 0, -2), substr($word, 0, -1), preg_match('/([bmp])\1ed$/', $word) === 1 ? substr($word, 0, -3) : ''] as $stem
        ) {
            if (strlen($stem) >= 3 && $this->isLemma($stem) && ! isset($this->opposed[$stem])) {
                return $stem;
            }
        }

        return $word;
    }

    /**
     * @param  bool  $alone  whether it is the whole value: then a plural that has a meaning of its own keeps it (bones, details)
     */
    public function singular(string $word, bool $alone = false): string
    {
        $singular = WordForms::singular($word);
        if (str_ends_with($word, 'ies') && ! $this->isLemma($singular) && $this->isLemma(substr($word, 0, -1))) {
            $singular = substr($word, 0, -1);
        }
        if ($singular === $word || isset($this->otherPlurals[$word])) {
            return $word;
        }
        // Arras is no plural; stainles is stainless with a letter left out.
        $isNone = $this->isLemma($word)
            ? $alone || ! $this->isLemma($singular)
            : (str_ends_with($word, 's') && $this->isLemma($word.'s')) ||
                (str_ends_with($word, 'os') && ! $this->isLemma($singular));

        return $isNone ? $word : $singular;
    }

    /** Whether it is an ordinary English word, or the form that one was brought to. */
    public function isWord(string $word): bool
    {
        return $this->isLemma($word) || isset($this->brought[$word]) || $this->isLemma(WordForms::singular($word));
    }

    /** Remembers the form that an ordinary word was brought to. */
    public function bring(string $word, string $form): void
    {
        if ($word !== $form && $this->isWord($word)) {
            $this->brought[$form] = true;
        }
    }

    private function isLemma(string $word): bool
    {
        $this->words ??= array_fill_keys(file(__DIR__.'/data/words.txt', FILE_IGNORE_NEW_LINES) ?: [], true);

        return isset($this->words[$word]);
    }

    public function areOpposed(string $one, string $other): bool
    {
        return $one !== $other && array_intersect($this->opposed[$one] ?? [], $this->opposed[$other] ?? []) !== [];
    }
}
