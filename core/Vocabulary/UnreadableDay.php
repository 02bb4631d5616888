<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use RuntimeException;

/** A text that is no date, or that could be two; the message says why, for the person who has to mend it. */
final class UnreadableDay extends RuntimeException
{
    private function __construct(string $message, public readonly bool $couldBeTwo)
    {
        parent::__construct($message);
    }

    public static function none(string $text): self
    {
        return new self('"'.mb_strimwidth($text, 0, 60, '…').'" is not a date such as 2026-11-30 or 30 November 2026', false);
    }

    public static function couldBeTwo(string $text, int $one, int $other): self
    {
        return new self(
            "\"{$text}\" could be ".gmdate('j F', $one * 86400).' or '.gmdate('j F', $other * 86400).
                '; say once whether the day or the month comes first',
            true,
        );
    }
}
