<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Lokum\Text\Label;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\KnownValue;

/** Which of several values that are the same stays when nobody says otherwise (C2). */
final class Stays
{
    /**
     * Ranks values, the one that stays lowest: the most products, then the best-formed label, then the oldest.
     *
     * @param  int  $products  that carry the value, 0 or more
     * @param  int  $age  rises with every value that is made, or with its place in the list
     * @return array{0: int, 1: int, 2: int} to be compared with that of another value
     */
    public static function rank(int $products, string $label, int $age): array
    {
        return [-$products, -self::formed($label), $age];
    }

    /** Of several values, the one that stays. */
    public static function among(KnownValue $first, KnownValue ...$others): KnownValue
    {
        $rank = fn (KnownValue $value): array => self::rank($value->products, $value->label, $value->id);

        return array_reduce(
            $others,
            fn (KnownValue $stays, KnownValue $other): KnownValue => $rank($other) < $rank($stays) ? $other : $stays,
            $first,
        );
    }

    /**
     * What several values that are the same are called best: in the shop's language, as the one that stays, unless another is formed
     * better ("grn", "Green").
     *
     * @param  string  $stays  label of the one that stays
     * @param  list<string>  $others
     * @param  string  $language  of the shop, as a BCP 47 tag
     */
    public static function called(string $stays, array $others, string $language = 'en'): string
    {
        $rank = fn (string $label): array => [self::isIn($language, $label), self::formed($label)];

        return array_reduce($others, fn (string $best, string $label): string => $rank($label) > $rank($best) ? $label : $best, $stays);
    }

    /** Whether a label is a name in a language: 2; 1 where that cannot be told, or it is one in both; 0 where it is one in another. */
    private static function isIn(string $language, string $label): int
    {
        $letters = StrictKey::of($label);
        $names = Names::shipped();
        $isForeign = isset($names->otherwise($letters)[Evidence::Language->value]);
        if (str_starts_with($language, 'en')) {
            // Pan is bread in Spanish, and a pan.
            return match (true) {
                ! $isForeign => 2,
                default => $names->isEnglishToo($letters) ? 1 : 0,
            };
        }

        return match (true) {
            in_array(substr($language, 0, 2), $names->languages($letters), true) => 2,
            default => $isForeign && $names->language($letters) !== null ? 0 : 1,
        };
    }

    /** How well a text is formed as a label; one that writes its words out says more than one that shortens them. */
    private static function formed(string $label): int
    {
        $words = preg_split('/[^\pL.]+/u', mb_strtolower($label), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $lexicon = Lexicon::shipped();
        $short = array_filter(
            $words,
            fn (string $word): bool => str_ends_with($word, '.') || $lexicon->expanded($word) !== $word,
        );

        return Label::form($label) + ($short === [] ? 2 : 0);
    }
}
