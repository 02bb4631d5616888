<?php

declare(strict_types=1);

namespace Lokum\Feed;

/**
 * Writes records as CSV by RFC 4180: quotes only where needed, quotes inside doubled, lines end with CR LF. A cell that a spreadsheet
 * would take for a formula begins with an apostrophe, which {@see CsvWriter::meant()} takes off again (OWASP, "CSV Injection").
 */
final class CsvWriter
{
    private const FORMULA = '/^[=+\-@\t\r]/';

    /** @param  list<string>  $cells */
    public static function line(array $cells, string $delimiter = ','): string
    {
        $quote = fn (string $cell): string => strpbrk($cell, "\"\r\n".$delimiter) === false
            ? $cell
            : '"'.str_replace('"', '""', $cell).'"';
        $line = implode($delimiter, array_map(fn (string $cell): string => $quote(self::safe($cell)), $cells));

        return ($line === '' ? '""' : $line)."\r\n";
    }

    /** A cell as it was before it was made safe. */
    public static function meant(string $cell): string
    {
        return preg_match('/^\'[=+\-@\t\r\']/', $cell) === 1 ? substr($cell, 1) : $cell;
    }

    private static function safe(string $cell): string
    {
        $isFormula = preg_match(self::FORMULA, $cell) === 1 && ! is_numeric($cell);
        $looksSafe = preg_match('/^\'[=+\-@\t\r\']/', $cell) === 1;

        return $isFormula || $looksSafe ? "'{$cell}" : $cell;
    }
}
