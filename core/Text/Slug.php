<?php

declare(strict_types=1);

namespace Lokum\Text;

use Normalizer;

/** The part of an address that names a thing: lower case, every run of other characters than letters and digits one "-". */
final class Slug
{
    /** @return string never empty: a label without letters and digits gives "x" */
    public static function of(string $label): string
    {
        $lower = mb_strtolower(Unicode::normal($label, Normalizer::FORM_C), 'UTF-8');
        $slug = trim((string) preg_replace('/[^\pL\pM\p{Nd}]+/u', '-', $lower), '-');

        return $slug === '' ? 'x' : $slug;
    }

    /**
     * The label's slug, or the first of slug-2, slug-3 … that is free.
     *
     * @param  callable(string): bool  $taken
     */
    public static function unique(string $label, callable $taken): string
    {
        $slug = self::of($label);
        $try = $slug;
        for ($n = 2; $taken($try); $n++) {
            $try = $slug.'-'.$n;
        }

        return $try;
    }
}
