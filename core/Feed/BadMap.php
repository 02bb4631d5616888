<?php

declare(strict_types=1);

namespace Lokum\Feed;

use RuntimeException;

/** A column map that cannot be used; the message names the column. */
final class BadMap extends RuntimeException
{
    public static function notJson(string $why): self
    {
        return new self("The map is not a JSON object: {$why}.");
    }

    public static function unknownKey(string $where, string $key): self
    {
        return new self("The map of {$where} has an entry \"{$key}\" that is not known.");
    }

    public static function badValue(string $where, string $key, string $expected): self
    {
        return new self("The map of {$where}: \"{$key}\" must be {$expected}.");
    }
}
