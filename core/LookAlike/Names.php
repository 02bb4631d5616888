<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Which names say one thing: by a standard, in another language, or as a trade uses its words. */
final class Names
{
    private const MOST_TOKENS = 5;

    private const MOST_KEPT = 20_000;

    /** Times that a synonym is read anew: what one line calls a hex key, and that a hex wrench, another calls hexagonal. */
    private const MOST_STEPS = 4;

    /** How many meanings of a name are tried at most: "nudeln" are noodles or pasta. */
    private const MOST_MEANINGS = 3;

    private static ?self $shipped = null;

    /** @var array<string, bool> whether a word could be a name or begin one, by the word */
    private array $couldBe = [];

    private function __construct(
        private readonly NameLists $lists,
        private readonly OtherWords $otherWords,
        private readonly SmallWords $smallWords,
    ) {
    }

    /** What ships, read once. */
    public static function shipped(): self
    {
        return self::$shipped ??= new self(
            NameLists::shipped(),
            new OtherWords(NameLists::shipped(), Inflections::shipped(), WordList::shipped()),
            SmallWords::shipped(),
        );
    }

    /**
     * What a text says in the names that all are read as, step by step: by standards first, then in English, then in the words that
     * a trade uses most.
     *
     * @param  string  $letters  strict key
     * @return array<string, string> texts that differ from the ones before, by evidence
     */
    public function otherwise(string $letters): array
    {
        $found = [];
        if (! $this->isNamed($letters)) {
            return [];
        }
        foreach ([Evidence::Standard, Evidence::Language, Evidence::Synonym] as $evidence) {
            $text = $evidence === Evidence::Synonym ? $this->settled($letters) : $this->replaced($letters, $evidence)[0];
            if ($text !== $letters) {
                // Edelstahl 316 is stainless steel 316, and that 1.4401.
                $found[$evidence->value] = $letters = $this->replaced($text, Evidence::Standard)[0];
            }
        }

        return $found;
    }

    /**
     * What a text in another language says as well, where its names have several meanings; the usual ones are left to otherwise().
     *
     * @param  string  $letters  strict key
     * @return list<string>
     */
    public function meanings(string $letters): array
    {
        if (! $this->isNamed($letters)) {
            return [];
        }
        [$usual, $most] = $this->replaced($letters, Evidence::Language);
        $texts = [];
        for ($meaning = 1; $meaning < min($most, self::MOST_MEANINGS); $meaning++) {
            $texts[] = $this->replaced($letters, Evidence::Language, $meaning)[0];
        }

        return array_values(array_diff(array_unique($texts), [$usual]));
    }

    /**
     * Whether a text is an ordinary English word that is a name in another language only as a whole value: pan, sale, hut.
     *
     * @param  string  $letters  strict key
     */
    public function isEnglishToo(string $letters): bool
    {
        $anywhere = array_filter($this->lists->named(Evidence::Language, $letters), fn (array $name): bool => $name[1] === '');

        return $anywhere === [] && ! $this->lists->isPlaceOrMonth($letters) && WordList::shipped()->has($letters);
    }

    /** Whether a word is a name or a part of one, in any language. */
    public function knows(string $word): bool
    {
        return $this->lists->knows($word);
    }

    /** What says that a text is read as another name: a standard's number; "" where nothing is on record. */
    public function source(string $letters): string
    {
        $tokens = array_column(NameLists::tokens($letters), 0);
        // The longest name in it says most.
        for ($length = min(count($tokens), self::MOST_TOKENS); $length > 0; $length--) {
            for ($from = 0; $from + $length <= count($tokens); $from++) {
                $words = implode(' ', array_slice($tokens, $from, $length));
                $source = $this->lists->named(Evidence::Standard, $words)[0][2] ?? '';
                if ($source !== '') {
                    return $source;
                }
            }
        }

        return '';
    }

    /**
     * The language that a text is a name in, as a BCP 47 tag; null where it is in several, in none that is known,
     * or an English word as well.
     *
     * @param  string  $letters  strict key
     */
    public function language(string $letters): ?string
    {
        $languages = $this->languages($letters);

        return count($languages) === 1 && ! $this->isEnglishToo($letters) ? $languages[0] : null;
    }

    /**
     * All languages that a text is a name in, besides English.
     *
     * @param  string  $letters  strict key
     * @return list<string> BCP 47 tags
     */
    public function languages(string $letters): array
    {
        $key = implode(' ', array_column(NameLists::tokens($letters), 0));

        return array_values(array_unique(array_column($this->lists->named(Evidence::Language, $key), 2)));
    }

    /** Whether any word of a text could be a name or the beginning of one, or says which language it is in. */
    private function isNamed(string $text): bool
    {
        foreach (NameLists::tokens($text) as [$token]) {
            if ($this->isFirst($token) || $this->smallWords->languages([$token]) !== []) {
                return true;
            }
        }

        return false;
    }

    private function isFirst(string $token): bool
    {
        if (count($this->couldBe) >= self::MOST_KEPT) {
            $this->couldBe = [];
        }

        return $this->couldBe[$token] ??= $this->lists->begins($token) ||
            $this->otherWords->inflected($token) !== [] ||
            $this->otherWords->compound($token) !== null;
    }

    /** A text in words that no synonym changes any more; where two lines name each other, in those that come first by letters. */
    private function settled(string $text): string
    {
        $before = [];
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            [$next] = $this->replaced($text, Evidence::Synonym);
            if ($next === $text || ($before !== [] && str_contains(" {$next} ", " {$text} "))) {
                return $text;
            }
            $circle = array_search($next, $before, true);
            if ($circle !== false) {
                return min([...array_slice($before, $circle), $text]);
            }
            $before[] = $text;
            $text = $next;
        }

