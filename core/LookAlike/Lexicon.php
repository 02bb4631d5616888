<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\WordForms;

/**
 * What is known about words while one list is looked through: the data files beside this one, each with its source, what the shop
 * has taught, and the forms that words of this very list were brought to.
 */
final class Lexicon
{
    private static ?self $shipped = null;

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
        private readonly WordList $words,
    ) {
        foreach ($opposedGroups as $group => $words) {
            foreach ($words as $word) {
                $this->opposed[$word][] = $group;
            }
        }
        $this->otherPlurals = array_fill_keys($otherPlurals, true);
    }

    /** What is there before any list is looked through. It learns nothing: whoever reads a list takes a copy of it, {@see taught()}. */
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

        return new self($abbreviations, $opposed, $plurals, WordList::shipped());
    }

    /**
     * A copy for one list, with what has been learned; that comes first.
     *
     * @param  array<string, string>  $abbreviations
     */
    public function taught(array $abbreviations): self
    {
        return new self(
            $abbreviations + $this->abbreviations,
            $this->opposedGroups,
            array_map(strval(...), array_keys($this->otherPlurals)),
            $this->words,
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
        return $this->words->spelled($word);
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
            if (strlen($stem) >= 3 && $this->words->has($stem) && ! isset($this->opposed[$stem])) {
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
        if (str_ends_with($word, 'ies') && ! $this->words->has($singular) && $this->words->has(substr($word, 0, -1))) {
            $singular = substr($word, 0, -1);
        }
        if ($singular === $word || isset($this->otherPlurals[$word])) {
            return $word;
        }
        // Arras is no plural; stainles is stainless with a letter left out.
        $isNone = $this->words->has($word)
            ? $alone || ! $this->words->has($singular)
            : (str_ends_with($word, 's') && $this->words->has($word.'s')) ||
                (str_ends_with($word, 'os') && ! $this->words->has($singular));

        return $isNone ? $word : $singular;
    }

    /** Whether it is an ordinary English word, or the form that one was brought to. */
    public function isWord(string $word): bool
    {
        return $this->words->has($word) || isset($this->brought[$word]) || $this->words->has(WordForms::singular($word));
    }

    /** Remembers the form that an ordinary word was brought to. */
    public function bring(string $word, string $form): void
    {
        if ($word !== $form && $this->isWord($word)) {
            $this->brought[$form] = true;
        }
    }

    /** Whether two words are of one group of opposites ("left", "right"), in small letters. */
    public function areOpposed(string $one, string $other): bool
    {
        return $one !== $other && array_intersect($this->opposed[$one] ?? [], $this->opposed[$other] ?? []) !== [];
    }
}
