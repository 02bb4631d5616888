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

    /** Whether a cell counts as missing: nothing but spaces of any kind. */
    public static function isBlank(string $cell): bool
    {
        // Nearly every cell begins with a visible ASCII character: then there is nothing to find out.
        return $cell === '' || ((($first = ord($cell[0])) <= 32 || $first >= 127 || $first === 38) && (trim($cell) === '' || self::of($cell) === ''));
    }
}
