<?php

declare(strict_types=1);

use Lokum\Feed\CsvFile;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\Dialect;
use Tests\Support\Acts;

/* Files of every kind that is promised, written at random: what was written is what is read, cell by cell. */

/** Pieces of cells: what suppliers write, and what hurts. */
const PIECES = [
    'Red',
    ' ',
    '  ',
    '"',
    '""',
    ',',
    ';',
    '|',
    "\t",
    "\n",
    "\r\n",
    'Étude',
    '12,50',
    '1.5',
    'ß',
    '€',
    "'",
    'a"b',
    '=1+1',
    '0',
    '-',
    'x',
];

/** A cell that the encoding can hold and the delimiter does not have to be guessed from. */
function randomCell(string $encoding): string
{
    $pieces = $encoding === 'Windows-1252' ? PIECES : [...PIECES, '日本', '🎨', "\u{A0}", 'ﬁ'];

    return implode('', array_map(fn (): string => $pieces[mt_rand(0, count($pieces) - 1)], range(1, mt_rand(1, 4))));
}

function opened(string $bytes): CsvFile
{
    $file = Acts::file($bytes);

    return CsvFile::open($file);
}

test('a file comes back as it was written, in every encoding and with every delimiter', function (
    string $encoding,
    bool $marked,
    string $delimiter,
    int $seed,
): void {
    mt_srand($seed);
    $headings = ['sku', 'name', 'Color', 'Notes'];
    $rows = [];
    for ($i = 0; $i < 60; $i++) {
        $rows[] = ["P{$i}", ...array_map(fn (): string => mt_rand(0, 3) === 0 ? '' : randomCell($encoding), range(1, 3))];
    }
    // One accented word at least, so that the encoding can be told.
    $rows[] = ['P-last', 'Étude', 'Grün', 'naïve'];
    $text = implode('', array_map(fn (array $row): string => CsvWriter::line($row, $delimiter), [$headings, ...$rows]));
    $mark = $marked ? ['UTF-8' => "\xEF\xBB\xBF", 'UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF"][$encoding] : '';
    $file = opened($mark.mb_convert_encoding($text, $encoding, 'UTF-8'));
    expect([$file->dialect->encoding, $file->dialect->marked, $file->dialect->delimiter, $file->dialect->headings])->toBe([
        $encoding,
        $marked,
        $delimiter,
        $headings,
    ]);
    $read = [];
    foreach ($file->rows() as $row) {
        expect($row->problem)->toBeNull();
        $read[] = array_map(CsvWriter::meant(...), $row->cells);
    }
    expect($read)->toBe($rows);
})->with(function (): Generator {
    $seed = 0;
    $encodings = [
        ['UTF-8', false],
        ['UTF-8', true],
        ['UTF-16LE', true],
        ['UTF-16BE', true],
        ['UTF-16LE', false],
        ['Windows-1252', false],
    ];
    foreach ($encodings as [$encoding, $marked]) {
        foreach (array_keys(Dialect::DELIMITERS) as $delimiter) {
            yield "{$encoding}".($marked ? ' with mark' : '').' '.Dialect::DELIMITERS[$delimiter] => [
                $encoding,
                $marked,
                $delimiter,
                ++$seed,
            ];
        }
    }
});

test('rows are numbered by the lines they begin on, whatever their cells hold', function (): void {
    $lines = [];
    foreach (opened("sku,name\nA,\"two\nlines\"\nB,one\n\nC,\"x\r\ny\r\nz\"\nD,last\n")->rows() as $row) {
        $lines[$row->cells[0]] = $row->line;
    }
    expect($lines)->toBe([
        'A' => 2,
        'B' => 4,
        'C' => 6,
        'D' => 9,
    ]);
});

test('a broken row is told by its line, and those behind it are read', function (): void {
    $rows = iterator_to_array(opened("sku,name\nA,fine\nB,\"never closed\nC,x\nD,y\n")->rows(), false);
    $sound = array_values(array_filter($rows, fn ($row): bool => $row->problem === null));
    expect(array_column(array_column($sound, 'cells'), 0))
        ->toBe(['A', 'C', 'D'])
        ->and(array_column(array_filter($rows, fn ($row): bool => $row->problem !== null), 'line'))
        ->toBe([3]);
});
