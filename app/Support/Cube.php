<?php

declare(strict_types=1);

namespace App\Support;

use Lokum\Color\Contrast;
use Lokum\Vocabulary\Look;

/** The small picture of a value: its picture, its colors, or its first letters. Drawn once for each look on a page. */
final class Cube
{
    private const SIZE = 16;

    /** The raised ground of both color schemes, as in tokens.css. */
    private const PAGES = ['#fffdf9', '#272029'];

    /** Contrast from which on a patch stands out by itself. */
    private const SEEN = 1.5;

    /** Pictures that are kept at hand. */
    private const KEPT = 2000;

    /** @var array<string, string> */
    private static array $drawn = [];

    /** SVG, safe to be put into a page as it is. */
    public static function picture(string $label, ?Look $look): string
    {
        if ($look?->picture !== null) {
            return '<svg viewBox="0 0 16 16" aria-hidden="true"><image href="/pictures/'.
                $look->picture.
                '" width="16" height="16" preserveAspectRatio="xMidYMid slice"/></svg>';
        }
        $colors = $look->colors ?? [];
        $letters = $colors === [] ? mb_strtoupper(mb_substr($label, 0, 2)) : '';

        if (count(self::$drawn) >= self::KEPT) {
            self::$drawn = [];
        }

        return self::$drawn[implode($colors).$letters] ??=
            '<svg viewBox="0 0 16 16" aria-hidden="true">'.
            ($colors === [] ? self::letters($letters) : self::colors($colors)).
            '</svg>';
    }

    private static function letters(string $letters): string
    {
        return '<rect width="16" height="16" rx="4" fill="none" stroke="currentColor" stroke-opacity=".35"/><text x="8" y="11" '.
            'text-anchor="middle" class="letters">'.
            e($letters).
            '</text>';
    }

    /** @param  list<string>  $colors */
    private static function colors(array $colors): string
    {
        $width = self::SIZE / count($colors);
        $stripes = '';
        foreach ($colors as $i => $color) {
            $stripes .= sprintf(
                '<rect x="%s" width="%s" height="16" fill="%s"/>',
                round($width * $i, 3),
                round($width + ($i + 1 < count($colors) ? 0.2 : 0), 3),
                e($color),
            );
        }

        return $stripes.
            '<rect x=".5" y=".5" width="15" height="15" rx="3.5" fill="none" stroke="currentColor" stroke-opacity="'.
            (self::isFaint($colors) ? '.6' : '.25').
            '"/>';
    }

    /**
     * Whether a color would hardly be seen on the page, by day or by night: then its edge has to tell it.
     *
     * @param  list<string>  $colors
     */
    private static function isFaint(array $colors): bool
    {
        foreach ($colors as $color) {
            foreach (self::PAGES as $page) {
                if (Contrast::of($color, $page) < self::SEEN) {
                    return true;
                }
            }
        }

        return false;
    }
}
