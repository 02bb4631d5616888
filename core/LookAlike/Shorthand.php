<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Quantity\Unit;
use Lokum\Text\StrictKey;

/**
 * What values are short for, as the list itself tells (C2): FMC is the one value whose words begin so, 2P the one that counts two of a
 * word with P, mono ash the one with a long word that begins so, 12k BTU is 12000 BTU where that stands there and 12 BTU does not.
 */
final class Shorthand
{
    /** The shortest whole word that is written as its beginning. */
    private const LONG = '/^\pL{6}/u';

    /** TLR, T&G */
    private const INITIALS = '/^(?=.{2,6}$)\pL[\pL&+]*\pL$/u';

    /** 20 y, 2P; 0-6 m, from 6 m */
    private const COUNTED = '/^(\d+|(?:from |up to )?\d+(?:-\d+)?) ?(\pL{1,3})\.?$/u';

    private const NUMBER = '/^(?:from |up to )?\d+(?:-\d+)?$/';

    /** 12.000 btu, 12 000 btu */
    private const THOUSANDS = '/^(\d{1,3})[.  ](\d{3})(?=\D|$)(.*)$/u';

    /** 12k btu */
    private const KILO = '/^(\d{1,3})k( \pL.*)$/u';

    /** @var array<string, string|false> the one value whose words begin with these letters; false where several do */
    private array $initials = [];

    /** @var array<int|string, array<string, string>> what stands behind each number, with its whole text */
    private array $counted = [];

    /** @var array<string, array<string, string>> keys of values that are one long word, by its first letters and by itself */
    private array $alone = [];

    /** @var array<string, array<string, true>> long words of the list by their first letters */
    private array $beginning = [];

    /**
     * @param  array<int, list<string>>  $words  of each value
     * @param  array<int, list<string>>  $written  the same as it came, before any name was replaced
     * @param  array<int, string>  $keys  what each meets others by
     * @param  array<string, string>  $known  the same by text
     * @param  array<string, int>  $clipped  words that are written as their beginning
     */
    public function __construct(array $words, array $written, array $keys, private readonly array $known, private readonly array $clipped)
    {
        foreach ($words as $i => $some) {
            $this->addInitials($some, $known[implode(' ', $some)] ?? $keys[$i]);
            $this->addInitials($written[$i], $known[implode(' ', $written[$i])] ?? $keys[$i]);
            if (count($written[$i]) === 1 && preg_match(self::LONG, $written[$i][0]) === 1) {
                $this->alone[substr($written[$i][0], 0, 3)][$written[$i][0]] = $keys[$i];
            }
            foreach ($some as $word) {
                if (preg_match(self::LONG, $word) === 1) {
                    $this->beginning[substr($word, 0, 3)][$word] = true;
                }
            }
            $word = count($some) > 1 ? array_pop($some) : '';
            if (preg_match(self::NUMBER, $number = implode(' ', $some)) === 1) {
                $this->counted[$number][$word] = "{$number} {$word}";
            }
        }
    }

    /**
     * @param  string  $text  strict key
     * @param  list<string>  $words  of it
     * @param  string  $written  as it came
     * @return list<string> keys of what it could be short for
     */
    public function of(string $text, array $words, string $written): array
    {
        $keys = [
            ...$this->byInitials($text),
            ...$this->byCount(Notation::plain($text)),
            ...$this->byBeginning($words),
            ...$this->byPoint($written),
        ];

        return array_values(array_unique($keys));
    }

    /** The key of the number whose thousands are set apart by a point in this text, or shortened to a k. */
    public function thousands(string $text): ?string
    {
        $found = preg_match(self::THOUSANDS, $text, $part) === 1 ? [$part[1], $part[2], $part[3]] : null;
        $found ??= preg_match(self::KILO, $text, $part) === 1 ? [$part[1], '000', $part[2]] : null;
        if ($found === null || isset($this->known[$found[0].$found[2]])) {
            return null;
        }

        return $this->known[$found[0].$found[1].$found[2]] ?? $this->known[$found[0].','.$found[1].$found[2]] ?? null;
    }

    /** @return list<string> */
    private function byInitials(string $text): array
    {
        $isShort = preg_match(self::INITIALS, $text) === 1 && Notation::size($text) === null;
        $key = $isShort ? $this->initials[str_replace(['&', '+'], '', $text)] ?? false : false;

        return $key === false ? [] : [$key];
    }

    /** @return list<string> the key of the one word that a value is cut from, as its point tells: transp., transparent */
    private function byPoint(string $written): array
    {
        if (preg_match('/^\s*(\pL{3,})\.\s*$/u', $written, $part) !== 1) {
            return [];
        }
        $short = StrictKey::of($part[1]);
        $longer = array_filter(
            $this->alone[substr($short, 0, 3)] ?? [],
            fn (string $long): bool => str_starts_with($long, $short) && strlen($long) > strlen($short) + 2,
            ARRAY_FILTER_USE_KEY,
        );
        $keys = array_values(array_unique($longer));

        return count($keys) === 1 ? $keys : [];
    }

    /** @return list<string> the key of the one value that counts as many of a word with this beginning */
    private function byCount(string $text): array
    {
        // 5 m are meters; nobody writes 0-6 meters beside 0-6 months.
        if (preg_match(self::COUNTED, $text, $part) !== 1 || (ctype_digit($part[1]) && Unit::find($part[2]) !== null)) {
            return [];
        }
        $longer = array_filter(
            $this->counted[$part[1]] ?? [],
            fn (string $word): bool => str_starts_with($word, $part[2]) && strlen($word) > strlen($part[2]) + 1,
            ARRAY_FILTER_USE_KEY,
        );
        $keys = array_values(array_unique(array_map(fn (string $whole): string => $this->known[$whole], $longer)));

        return count($keys) === 1 ? $keys : [];
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private function byBeginning(array $words): array
    {
        $found = [];
        foreach ($words as $place => $word) {
            $short = rtrim($word, 's.');
            foreach (isset($this->clipped[$short]) ? array_keys($this->beginning[substr($short, 0, 3)] ?? []) : [] as $long) {
                $whole = implode(' ', array_replace($words, [$place => $long]));
                if (str_starts_with($long, $short) && strlen($long) > strlen($short) + 2 && isset($this->known[$whole])) {
                    $found[] = $this->known[$whole];
                }
            }
        }

        return $found;
    }

    /** @param  list<string>  $words */
    private function addInitials(array $words, string $key): void
    {
        foreach ([$words, array_diff($words, ['of', 'the', 'and', 'for', 'in', 'with'])] as $some) {
            if (count($some) > 1 && count($some) <= Notation::MOST_WORDS) {
                $letters = implode('', array_map(fn (string $word): string => mb_substr($word, 0, 1), $some));
                $this->initials[$letters] = ($this->initials[$letters] ?? $key) === $key ? $key : false;
            }
        }
    }
}
