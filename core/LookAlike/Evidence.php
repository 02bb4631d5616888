<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

/** Why two values are believed to be the same (C2), from certain to weak. */
enum Evidence: string
{
    case Taught = 'taught';
    case Letters = 'letters';
    case Words = 'words';
    case Measure = 'measure';
    case Variant = 'variant';
    case Spelling = 'spelling';

    /** @return float from 0 to 1 */
    public function confidence(): float
    {
        return match ($this) {
            self::Taught, self::Letters => 1.0,
            self::Words => 0.97,
            self::Measure => 0.96,
            self::Variant => 0.94,
            self::Spelling => 0.8,
        };
    }

    /** In words, for the two texts it is about. */
    public function inWords(string $one, string $other): string
    {
        return match ($this) {
            self::Taught => 'merged in this shop before',
            self::Letters => 'same letters',
            self::Words => 'same words in another order or form',
            self::Measure => "{$one} = {$other}",
            self::Variant => 'known spelling or abbreviation',
            self::Spelling => "nearly the same letters: {$one}, {$other}",
        };
    }
}
