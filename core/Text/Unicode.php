<?php

declare(strict_types=1);

namespace Lokum\Text;

use Normalizer;

/** The normalization forms of UAX #15, for text of any kind: what is not valid UTF-8 comes back as it was. */
final class Unicode
{
    /** @param  int  $form  one of the Normalizer::FORM_ constants */
    public static function normal(string $text, int $form): string
    {
        $normal = Normalizer::normalize($text, $form);

        return is_string($normal) ? $normal : $text;
    }
}
