<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Generator;

/**
 * Reads the records of a CSV file (RFC 4180) one by one, in constant memory. A quote that is never closed costs its own
 * record only: reading goes on with the line behind it.
 */
final class CsvReader
{
    /** Of a record, in bytes. */
    private const LONGEST = 1 << 20;

    /** How far a quote that opens is followed at least, in lines. */
    private const LINES = 4;

    /** How many bytes may be read in vain behind quotes that are never closed, beyond as many as the file has had so far. */
    private const SPARE = 1 << 23;

    /**
     * @param  resource  $file  UTF-8, open for reading and seeking, at its start
     * @param  non-empty-string  $delimiter  one character
     * @return Generator<int, Row> empty lines are passed over
     */
    public static function rows($file, string $delimiter): Generator
    {
        $line = 0;
        $inVain = 0;
        while (($text = self::piece($file)) !== null) {
            $line++;
            $start = $line;
            if (! str_contains($text, '"') && (str_ends_with($text, "\n") || feof($file))) {
                $text = rtrim($text, "\r\n");
                if ($text !== '') {
                    yield self::checked(new Row($start, explode($delimiter, $text)));
                }

                continue;
            }
            $record = new OpenRecord($delimiter, self::LONGEST);
            $ended = $record->take($text);
            while (! str_ends_with($text, "\n") && ($text = self::piece($file)) !== null) {
                $ended = $record->take($text);
            }
            $behind = (int) ftell($file);
            while (! $ended && ($line - $start < self::LINES || (int) ftell($file) + $inVain < 2 * $behind + self::SPARE)) {
                $text = self::piece($file);
                if ($text === null) {
                    $ended = $record->mayEnd();
                    break;
                }
                $line += str_ends_with($text, "\n") || feof($file) ? 1 : 0;
                $ended = $record->take($text);
            }
            // Closed by a quote that begins another cell lines below, it was never meant to be closed there.
            if (! $ended || ($record->hasProblem() && $line > $start)) {
                $inVain += (int) ftell($file) - $behind;
                fseek($file, $behind);
                $line = $start;
                yield new Row($start, [], 'a quote opens here and is never closed');
            } else {
                yield self::checked($record->row($start));
            }
        }
    }

    /**
     * A line, or as much of it as a record may hold.
     *
     * @param  resource  $file
     */
    private static function piece($file): ?string
    {
        $text = fgets($file, self::LONGEST);
        if ($text === false) {
            return null;
        }

        return str_ends_with($text, "\r") ? $text.fgetc($file) : $text;
    }

    private static function checked(Row $row): Row
    {
        if ($row->problem !== null) {
            return $row;
        }
        $all = implode('', $row->cells);

        return match (true) {
            str_contains($all, "\0") => new Row(
                $row->line,
                $row->cells,
                'a NUL byte in '.self::where($row, fn (string $cell): bool => str_contains($cell, "\0")),
            ),
            ! mb_check_encoding($all, 'UTF-8') => new Row(
                $row->line,
                $row->cells,
                'characters that are not UTF-8 in '.
                    self::where($row, fn (string $cell): bool => ! mb_check_encoding($cell, 'UTF-8')),
            ),
            str_contains($all, Encoding::BROKEN) => new Row(
                $row->line,
                $row->cells,
                'broken characters in '.self::where($row, fn (string $cell): bool => str_contains($cell, Encoding::BROKEN)),
            ),
            default => $row,
        };
    }

    /** @param  callable(string): bool  $is */
    private static function where(Row $row, callable $is): string
    {
        foreach ($row->cells as $index => $cell) {
            if ($is($cell)) {
                return 'cell '.($index + 1);
            }
        }

        return 'the row';
    }
}
