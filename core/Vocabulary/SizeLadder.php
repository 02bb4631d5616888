<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Text\StrictKey;

/**
 * Sizes in the order of the trade: XXS … 7XL, brush sizes 000, 00, 0, 1 …, ISO sheets A10 … 4A0, plain numbers.
 * Letter sizes and brush noughts are common practice, no source; sheets follow ISO 216 (A0 is the largest of the
 * numbered ones, 2A0 and 4A0 are larger).
 */
final class SizeLadder
{
    private const WORDS = [
        'mini' => -2.5,
        'extra small' => -2,
        'small' => -1,
        'medium' => 0,
        'large' => 1,
        'extra large' => 2,
    ];

    /** Whether an attribute's name says that its values are sizes. */
    public static function isAbout(string $attribute): bool
    {
        return preg_match('/\b(?:sizes?|format|sheet)\b/', StrictKey::of($attribute)) === 1;
    }

    /**
     * Where a label stands on its ladder.
     *
     * @return array{0: int, 1: float}|null which ladder (0 letters, 1 numbers, 2 sheets) and the rung; null: on none
     */
    public static function rung(string $label): ?array
    {
        $key = (string) preg_replace('/^(?:size|no|nr|#)\s*(?=[0-9])/', '', StrictKey::of($label));
        if (isset(self::WORDS[$key])) {
            return [0, (float) self::WORDS[$key]];
        }
        if (preg_match('/^(x*|[0-9]{1,2}x)([sml])$/D', $key, $part) === 1) {
            $times = str_ends_with($part[1], 'x') && ctype_digit($part[1][0]) ? (int) $part[1] : strlen($part[1]);
            if ($part[2] === 'm') {
                return $times === 0 ? [0, 0.0] : null;
            }

            return [0, (float) (($part[2] === 's' ? -1 : 1) * ($times + 1))];
        }
        if (preg_match('/^0+$/D', $key) === 1) {
            return [1, 1.0 - strlen($key)];
        }
        if (preg_match('/^[0-9]+(?:[.,][0-9]+)?/', $key, $number) === 1 && preg_match('/^[0-9]+a0$/D', $key) !== 1) {
            return [1, (float) str_replace(',', '.', $number[0])];
        }
        if ($key === '2a0' || $key === '4a0') {
            return [2, $key === '2a0' ? 1.0 : 2.0];
        }
        if (preg_match('/^([abc])([0-9]{1,2})$/D', $key, $sheet) === 1) {
            return [2, ['a' => 0.0, 'c' => 0.25, 'b' => 0.5][$sheet[1]] - (float) $sheet[2]];
        }

        return null;
    }
}
