<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** What was asked for cannot be done; the message says why and names the thing. Pages and commands show it as it is. */
final class Refused extends RuntimeException
{
    /**
     * @param  string|null  $field  the field of a form that it is about
     * @param  bool  $isForNow  whether the same can be done in a moment
     */
    public function __construct(string $message, public readonly ?string $field = null, public readonly bool $isForNow = false)
    {
        parent::__construct($message);
    }

    public static function unknown(string $what, string $name): self
    {
        return new self("There is no {$what} \"{$name}\".");
    }

    public static function changedMeanwhile(string $what): self
    {
        return new self(
            "Someone else saved {$what} while you were at it. What you typed is still here; look at what changed below and save ".
            'again if it still holds.',
        );
    }

    /** What was shown is not what it would be done to now. */
    public static function countedOtherwise(string $what, int $now, int $counted): self
    {
        return new self(
            'It would be done to '.number_format($now)." {$what} now, not to ".number_format($counted).'. Look at the figures again.',
        );
    }
}
