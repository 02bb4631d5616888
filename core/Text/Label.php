<?php

declare(strict_types=1);

namespace Lokum\Text;

/** What a person reads: a spelling with its entities decoded, its spaces set right and its ends trimmed. */
final class Label
{
    /**
     * @param  string  $spelling  valid UTF-8
     * @return string empty for a text of spaces and invisible characters only
     */
    public static function of(string $spelling): string
    {
        if (str_contains($spelling, '&')) {
            $spelling = html_entity_decode($spelling, ENT_QUOTES | ENT_HTML5, 'UTF-8');
        }
        $spelling = (string) preg_replace('/[\x{200B}\x{FEFF}\x{00AD}]/u', '', $spelling);

        return trim((string) preg_replace('/[\s\p{Z}\x{0085}]+/u', ' ', $spelling));
    }

    /**
     * How well a text is formed as a label, among texts of the same letters: without stray spaces, not all in capitals, with a
     * capital first.
     *
     * @return int from 0 to 7; more is better
     */
    public static function form(string $text): int
    {
        $clean = $text === trim($text) && preg_match('/\s{2,}|[\x{00A0}_]/u', $text) === 0;
        $shouted = mb_strlen($text) > 3 && mb_strtoupper($text) === $text && mb_strtolower($text) !== $text;

        return ($clean ? 4 : 0) + ($shouted ? 0 : 2) + (preg_match('/^\p{Lu}|^\P{L}/u', $text) === 1 ? 1 : 0);
    }

    /** Whether a cell counts as missing: nothing but spaces of any kind. */
    public static function isBlank(string $cell): bool
    {
        // Nearly every cell begins with a visible ASCII character: then there is nothing to find out.
        return $cell === '' ||
            ((($first = ord($cell[0])) <= 32 || $first >= 127 || $first === 38) &&
                (trim($cell) === '' || self::of($cell) === ''));
    }
}