        return $text;
    }

    /**
     * @param  int  $meaning  which one of a name is taken, from 0, where it has as many
     * @return array{0: string, 1: int} what the text says then, and how many meanings the name of most has
     */
    private function replaced(string $text, Evidence $evidence, int $meaning = 0): array
    {
        $tokens = NameLists::tokens($text);
        if ($evidence !== Evidence::Language) {
            return $this->said($text, $tokens, $this->names($text, $tokens, $evidence), $meaning);
        }
        $found = $this->names($text, $tokens, $evidence);
        $languages = $this->languagesIn($tokens, $found);
        // Beside words that are of one language for sure, an English word is one of it as well: mit Fuss, filtre à sable.
        if ($languages !== [] && count($tokens) > 1) {
            $found = $this->names($text, $tokens, $evidence, $languages);
        }
        [$said, $most] = $this->said($text, $tokens, $found, $meaning);

        return [$this->smallWords->inEnglish($said, $this->languagesIn($tokens, $found)), $most];
    }

    /**
     * The text with its names as all are read.
     *
     * @param  list<array{0: string, 1: int}>  $tokens
     * @param  list<array{0: int, 1: int, 2: non-empty-list<array{0: string, 1: string, 2: string}>}>  $found
     * @return array{0: string, 1: int}
     */
    private function said(string $text, array $tokens, array $found, int $meaning): array
    {
        $said = '';
        $behind = $most = 0;
        foreach ($found as [$at, $length, $names]) {
            $last = $tokens[$at + $length - 1];
            $said .= substr($text, $behind, $tokens[$at][1] - $behind).$names[min($meaning, count($names) - 1)][0];
            $behind = $last[1] + strlen($last[0]);
            $most = max($most, count($names));
        }

        return [$said.substr($text, $behind), $most];
    }

    /**
     * @param  list<array{0: string, 1: int}>  $tokens
     * @param  list<array{0: int, 1: int, 2: non-empty-list<array{0: string, 1: string, 2: string}>}>  $found
     * @return list<string>
     */
    private function languagesIn(array $tokens, array $found): array
    {
        $languages = array_merge([], ...array_map(fn (array $name): array => array_column($name[2], 2), $found));

        // Words that are put together say none.
        return array_values(array_diff(array_unique([...$languages, ...$this->smallWords->languages(array_column($tokens, 0))]), ['']));
    }

    /**
     * The names in a text, the longest from each place on.
     *
     * @param  list<array{0: string, 1: int}>  $tokens
     * @param  list<string>  $languages  that the text is in for sure
     * @return list<array{0: int, 1: int, 2: non-empty-list<array{0: string, 1: string, 2: string}>}> place, words, and what it means
     */
    private function names(string $text, array $tokens, Evidence $evidence, array $languages = []): array
    {
        $found = [];
        for ($i = 0, $n = count($tokens); $i < $n; $i += $length) {
            [$length, $names] = $this->nameAt($text, $tokens, $i, $evidence, $languages);
            if ($names !== []) {
                $found[] = [$i, $length, $names];
            }
        }

        return $found;
    }

    /**
     * @param  list<array{0: string, 1: int}>  $tokens
     * @param  list<string>  $languages
     * @return array{0: int, 1: list<array{0: string, 1: string, 2: string}>} of how many words the longest name from a place on is, 1 or
     *                                                                      more, and what it means; nothing where there is none
     */
    private function nameAt(string $text, array $tokens, int $i, Evidence $evidence, array $languages): array
    {
        [$token, $from] = $tokens[$i];
        if (! $this->isFirst($token)) {
            return [1, []];
        }
        // A listed name in another form is not taken apart: Scheibenbremsen are Scheibenbremse.
        $isForm = $evidence === Evidence::Language && $this->otherWords->inflected($token) !== [];
        $compound = $evidence === Evidence::Language && ! $isForm ? $this->otherWords->compound($token) : null;
        if ($compound !== null) {
            return [1, [[$compound, '', '']]];
        }
        $longest = min($this->lists->longest($evidence, $token), count($tokens) - $i, self::MOST_TOKENS);
        // voor is front, voor smartphone is for smartphone
        $least = count($tokens) > 1 && $this->smallWords->languages([$token]) !== [] ? 2 : 1;
        for ($length = $longest; $length >= $least; $length--) {
            $run = array_slice($tokens, $i, $length);
            $to = $run[$length - 1][1] + strlen($run[$length - 1][0]);
            $found = array_values(array_filter(
                $this->lists->named($evidence, implode(' ', array_column($run, 0))),
                fn (array $name): bool => in_array($name[2], $languages, true) || $this->holds($name[1], $text, $from, $to),
            ));
            if ($found !== []) {
                return [$length, $found];
            }
        }

        return [1, $evidence === Evidence::Language ? $this->otherWords->inflected($token) : []];
    }

    /** Whether a name stands where it means that: "!" as the whole text, "%" behind a share, "" anywhere with nothing but room inside. */
    private function holds(string $where, string $text, int $from, int $to): bool
    {
        return match ($where) {
            '!' => trim(substr($text, 0, $from)) === '' && trim(substr($text, $to), ' ."') === '',
            '%' => preg_match('/\d\s*%\s*$/', substr($text, 0, $from)) === 1 ||
                preg_match('/^\s*\d+\s*%/', substr($text, $to)) === 1,
            default => preg_match('/[^\pL\pN\s.\/"-]/u', substr($text, $from, $to - $from)) !== 1,
        };
    }
}
