<?php

declare(strict_types=1);

namespace Lokum\Feed;

use RuntimeException;

/** A file that no row can be read from; the message tells the person what it is and what to do. */
final class UnreadableFile extends RuntimeException
{
    public static function empty(): self
    {
        return new self('The file is empty. Send it again, or ask the supplier for a new export.');
    }

    public static function otherKind(string $kind): self
    {
        return new self("This is {$kind}, not a CSV file. Export it as CSV and read that.");
    }

    public static function tooManyColumns(int $columns): self
    {
        return new self(
            "The file has {$columns} columns; up to ".
                CsvFile::MOST_COLUMNS.
                ' can be read. Leave out those that are not needed.',
        );
    }

    public static function longHeading(int $column): self
    {
        return new self(
            "The heading of column {$column} is longer than ".
                CsvFile::LONGEST_HEADING.
                ' characters. Is the first row really one of headings?',
        );
    }

    public static function noHeadings(): self
    {
        return new self('The file has no row of headings.');
    }

    /** @param  list<string>  $headings */
    public static function noSku(array $headings): self
    {
        return new self(
            'No column holds the sku. The headings are: '.
                implode(', ', array_slice($headings, 0, 20)).
                '. Name one of them "sku", or map one to it.',
        );
    }

    public static function twoColumnsFor(string $field): self
    {
        return new self("Two columns lead to \"{$field}\"; map only one of them to it.");
    }

    public static function cannotOpen(string $path): self
    {
        return new self("The file \"{$path}\" cannot be opened.");
    }
}
