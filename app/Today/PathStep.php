<?php

declare(strict_types=1);

namespace App\Today;

/** The steps from suppliers' files to a shop that is open, in their order. */
enum PathStep: string
{
    case Files = 'files';
    case Read = 'read';
    case Accept = 'accept';
    case Merge = 'merge';
    case Expect = 'expect';
    case LineUps = 'line-ups';
    case Publish = 'publish';

    /** Whether a shop can open without it. */
    public function isOptional(): bool
    {
        return $this === self::Merge || $this === self::Expect;
    }

    public function label(): string
    {
        return match ($this) {
            self::Files => 'Choose your suppliers\' files',
            self::Read => 'Check and read them',
            self::Accept => 'Accept what was found',
            self::Merge => 'Merge what is the same',
            self::Expect => 'Say what products should carry',
            self::LineUps => 'Compose the filters',
            self::Publish => 'Publish',
        };
    }
}
