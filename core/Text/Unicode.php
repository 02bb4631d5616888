<?php

declare(strict_types=1);

namespace Lokum\Text;

use IntlChar;
use Normalizer;

/** The normalization forms of UAX #15, for text of any kind: what is not valid UTF-8 comes back as it was. */
final class Unicode
{
    /** Decimal digits of every script as 0 to 9: ١٢ is 12. */
    public static function digits(string $text): string
    {
        return preg_match('/[^\x00-\x7F]/', $text) !== 1
            ? $text
            : (string) preg_replace_callback(
                '/(?![0-9])\p{Nd}/u',
                fn (array $digit): string => (string) IntlChar::charDigitValue(IntlChar::ord($digit[0])),
                $text,
            );
    }

    /** @param  int  $form  one of the Normalizer::FORM_ constants */
    public static function normal(string $text, int $form): string
    {
        $normal = Normalizer::normalize($text, $form);

        return is_string($normal) ? $normal : $text;
    }
}
