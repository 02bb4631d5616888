<?php

declare(strict_types=1);

namespace Lokum\Feed;

use RuntimeException;

/** A bound that is none. */
final class BadBound extends RuntimeException
{
    private function __construct(public readonly string $figure, string $message)
    {
        parent::__construct($message);
    }

    public static function unknown(string $figure, string ...$known): self
    {
        return new self($figure, "No figure of a delivery is called \"{$figure}\". There are ".implode(', ', $known).'.');
    }

    public static function noNumber(string $figure, mixed $value): self
    {
        $said = is_scalar($value) ? mb_strimwidth((string) $value, 0, 40, '…') : 'a list';

        return new self($figure, "The bound of {$figure} is a whole number from 0, or empty for any; \"{$said}\" is not.");
    }
}
