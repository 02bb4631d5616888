<?php

declare(strict_types=1);

use Lokum\Feed\CsvReader;
use Lokum\Feed\OpenRecord;
use Tests\Support\Acts;

/* A record of CSV as it comes, piece by piece (RFC 4180). */

/**
 * @param  list<string>  $pieces
 * @return array{0: bool, 1: list<string>|string} whether it ended, and its cells or its problem
 */
function taken(array $pieces, int $longest = 1 << 20, string $delimiter = ','): array
{
    $record = new OpenRecord($delimiter === '' ? ',' : $delimiter, $longest);
    $ended = false;
    foreach ($pieces as $piece) {
        $ended = $record->take($piece);
    }
    $row = $record->row(3);
    expect($row->line)->toBe(3);

    return [$ended, $row->problem ?? $row->cells];
}

test('a record is its cells, however it comes in pieces', function (array $pieces, bool $ended, array $cells): void {
    expect(taken(array_values($pieces)))->toBe([$ended, $cells]);
})->with([
    [['a,b,'."\n"], true, ['a', 'b', '']],
    [['a,b'."\r\n"], true, ['a', 'b']],
    [['a,b'], false, ['a', 'b']],
    [['a,', 'b', 'c,d'."\n"], true, ['a', 'bc', 'd']],
    [["\n"], true, ['']],
    [["\r\n"], true, ['']],
    [["a\r"], false, ["a\r"]],
    [['"a,b",c'."\n"], true, ['a,b', 'c']],
    [["\"a\n", "b\"\n"], true, ["a\nb"]],
    [["\"a\r\n", "b\",c\r\n"], true, ["a\r\nb", 'c']],
    [["\"a\n"], false, ["a\n"]],
    [['"a""b"'."\n"], true, ['a"b']],
    [['"a"', '"b"'."\n"], true, ['a"b']],
    [['""""'."\n"], true, ['"']],
    [['"",""'."\n"], true, ['', '']],
    [['a"b,c""d'."\n"], true, ['a"b', 'c""d']],
]);

test('text behind a quote that closes is told with its cell', function (string $line, int $cell): void {
    expect(taken([$line]))->toBe([
        true,
        "text follows a closing quote in cell {$cell}; a quote inside a quoted cell is written twice",
    ]);
})->with([["\"a\"b\n", 1], ["x,\"a\" ,c\n", 2], ["x,y,\"\"\"a\"b\n", 3]]);

test('a record may end at the end of the file where no quote is open', function (): void {
    $open = new OpenRecord(',', 100);
    $open->take("\"a\n");
    $closed = new OpenRecord(',', 100);
    $closed->take('"a"');
    $bad = new OpenRecord(',', 100);
    $bad->take('"a"b');
    expect([$open->mayEnd(), $closed->mayEnd(), $closed->hasProblem(), $bad->hasProblem()])->toBe([false, true, false, true]);
});

test('a record of as many bytes as may be is kept, one more is not', function (): void {
    $longest = 1 << 20;
    $half = str_repeat('x', $longest / 2);
    $words = 'the row is longer than 1 MiB';
    expect(taken(["{$half},", "{$half}\n"], $longest))
        ->toBe([true, [$half, $half]])
        ->and(taken(["{$half},", "{$half}x\n"], $longest))
        ->toBe([true, $words])
        ->and(taken(["\"{$half}", "{$half}\"\"\",y\n"], $longest))
        ->toBe([true, $words])
        ->and(taken(["{$half}{$half}{$half}{$half}x\n"], 2 * $longest))
        ->toBe([true, 'the row is longer than 2 MiB']);
});

/** @return list<array{0: int, 1: list<string>|string}> lines, with cells or the problem */
function recordsOf(string $csv, string $delimiter = ','): array
{
    $rows = [];
    foreach (CsvReader::rows(Acts::file($csv), $delimiter === '' ? ',' : $delimiter) as $row) {
        $rows[] = [$row->line, $row->problem ?? $row->cells];
    }

    return $rows;
}

test('records stand on the line that they begin on', function (string $csv, array $rows): void {
    expect(recordsOf($csv))->toBe($rows);
})->with([
    ["a,b\n\nc,d", [[1, ['a', 'b']], [3, ['c', 'd']]]],
    ["a\r\n\r\nb\r\n", [[1, ['a']], [3, ['b']]]],
    ["\"a\nb\nc\",d\ne", [[1, ["a\nb\nc", 'd']], [4, ['e']]]],
    ["\"a\n\n\n\n\n\n\nb\"\nc", [[1, ["a\n\n\n\n\n\n\nb"]], [9, ['c']]]],
    ["x\n\"a\nb", [[2 - 1, ['x']], [2, 'a quote opens here and is never closed'], [3, ['b']]]],
    ['"a"', [[1, ['a']]]],
    ["\"a\nb\"", [[1, ["a\nb"]]]],
    ["1,\"a\n2,\"b\n3,c\n", [
        [1, 'a quote opens here and is never closed'],
        [2, 'a quote opens here and is never closed'],
        [3, ['3', 'c']],
    ]],
    ["\"a\"b\nc", [[1, 'text follows a closing quote in cell 1; a quote inside a quoted cell is written twice'], [2, ['c']]]],
    ['', []],
    ["\n\n", []],
]);

test('what is no text is told with the first cell that has it', function (string $cell, string $why): void {
    expect(recordsOf("x,{$cell},{$cell}\n\"y\",z\n"))->toBe([[1, "{$why} in cell 2"], [2, ['y', 'z']]]);
})->with([
    'NUL' => ["a\0", 'a NUL byte'],
    'half a character' => ["\xC3\x28", 'characters that are not UTF-8'],
    'no character' => ["a\u{FDD0}", 'broken characters'],
]);

test('cells are parted by the sign that the file has', function (string $sign): void {
    expect(recordsOf("a{$sign}\"b{$sign}c\"{$sign}\n", $sign))->toBe([[1, ['a', "b{$sign}c", '']]]);
})->with([',', ';', "\t", '|']);
