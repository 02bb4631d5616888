<?php

declare(strict_types=1);

use Lokum\Feed\Column;
use Lokum\Feed\CsvFile;
use Lokum\Feed\CsvReader;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\Row;
use Lokum\Feed\RowReader;
use Lokum\Feed\Separator;
use Lokum\Feed\UnreadableFile;
use Tests\Support\Acts;

/** @return resource */
function stream(string $bytes)
{
    return Acts::file($bytes);
}

function file_of(string $bytes): CsvFile
{
    return CsvFile::open(stream($bytes));
}

test('delimiter, encoding and headings are found', function (
    string $bytes,
    string $delimiter,
    string $encoding,
    array $headings,
    array $first,
): void {
    $file = file_of($bytes);
    $rows = iterator_to_array($file->rows(), false);
    expect($file->dialect->delimiter)
        ->toBe($delimiter)
        ->and($file->dialect->encoding)
        ->toBe($encoding)
        ->and($file->dialect->headings)
        ->toBe($headings)
        ->and($rows[0]->cells)
        ->toBe($first);
})->with([
    'plain' => ["sku,name\nA,Étude\n", ',', 'UTF-8', ['sku', 'name'], ['A', 'Étude']],
    'a mark and semicolons' => ["\xEF\xBB\xBFsku;name\r\nA;1,5\r\n", ';', 'UTF-8', ['sku', 'name'], ['A', '1,5']],
    'tabs and old line ends' => ["sku\tname\rA\tB\r", "\t", 'UTF-8', ['sku', 'name'], ['A', 'B']],
    'Windows-1252 and bars' => ["sku|name\nA|\xC9tude, x\n", '|', 'Windows-1252', ['sku', 'name'], ['A', 'Étude, x']],
    'UTF-16 with a mark' => [
        "\xFF\xFE".mb_convert_encoding("sku,name\nA,🎨\n", 'UTF-16LE', 'UTF-8'),
        ',',
        'UTF-16LE',
        ['sku', 'name'],
        ['A', '🎨'],
    ],
    'UTF-16 without one' => [
        mb_convert_encoding("sku,name\nA,Étude\n", 'UTF-16BE', 'UTF-8'),
        ',',
        'UTF-16BE',
        ['sku', 'name'],
        ['A', 'Étude'],
    ],
    'a line above' => ["Price list 2026\n\nsku,name\nA,B\n", ',', 'UTF-8', ['sku', 'name'], ['A', 'B']],
    'one column' => ["sku\nA\n", ',', 'UTF-8', ['sku'], ['A']],
]);

