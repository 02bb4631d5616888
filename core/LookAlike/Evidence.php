<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Why two values are believed to be the same (C2), from certain to weak. */
enum Evidence: string
{
    case Taught = 'taught';
    case Letters = 'letters';
    case Words = 'words';
    case Measure = 'measure';
    case Standard = 'standard';
    case Variant = 'variant';
    case Code = 'code';
    case Gloss = 'gloss';
    case Filler = 'filler';
    case Habit = 'habit';
    case Language = 'language';
    case Spelling = 'spelling';
    case Synonym = 'synonym';
    case Phrase = 'phrase';
    case Thousands = 'thousands';
    case Label = 'label';
    case Named = 'named';
    case Initials = 'initials';
    case Thesaurus = 'thesaurus';
    case Order = 'order';

    /** @return float from 0 to 1 */
    public function confidence(): float
    {
        return match ($this) {
            self::Taught, self::Letters => 1.0,
            self::Words => 0.97,
            self::Measure => 0.96,
            self::Standard => 0.95,
            self::Variant => 0.94,
            self::Code => 0.92,
            self::Gloss => 0.91,
            self::Filler => 0.88,
            self::Habit => 0.87,
            self::Language => 0.85,
            self::Spelling => 0.8,
            self::Phrase => 0.84,
            self::Thousands => 0.83,
            self::Label => 0.82,
            self::Named => 0.86,
            self::Initials => 0.78,
            self::Synonym => 0.7,
            self::Thesaurus => 0.68,
            self::Order => 0.6,
        };
    }

    /** Whether values can be merged by it without looking at each: nothing but the same letters, words, measures or standard names. */
    public function isCertain(): bool
    {
        return match ($this) {
            self::Taught, self::Letters, self::Words, self::Measure, self::Standard => true,
            default => false,
        };
    }

    /** Whether it is just below certain: right after a look at the list. */
    public function isLikely(): bool
    {
        return ! $this->isCertain() && $this->confidence() >= 0.9;
    }

    /**
     * In words, for the two texts it is about.
     *
     * @param  string  $source  what says so, where that is on record: a standard's number
     */
    public function inWords(string $one, string $other, string $source = ''): string
    {
        return match ($this) {
            self::Taught => 'merged in this shop before',
            self::Letters => 'same letters',
            self::Words => 'same words in another order or form',
            self::Measure => "{$one} = {$other}",
            self::Standard => ($source === '' ? 'one thing by common practice' : $source).": {$other} is {$one}",
            self::Variant => 'known spelling or abbreviation',
            self::Code => "same letters and digits, set apart differently: {$one}, {$other}",
            self::Gloss => "one says in parentheses what it says already: {$one}, {$other}",
            self::Filler => "one names what all values here are: {$one}, {$other}",
            self::Habit => 'differ by a word that was merged twice in this shop',
            self::Language => "the same in another language: {$one}, {$other}",
            self::Spelling => "nearly the same letters: {$one}, {$other}",
            self::Phrase => "said in another way: {$one}, {$other}",
            self::Thousands => "thousands written in another way, as the list shows: {$one}, {$other}",
            self::Label => "one names what all values here are: {$one}, {$other}",
            self::Named => "the list says both names of one thing, one in parentheses: {$one}, {$other}",
            self::Initials => "one is the first letters of the other, and of no other value: {$one}, {$other}",
            self::Thesaurus => "one meaning in a dictionary (WordNet): {$one}, {$other}",
            self::Synonym => "words for the same thing: {$one}, {$other}",
            self::Order => "the same colors in another order: {$one}, {$other}",
        };
    }
}
