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
    private const LONGEST = 1 << 20;

    /**
     * @param  resource  $file  UTF-8, open for reading and seeking, at its start
     * @param  non-empty-string  $delimiter  one character
     * @return Generator<int, Row> empty lines are passed over
     */
    public static function rows($file, string $delimiter): Generator
    {
        $line = 0;
        while (($text = fgets($file, self::LONGEST)) !== false) {
            $line++;
            $start = $line;
            if (! str_contains($text, '"')) {
                $text = rtrim($text, "\r\n");
                if ($text !== '') {
                    yield self::checked(new Row($start, explode($delimiter, $text)));
                }

                continue;
            }
            $behind = (int) ftell($file);
            $row = self::parse($text, $delimiter, $start);
            while ($row === null && strlen($text) < self::LONGEST && ($more = fgets($file, self::LONGEST)) !== false) {
                $text .= $more;
                $line++;
                // A line without a quote cannot close one.
                $row = str_contains($more, '"') ? self::parse($text, $delimiter, $start) : null;
            }
            // Closed by a quote that begins another cell lines below, it was never meant to be closed there.
            if ($row === null || ($row->problem !== null && $line > $start)) {
                fseek($file, $behind);
                $line = $start;
                $row = new Row($start, [], 'a quote opens here and is never closed');
            }
            yield self::checked($row);
        }
    }

    /** @return Row|null null while a quoted cell is still open at the end of the text */
    private static function parse(string $text, string $delimiter, int $line): ?Row
    {
        $text = rtrim($text, "\r\n") === '' ? '' : (string) preg_replace('/\r?\n$/D', '', $text);
        $cells = [];
        $at = 0;
        $end = strlen($text);
        while (true) {
            if (($text[$at] ?? '') === '"') {
                $cell = '';
                do {
                    $close = strpos($text, '"', $at + 1);
                    if ($close === false) {
                        return null;
                    }
                    $cell .= substr($text, $at + 1, $close - $at - 1);
                    $doubled = ($text[$close + 1] ?? '') === '"';
                    $cell .= $doubled ? '"' : '';
                    $at = $doubled ? $close + 1 : $close;
                } while ($doubled);
                $cells[] = $cell;
                $at++;
                if ($at < $end && $text[$at] !== $delimiter) {
                    return new Row(
                        $line,
                        $cells,
                        'text follows a closing quote in cell '.count($cells).'; a quote inside a quoted cell is written twice',
                    );
                }
            } else {
                $length = strcspn($text, $delimiter, $at);
                $cells[] = substr($text, $at, $length);
                $at += $length;
            }
            if ($at >= $end) {
                return new Row($line, $cells);
            }
            $at++;
        }
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
                'characters that are not UTF-8 in '.self::where($row, fn (string $cell): bool => ! mb_check_encoding($cell, 'UTF-8')),
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
