<?php

declare(strict_types=1);

namespace Lokum\Text;

use Normalizer;

/**
 * The strict key of a text (C1): two texts with the same key are the same letters.
 *
 * What carries no meaning goes: case, diacritics, kinds of space, kinds of dash and quote, sentence punctuation,
 * trade mark signs, invisible characters. What carries meaning stays: digits, signs, %, /, +, &, #, units, and
 * a point or comma that belongs to a number.
 *
 * Folding and compatibility forms follow the Unicode Standard (NFKC, UAX #15; full case folding, CaseFolding.txt).
 */
final class StrictKey
{
    /** Between 1 and ½ */
    private const BEFORE_FRACTION = '/(?<=\d)(?=[\x{00BC}-\x{00BE}\x{2150}-\x{215E}\x{2189}])/u';

    /** Between m2 and ²: 10² */
    private const BEFORE_RAISED = '/(?<=\d)(?=[\x{00B2}\x{00B3}\x{00B9}\x{2070}-\x{2079}])/u';

    /** ‘, ’, ′, ` */
    private const APOSTROPHES = '/[\x{2018}-\x{201B}\x{2032}\x{02BC}\x{00B4}`]/u';

    /** Hyphens that part nothing: "matt -", "- matt" */
    private const LOOSE_HYPHENS = '/(?<=[\pL\pN])-+(?=\s|$)|(?<=^|\s)-+(?=[^0-9.,]|$)/u';

    private const DASHES = '/\p{Pd}|\x{2212}|\x{2043}/u';

    /** What nobody sees or says: soft hyphens, joiners and marks of direction, variants of shape, and the signs ™ ℠ ® ©. */
    private const INVISIBLE = '/[\x{00AD}\x{061C}\x{180E}'.
        '\x{200B}-\x{200F}\x{202A}-\x{202E}\x{2060}-\x{2064}\x{2066}-\x{206F}'.
        '\x{FE00}-\x{FE0F}\x{FEFF}'.
        '\x{2122}\x{2120}\x{00AE}\x{00A9}]/u';

    /** Letters that carry their stroke inside, so that decomposition leaves it on. */
    private const STROKES = [
        'ł' => 'l',
        'đ' => 'd',
        'ħ' => 'h',
        'ŧ' => 't',
        'ı' => 'i',
    ];

    /**
     * @param  string  $text  valid UTF-8, of any length
     * @return string the key; empty only for a text without any visible character
     */
    public static function of(string $text): string
    {
        // Most texts are plain words: of these only the case can differ.
        if (preg_match('/^[A-Za-z0-9]+(?:[ -][A-Za-z0-9]+)*$/D', $text) === 1) {
            return strtolower($text);
        }
        $text = self::fold(self::plain($text));
        $key = self::withoutPunctuation($text);

        return $key === '' ? trim(self::spaces($text)) : $key;
    }

    private static function plain(string $text): string
    {
        if (str_contains($text, '&')) {
            $text = html_entity_decode($text, ENT_QUOTES | ENT_HTML5, 'UTF-8');
        }
        $text = (string) preg_replace(self::INVISIBLE, '', $text);
        // NFKC would glue a fraction or a power to the digits before it: 1½ is not 11/2, 10² is not 102.
        $text = (string) preg_replace(self::BEFORE_FRACTION, ' ', $text);
        $text = (string) preg_replace(self::BEFORE_RAISED, '^', $text);
        $text = Unicode::normal($text, Normalizer::FORM_KC);

        return str_replace("\u{2044}", '/', $text);
    }

    private static function fold(string $text): string
    {
        $text = mb_convert_case($text, MB_CASE_FOLD, 'UTF-8');
        $text = Unicode::normal($text, Normalizer::FORM_D);
        $text = (string) preg_replace('/[\x{0300}-\x{036F}]/u', '', $text);
        $text = Unicode::normal($text, Normalizer::FORM_KC);

        return strtr($text, self::STROKES);
    }

    private static function withoutPunctuation(string $text): string
    {
        $text = (string) preg_replace(self::DASHES, '-', $text);
        $text = (string) preg_replace(self::APOSTROPHES, "'", $text);
        $text = (string) preg_replace('/[\x{201C}-\x{201F}\x{2033}«»]|\'\'/u', '"', $text);
        $text = self::spaces($text);
        // Behind a digit a quote is feet or inches; elsewhere it only decorates.
        $text = (string) preg_replace('/(?<![0-9])"|(?<=\pL)\'(?=\pL)/u', '', $text);
        $text = (string) preg_replace('/(?<![0-9])\'/u', ' ', $text);
        $text = (string) preg_replace('/(?<=\pL)[.,](?=[0-9])|[.,](?![0-9])/u', ' ', $text);
        $text = (string) preg_replace('/(?<=[0-9]),(?=\s)/u', ' ', $text);
        $text = (string) preg_replace('/[^\P{P}\-%\/.,&#@*\\\\\'"]/u', ' ', $text);
        $text = (string) preg_replace('/\s*([\/&+])\s*/u', '$1', $text);
        $text = (string) preg_replace('/(?<=[0-9])\s+(?=%)/u', '', $text);
        $text = (string) preg_replace('/(?<=\S)\s+-\s+(?=\S)/u', '-', $text);
        $text = (string) preg_replace(self::LOOSE_HYPHENS, ' ', $text);

        return trim(self::spaces($text));
    }

    private static function spaces(string $text): string
    {
        return (string) preg_replace('/[\s\p{Z}\x{0085}]+/u', ' ', $text);
    }
}
