<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** What a text says, apart from how it is written. */
final readonly class Meaning
{
    /**
     * @param  string  $letters  strict key
     * @param  list<string>  $words  normalized: one spelling, abbreviations written out, singular; in the order of the text
     * @param  list<string>  $plain  the words before variants were set equal, singular
     * @param  list<string>  $exact  numbers, codes and measures: what must be the same on both sides
     * @param  list<string>  $rough  the same with measures rounded to three digits, where they may be roundings of each other
     * @param  list<string>  $units  of the measures as written
     * @param  bool  $ordered  whether the order of its words carries meaning
     * @param  int  $negated  how often it says not, without, free and the like
     * @param  list<string>  $joined  the words written as one, in each way that they could be
     */
    public function __construct(
        public string $letters,
        public array $words = [],
        public array $plain = [],
        public array $exact = [],
        public array $rough = [],
        public array $units = [],
        public bool $ordered = false,
        public int $negated = 0,
        private array $joined = [],
    ) {
    }

    /** Whether it says nothing that is known: then it is its letters. */
    public function isEmpty(): bool
    {
        return $this->words === [] && $this->exact === [];
    }

    /** Whether it is measures alone. */
    public function isMeasure(): bool
    {
        return $this->words === [] && $this->units !== [];
    }

    /** Equal for texts of the same words, numbers and measures. */
    public function key(): string
    {
        return $this->keyOf($this->words);
    }

    /** @param  list<string>  $words  in the place of its own */
    public function keyOf(array $words): string
    {
        return self::join($words, $this->ordered).'|'.self::join($this->exact, $this->ordered);
    }

    /** The same with rounded measures. */
    public function roughKey(): string
    {
        return self::join($this->words, $this->ordered).'|'.self::join($this->rough, $this->ordered);
    }

    /**
     * Equal for texts of the same words, numbers and measures, whatever their order, before spellings and abbreviations are
     * unified.
     */
    public function plainKey(): string
    {
        return self::join($this->plain, $this->ordered).'|'.self::join($this->exact, $this->ordered);
    }

    /** The words in the order of the text. */
    public function inOrder(): string
    {
        return implode(' ', $this->words);
    }

    /** @return list<string> all words written as one; empty where there is none */
    public function joinings(): array
    {
        return array_map(fn (string $word): string => $word.'|'.self::join($this->exact, $this->ordered), $this->joined);
    }

    /** @param  list<string>  $parts */
    private static function join(array $parts, bool $ordered): string
    {
        if (! $ordered) {
            sort($parts, SORT_STRING);
        }

        return implode(' ', $parts);
    }
}
