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
    private function __construct(private readonly array $abbreviations, private readonly array $opposedGroups, array $otherPlurals)
    {
        foreach ($opposedGroups as $group => $words) {
            foreach ($words as $word) {
                $this->opposed[$word][] = $group;
            }
        }
        $this->otherPlurals = array_fill_keys($otherPlurals, true);
    }

    public static function shipped(): self
    {
        /** @var array<string, string> $abbreviations */
        $abbreviations = require __DIR__.'/data/abbreviations.php';
        /** @var list<list<string>> $opposed */
        $opposed = require __DIR__.'/data/opposed.php';
        /** @var list<string> $plurals */
        $plurals = require __DIR__.'/data/plurals.php';

        return self::$shipped ??= new self($abbreviations, $opposed, $plurals);
    }

    /** The same with what a shop has taught; its own words come first. */
    public function taught(Lessons $lessons): self
    {
        return new self($lessons->words() + $this->abbreviations, $this->opposedGroups, array_map(strval(...), array_keys($this->otherPlurals)));
    }

    /** The words that an abbreviation stands for; other words as they are. */
    public function expanded(string $word): string
    {
        return $this->abbreviations[$word] ?? $word;
    }

    /**
     * @param  bool  $alone  whether it is the whole value: then a plural that has a meaning of its own keeps it (bones, details)
     */
    public function singular(string $word, bool $alone = false): string
    {
        $singular = WordForms::singular($word);
        if ($singular === $word || isset($this->otherPlurals[$word])) {
            return $word;
        }
        // Arras is no plural; stainles is stainless with a letter left out.
        $isNone = $this->isLemma($word) ? $alone || ! $this->isLemma($singular) : str_ends_with($word, 's') && $this->isLemma($word.'s');

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
