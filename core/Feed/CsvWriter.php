<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** Writes records as CSV by RFC 4180: quotes only where needed, quotes inside doubled, lines end with CR LF. */
final class CsvWriter
{
    /** @param  list<string>  $cells */
    public static function line(array $cells, string $delimiter = ','): string
    {
        $quote = fn (string $cell): string => strpbrk($cell, "\"\r\n".$delimiter) === false ? $cell : '"'.str_replace('"', '""', $cell).'"';
        $line = implode($delimiter, array_map($quote, $cells));

        return ($line === '' ? '""' : $line)."\r\n";
    }
}
