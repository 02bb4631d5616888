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
    case Dimension = 'dimension';
    case Rounded = 'rounded';
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
            self::Label, self::Dimension => 0.82,
            self::Named => 0.86,
            self::Initials => 0.78,
            self::Rounded => 0.77,
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
     * In words, for a text and those that are the same by it.
     *
     * @param  non-empty-list<string>  $others
     * @param  string  $source  what says so, where that is on record: a standard's number
     */
    public function inWords(string $one, array $others, string $source = ''): string
    {
        $all = implode(', ', [$one, ...$others]);
        $are = implode(', ', $others).(count($others) === 1 ? ' is ' : ' are ').$one;

        return match ($this) {
            self::Taught => 'merged in this shop before',
            self::Letters => 'same letters',
            self::Words => 'same words in another order or form',
            self::Measure => implode(' = ', [$one, ...$others]),
            self::Standard => ($source === '' ? 'one thing by common practice' : $source).": {$are}",
            self::Variant => 'known spelling or abbreviation',
            self::Code => "same letters and digits, set apart differently: {$all}",
            self::Gloss => "one says in parentheses what it says already: {$all}",
            self::Filler => "one names what all values here are: {$all}",
            self::Habit => 'differ by a word that was merged twice in this shop',
            self::Language => "the same in another language: {$all}",
            self::Spelling => "nearly the same letters: {$all}",
            self::Phrase => "said in another way: {$all}",
            self::Thousands => "thousands written in another way, as the list shows: {$all}",
            self::Label => "one names what all values here are: {$all}",
            self::Dimension => "one says in a word what its unit measures: {$all}",
            self::Rounded => "one measure in two units, rounded: {$all}",
            self::Named => "the list says both names of one thing, one in parentheses: {$all}",
            self::Initials => "one is the first letters of the other, and of no other value: {$all}",
            self::Thesaurus => "one meaning in a dictionary (WordNet): {$all}",
            self::Synonym => "words for the same thing: {$all}",
            self::Order => "the same colors in another order: {$all}",
        };
    }
}
