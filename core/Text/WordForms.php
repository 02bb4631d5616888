<?php

declare(strict_types=1);

namespace Lokum\Text;

/** Names that differ only in letters, spaces, UK or US spelling, or plural have one key: "Colours", "colour" and "Color". */
final class WordForms
{
    /** @return string empty for a name without letters or digits */
    public static function key(string $name): string
    {
        $words = preg_split('/[^\p{L}\p{N}%]+/u', StrictKey::of($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return implode('', array_map(fn (string $word): string => self::singular(self::american($word)), $words));
    }

    /** A word in its US spelling, where it has two. */
    public static function american(string $word): string
    {
        /** @var array<string, string>|null $known */
        static $known = null;
        $known ??= require __DIR__.'/spelling-variants.php';
        foreach (['' => '', 's' => 's', 'ed' => 'ed', 'ing' => 'ing'] as $ending => $instead) {
            $stem = $ending !== '' && str_ends_with($word, $ending) ? substr($word, 0, -strlen($ending)) : ($ending === '' ? $word : '');
            if (isset($known[$stem])) {
                return $known[$stem].$instead;
            }
        }

        // organise, varnished and surprise: only words that are long enough to carry the ending.
        return preg_match('/^(.{4,})is(e|ed|es|er|ing|ation)$/', $word, $part) === 1 && ! in_array($word, ['precise', 'concise', 'exercise', 'merchandise', 'surprise', 'promise', 'premise', 'franchise', 'varnished', 'disguise', 'turquoise', 'tortoise', 'porpoise'], true)
            ? $part[1].'iz'.$part[2] : $word;
    }

    /** An English noun in the singular; what is none stays. */
    public static function singular(string $word): string
    {
        return match (true) {
            strlen($word) < 4 || preg_match('/(ss|us|is|ous)$/', $word) === 1 => $word,
            preg_match('/^(.+)ies$/', $word, $part) === 1 && strlen($part[1]) > 1 => $part[1].'y',
            preg_match('/^(.+(?:s|x|z|ch|sh))es$/', $word, $part) === 1 => $part[1],
            str_ends_with($word, 's') => substr($word, 0, -1),
            default => $word,
        };
    }
}
