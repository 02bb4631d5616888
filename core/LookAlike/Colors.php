<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Two-tone values: the first color may be that of the body, so that black/white is white/black only perhaps. */
final class Colors
{
    private const NAMES = 'black|white|gr[ae]y|red|green|blue|yellow|orange|purple|pink|brown|violet|beige|gold|silver|navy|turquoise|'.
        'cream|ivory|tan';

    /** Whether both name two colors with a sign or "and" between them, in another order. */
    public static function areSwapped(Meaning $one, Meaning $other): bool
    {
        return $one->inOrder() !== $other->inOrder() && self::areParted($one->letters) && self::areParted($other->letters);
    }

    private static function areParted(string $letters): bool
    {
        return preg_match('/\b(?:'.self::NAMES.')(?: ?[\/&+-] ?| and )(?:'.self::NAMES.')\b/u', $letters) === 1;
    }
}
