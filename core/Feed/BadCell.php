<?php

declare(strict_types=1);

namespace Lokum\Feed;

use RuntimeException;

/** A cell that cannot be taken; the message is the reason, the reader knows line and column. */
final class BadCell extends RuntimeException
{
    public static function of(string $cell, string $why): self
    {
        return new self('"'.mb_strimwidth(mb_scrub($cell), 0, 60, '…').'" '.$why);
    }

    public static function tooLong(int $length, int $most): self
    {
        return new self(number_format($length).' characters; at most '.number_format($most).' are taken here');
    }
}
