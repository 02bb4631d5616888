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

    /** @var array<string, list<int>> groups of opposed words, by word */
    private array $opposed = [];

    /** @var array<string, true> */
    private array $otherPlurals;

    /**
     * @param  array<string, string>  $abbreviations
     * @param  list<list<string>>  $opposed
     * @param  list<string>  $otherPlurals
     */
    private function __construct(private readonly array $abbreviations, array $opposed, array $otherPlurals)
    {
        foreach ($opposed as $group => $words) {
            foreach ($words as $word) {
                $this->opposed[$word][] = $group;
            }
        }
        $this->otherPlurals = array_fill_keys($otherPlurals, true);
    }

    public static function shipped(): self
    {
        return self::$shipped ??= new self(require __DIR__.'/data/abbreviations.php', require __DIR__.'/data/opposed.php', require __DIR__.'/data/plurals.php');
    }

    /** The words that an abbreviation stands for; other words as they are. */
    public function expanded(string $word): string
    {
        return $this->abbreviations[$word] ?? $word;
    }

    public function singular(string $word): string
    {
        return isset($this->otherPlurals[$word]) ? $word : WordForms::singular($word);
    }

    /** Whether it is an ordinary English word. */
    public function isWord(string $word): bool
    {
        $this->words ??= array_fill_keys(file(__DIR__.'/data/words.txt', FILE_IGNORE_NEW_LINES) ?: [], true);

        return isset($this->words[$word]) || isset($this->words[WordForms::singular($word)]);
    }

    public function areOpposed(string $one, string $other): bool
    {
        return $one !== $other && array_intersect($this->opposed[$one] ?? [], $this->opposed[$other] ?? []) !== [];
    }
}