test('characters at the border of a chunk stay whole', function (): void {
    $text = "sku,name\n".str_repeat("A1,🎨 émeraude\n", 40000);
    $rows = 0;
    foreach (file_of("\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8'))->rows() as $row) {
        $rows++;
        if ($row->cells !== ['A1', '🎨 émeraude']) {
            throw new Exception("line {$row->line} is broken");
        }
    }
    expect($rows)->toBe(40000);
});

test('a quote that is never closed costs its own row only', function (): void {
    $rows = iterator_to_array(
        CsvReader::rows(stream("a,b\n1,\"open\n2,ok\n\"3\n4\",\"say \"\"hi\"\"\"\n5,12\" wide\n6,\"x\"y\n"), ','),
        false,
    );
    expect(array_map(fn (Row $row): array => [$row->line, $row->problem === null ? $row->cells : 'refused'], $rows))->toBe([
        [1, ['a', 'b']],
        [2, 'refused'],
        [3, ['2', 'ok']],
        [4, ["3\n4", 'say "hi"']],
        [6, ['5', '12" wide']],
        [7, 'refused'],
    ]);
});

test('NUL bytes and broken characters are told with their cell', function (): void {
    $rows = iterator_to_array(CsvReader::rows(stream("a,b\0c\nok,\xC3\x28\n"), ','), false);
    expect($rows[0]->problem)
        ->toBe('a NUL byte in cell 2')
        ->and($rows[1]->problem)
        ->toBe('characters that are not UTF-8 in cell 2');
});

test('bytes that are no character are told, in whatever encoding', function (string $bytes, array $problems): void {
    expect(array_map(fn (Row $row): ?string => $row->problem, iterator_to_array(file_of($bytes)->rows(), false)))->toBe($problems);
})->with([
    'a lone surrogate' => fn () => [
        "\xFF\xFE".mb_convert_encoding("sku,color\nA,", 'UTF-16LE', 'UTF-8')."\x00\xD8x\0\n\0B\0,\0b\0",
        ['broken characters in cell 2', null],
    ],
    'half a character at the end' => fn () => [
        "\xFF\xFE".mb_convert_encoding("sku,color\nA,b", 'UTF-16LE', 'UTF-8').'c',
        ['broken characters in cell 2'],
    ],
    'a byte that Windows-1252 leaves out' => fn () => [
        "sku,color\nA,caf\xE9\nB,\x81\x9D\n",
        [null, 'broken characters in cell 2'],
    ],
]);

test('a file of more than a thousand columns is refused', function (): void {
    expect(fn () => file_of('sku,'.implode(',', range(1, 1000))."\nA\n"))->toThrow(UnreadableFile::class, '1001 columns');
    expect(file_of('sku,'.implode(',', range(1, 999))."\nA\n")->dialect->headings)->toHaveCount(1000);
    expect(fn () => file_of('sku,'.str_repeat('x', 600)."\nA\n"))->toThrow(UnreadableFile::class, 'heading of column 2');
});

test('what is written reads back', function (array $cells, string $delimiter): void {
    $line = stream(CsvWriter::line(array_values($cells), $delimiter));
    $read = iterator_to_array(CsvReader::rows($line, $delimiter ?: ','), false)[0]->cells;
    expect(array_map(CsvWriter::meant(...), $read))->toBe($cells);
})->with([[['a', 'b"c', "d\r\ne", ' f ', ''], ','], [['a;b', '""', ','], ';'], [[''], ','], [['🎨', "\t"], "\t"]]);

test('a row says what it is, or why not', function (array $cells, ?string $reason): void {
    $reader = new RowReader(
        ['sku', 'parent', 'price', 'Color'],
        ['sku', 'parent_sku', 'price', new Column('color', 'Color', multiple: true, empty: ['n/a'])],
    );
    expect($reader->read(new Row(2, array_values($cells)))->refusal['reason'] ?? null)->toBe($reason);
})->with([
    [['A', '', '1', 'red|blue'], null],
    [['A'], null],
    [['A', '', '', '', ' '], null],
    [[' ', '', '1', ''], 'the sku is missing'],
    [['A', 'A', '', ''], '"A" names itself as its product'],
    [['A', '', '1', 'red', 'more'], '5 cells under 4 headings; cell 5 holds "more"'],
    [['A', '', '1', str_repeat('x', 10240)], '10,240 characters; at most 500 are taken here'],
]);

test('several spellings in a cell, and cells that count as empty', function (): void {
    $column = new Column('color', 'Color', multiple: true, empty: ['n/a']);
    expect($column->spellings(' red | blue|n/a|'))
        ->toBe(['red', 'blue'])
        ->and($column->spellings(' red '))
        ->toBe([' red '])
        ->and($column->spellings('n/a'))
        ->toBe([])
        ->and($column->spellings('0'))
        ->toBe(['0']);
});

test('several ways to part values in a cell, of which any does', function (): void {
    $column = new Column('occasion', 'Occasion', multiple: true, separator: '; or , or  / ');
    expect($column->spellings('Gift; Travel,Studio / Home'))
        ->toBe(['Gift', 'Travel', 'Studio', 'Home'])
        ->and($column->spellings('indoor/outdoor '))
        ->toBe(['indoor/outdoor '])
        ->and(Separator::of(' or ')->parts('red or blue'))
        ->toBe(['red', 'blue']);
});
