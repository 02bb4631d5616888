<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Who gave a product its value: a feed, a person, or a fill rule. Stored as a number, where that of a rule is its id; SQL uses the
 * constants.
 */
enum Origin
{
    case Feed;
    case Hand;
    case Rule;

    public const FEED = 0;

    public const HAND = -1;

    /** In SQL, behind the column: what a fill rule gave. */
    public const BY_RULE = '> '.self::FEED;

    public static function of(int $stored): self
    {
        return match (true) {
            $stored > self::FEED => self::Rule,
            $stored === self::HAND => self::Hand,
            default => self::Feed,
        };
    }
}
