<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use RuntimeException;

/** A list of concepts that cannot be read, with its reason. */
final class UnreadableSkos extends RuntimeException
{
    public static function noConcepts(): self
    {
        return new self('It has no concept with a skos:prefLabel.');
    }

    public static function notJson(string $why): self
    {
        return new self("It is no JSON: {$why}.");
    }

    public static function onLine(int $line, string $why): self
    {
        return new self("Line {$line}: {$why}.");
    }
}
