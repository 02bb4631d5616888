<?php

declare(strict_types=1);

namespace Lokum\Color;

use Lokum\LookAlike\Lexicon;
use Lokum\Text\StrictKey;

/** The colors that a name speaks of: artists' names first, then the named colors of CSS Color 4. */
final class ColorNames
{
    /** Words beside a name that say nothing of the color itself. */
    private const BESIDE = ['hue', 'medium', 'permanent', 'transparent', 'opaque', 'genuine', 'color', 'colour', 'tone', 'shade'];

    /**
     * One to three colors as "#rrggbb", in the order named ("black and white", "red/blue"); none when the name is no color.
     *
     * @return list<string>
     */
    public static function in(string $label): array
    {
        $key = StrictKey::of($label);
        $whole = self::named($key);
        if ($whole !== null) {
            return [$whole];
        }
        $parts = preg_split('/\s*(?:\/|&|\+|\band\b|\bund\b)\s*/u', $key, -1, PREG_SPLIT_NO_EMPTY);
        if ($parts === false || count($parts) > 3) {
            return [];
        }
        $colors = array_map(fn (string $part): ?string => self::named($part) ?? self::family($part), $parts);

        return in_array(null, $colors, true) ? [] : array_values(array_filter($colors, is_string(...)));
    }

    /** The color that a name is, whatever the order of its words; with words that shade it, as far as they do (see Shade). */
    private static function named(string $key): ?string
    {
        $words = self::words($key);
        $whole = self::inAnyOrder($words);
        if ($whole !== null) {
            return $whole;
        }
        $plain = self::inAnyOrder(array_filter($words, fn (string $word): bool => ! self::isBeside($word)));

        return $plain === null ? null : Shade::of($plain, $words);
    }

    /** The color that its last word names: "Ninefold crimson" is a crimson. */
    private static function family(string $key): ?string
    {
        $words = self::words($key);
        $plain = array_values(array_filter($words, fn (string $word): bool => ! self::isBeside($word)));
        $color = self::names()[$plain[count($plain) - 1] ?? ''] ?? null;

        return $color === null ? null : Shade::of($color, $words);
    }

    /** @param  array<string>  $words */
    private static function inAnyOrder(array $words): ?string
    {
        sort($words);

        return self::names()[implode(' ', $words)] ?? null;
    }

    private static function isBeside(string $word): bool
    {
        return Shade::knows($word) || in_array($word, self::BESIDE, true);
    }

    /** @return list<string> abbreviations written out: "grn." is green */
    private static function words(string $key): array
    {
        return array_map(Lexicon::shipped()->expanded(...), explode(' ', str_replace('-', ' ', $key)));
    }

    /** @return array<string, string> */
    private static function names(): array
    {
        /** @var array<string, string>|null $names */
        static $names = null;

        return $names ??= self::load();
    }

    /** @return array<string, string> colors by their words in alphabetical order, so that "sienna, burnt" is found too */
    private static function load(): array
    {
        $names = [];
        /** @var list<array<string, string>> $lists */
        $lists = [
            require __DIR__.'/pigment-names.php',
            require __DIR__.'/css-names.php',
            require __DIR__.'/catalog-names.php',
        ];
        foreach ($lists as $list) {
            foreach ($list as $name => $color) {
                $words = explode(' ', $name);
                sort($words);
                $names[implode(' ', $words)] ??= $color;
            }
        }

        return $names;
    }
}
