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
        return new self("This is {$kind}, which cannot be read. Export it as CSV, XLSX, ODS, JSON or XML and read that.");
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

    public static function packed(string $why): self
    {
        return new self("This packed file cannot be opened. {$why}");
    }

    public static function damaged(string $why): self
    {
        return new self("The file is damaged, or not all of it has come: {$why}.");
    }

    public static function noRecords(): self
    {
        return new self('Nothing in the file comes again and again as products do: there is no list of them.');
    }

    /**
     * @param  list<string>  $fitting  files that could be meant
     * @param  list<string>  $all
     */
    public static function inArchive(array $fitting, array $all): self
    {
        return new self(
            $fitting === []
                ? 'The archive holds no file that can be read, only: '.implode(', ', array_slice($all, 0, 10)).'.'
                : 'The archive holds several files: '.implode(', ', array_slice($fitting, 0, 10)).'. Say which, by a pattern.',
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
