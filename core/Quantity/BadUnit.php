<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use InvalidArgumentException;

/** A unit of one's own that cannot be had, with its reason. */
final class BadUnit extends InvalidArgumentException
{
    public static function onLine(int $line, string $why): self
    {
        return new self("Line {$line}: {$why}.");
    }

    public static function called(string $name, string $why): self
    {
        return new self("{$name}: {$why}.");
    }
}
