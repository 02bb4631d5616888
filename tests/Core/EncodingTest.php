<?php

declare(strict_types=1);

use Lokum\Feed\CsvFile;
use Lokum\Feed\Encoding;
use Lokum\Feed\UnreadableFile;
use Tests\Support\Acts;

/* How a file's characters are stored is told by its bytes, and the same text comes out, however it is stored. */

/** @return array{0: string, 1: bool, 2: string} encoding, whether it is marked, and the text as UTF-8 */
function told(string $bytes): array
{
    $file = Acts::file($bytes);
    [$encoding, $marked] = Encoding::detect($file);
    $out = Acts::file('');
    Encoding::copyAsUtf8($file, $out, $encoding, $marked);
    rewind($out);

    return [$encoding, $marked, (string) stream_get_contents($out)];
}

function as16(string $text, string $order): string
{
    return (string) mb_convert_encoding($text, "UTF-16{$order}", 'UTF-8');
}

test('an encoding is told by its mark, else by its bytes', function (string $bytes, string $encoding, bool $marked, string $text): void {
    expect(told($bytes))->toBe([$encoding, $marked, $text]);
})->with([
    'plain' => ["sku\nA\n", 'UTF-8', false, "sku\nA\n"],
    'accents' => ["sku\ncafé\n", 'UTF-8', false, "sku\ncafé\n"],
    'marked' => ["\xEF\xBB\xBFsku\n", 'UTF-8', true, "sku\n"],
    'marked, little end first' => ["\xFF\xFE".as16("sku 🫖\n", 'LE'), 'UTF-16LE', true, "sku 🫖\n"],
    'marked, big end first' => ["\xFE\xFF".as16("sku 🫖\n", 'BE'), 'UTF-16BE', true, "sku 🫖\n"],
    'not marked, little end first' => [as16("sku,name\nA,Tea\n", 'LE'), 'UTF-16LE', false, "sku,name\nA,Tea\n"],
    'not marked, big end first' => [as16("sku,name\nA,Tea\n", 'BE'), 'UTF-16BE', false, "sku,name\nA,Tea\n"],
    'not marked, with other letters' => [as16("sku,имя\nA,чай\n", 'BE'), 'UTF-16BE', false, "sku,имя\nA,чай\n"],
    'Western' => ["sku\ncaf\xE9 \x80\n", 'Windows-1252', false, "sku\ncafé €\n"],
    'one broken line of two is Western' => ["caf\xE9\ncafé\n", 'Windows-1252', false, "café\ncafÃ©\n"],
    'one broken line of three is UTF-8' => ["caf\xE9\ncafé\nthé\n", 'UTF-8', false, "caf\xE9\ncafé\nthé\n"],
    'bytes without a character' => ["a\x81\x8D\x8F\x90\x9Db\xE9\n", 'Windows-1252', false, 'a'.str_repeat("\u{FDD0}", 5)."bé\n"],
    'old line ends' => ["sku\rA\rB", 'UTF-8', false, "sku\nA\nB"],
    'line ends of two signs' => ["sku\r\nA\r\n", 'UTF-8', false, "sku\r\nA\r\n"],
    'an old line end inside' => ["sku\n\"a\rb\"\n", 'UTF-8', false, "sku\n\"a\rb\"\n"],
]);

test('half a character at the end is told, not dropped', function (): void {
    expect(told("\xFF\xFE".as16('ab', 'LE').'c')[2])->toBe("ab\u{FDD0}");
});

test('no character is split between two chunks, wherever they meet', function (string $order): void {
    // A teapot is four bytes in UTF-16; 2^18 bytes are read at once.
    foreach ([131_070, 131_071, 131_072, 131_073] as $letters) {
        $text = str_repeat('x', $letters)."🫖é\nend";
        expect(told(($order === 'LE' ? "\xFF\xFE" : "\xFE\xFF").as16($text, $order))[2])->toBe($text, (string) $letters);
        expect(told(as16($text, $order))[2])->toBe($text, (string) $letters);
    }
})->with(['LE', 'BE']);

test('a file whose first chunk has no line end keeps what the others have', function (): void {
    $text = str_repeat('x', 1 << 18)."\ra\nb";
    expect(told("\xEF\xBB\xBF".$text)[2])->toBe($text);
    $old = "sku\r".str_repeat("x\r", 1 << 18);
    expect(told($old)[2])->toBe(str_replace("\r", "\n", $old));
});

test('what is no text is named', function (string $bytes, string $kind): void {
    expect(fn () => told($bytes))->toThrow(UnreadableFile::class, $kind);
})->with([
    'a zip' => ["PK\x03\x04rest", 'a spreadsheet or zip archive'],
    'an old document' => ["\xD0\xCF\x11\xE0\xA1", 'an old office document'],
    'a PDF' => ['%PDF-1.7', 'a PDF document'],
    'a PNG' => ["\x89PNG\r\n", 'a picture'],
    'a JPEG' => ["\xFF\xD8\xFF\xE0", 'a picture'],
    'a GIF' => ['GIF89a', 'a picture'],
    'a gzip' => ["\x1F\x8B\x08", 'a compressed file'],
    'SQLite' => ["SQLite format 3\0", 'a database'],
    'a page' => ['<!DOCTYPE html>', 'a web page'],
    'a page in small letters' => ['<!doctype html>', 'a web page'],
    'a page without a type' => ['<html><body>', 'a web page'],
    'a page behind spaces' => ["\n <HTML lang=\"de\">", 'a web page'],
    'XML' => ['<?xml version="1.0"?>', 'an XML file'],
    'JSON' => ['{"sku": 1}', 'a JSON file'],
    'a list in JSON' => ['[{"sku": 1}]', 'a JSON file'],
    'JSON over lines' => ["{\n\"sku\": 1}", 'a JSON file'],
    'JSON over lines of another system' => ["{\r\n\"sku\": 1}", 'a JSON file'],
    'ELF' => ["\x7FELF\x02", 'a program'],
    'MZ' => ["MZ\x90\0\x03", 'a program'],
    'RIFF' => ['RIFF....WAVE', 'a sound or video file'],
    'one sign too many' => [str_repeat("abcdefghijklmnopqr\x01", 9), 'a binary file'],
    'nothing but signs' => ["\x01\x08\x0E\x1A\x1C\x1F", 'a binary file'],
]);

test('what looks like another kind at a glance is read', function (string $bytes): void {
    expect(told($bytes)[2])->toBe($bytes);
})->with([
    'one with a NUL far behind' => ["MZ,sku\n".str_repeat('a', 600)."\0\n"],
    'a NUL in every fourth place' => [str_repeat("abc\0", 20)],
    'a heading of a program' => ["MZ,sku\n1,A\n"],
    'nothing but signs that texts have' => ["\t\n\v\f\r\x1B\x1B\x1B"],
    'one sign of twenty' => [str_repeat("abcdefghijklmnopqrs\x01", 9)],
]);

test('an empty file is one, whatever stands for nothing in it', function (string $bytes): void {
    expect(fn () => told($bytes))->toThrow(UnreadableFile::class, 'empty');
})->with([
    'nothing' => '',
    'spaces' => " \t\r\n",
    'a mark' => "\xEF\xBB\xBF",
    'a mark and a line' => "\xEF\xBB\xBF\n",
    'a mark of UTF-16' => "\xFF\xFE",
    'a line of UTF-16' => "\xFE\xFF\0\n",
    'NUL' => "\0\0\0",
]);

test('the headings of a CSV are found, whatever stands above them', function (
    string $csv,
    string $delimiter,
    int $line,
    array $headings,
): void {
    $file = CsvFile::open(Acts::file($csv));
    expect([$file->dialect->delimiter, $file->dialect->headingLine, $file->headings()])->toBe([$delimiter, $line, $headings]);
})->with([
    'a name of the list above' => ["Our goods\n\nsku;name\nA;Tea\n", ';', 3, ['sku', 'name']],
    'no sku: the first that is filled' => ["\n ,\nfoo,bar\n1,2\n", ',', 3, ['foo', 'bar']],
    'the tenth' => [str_repeat("x,y\n", 9)."sku,name\nA,Tea\n", ',', 10, ['sku', 'name']],
    'the eleventh is a row' => [str_repeat("x,y\n", 10)."sku,name\nA,Tea\n", ',', 1, ['x', 'y']],
    'a sku decides against more cells' => ["sku;a,b,c\nA;1,2,3\nB;1,2,3\n", ';', 1, ['sku', 'a,b,c']],
    'the width that most rows have' => ["a;b\n1;2,3\n4;5\n6;7\n", ';', 1, ['a', 'b']],
    'as even, but more cells' => ["a;b,c,d\n1;2,3,4\n", ',', 1, ['a;b', 'c', 'd']],
    'a title above rows of several' => ["Clocks\n1;2;3\n4;5;6\n", ';', 1, ['Clocks']],
    'tabs' => ["sku\tname\nA\tTea, green\n", "\t", 1, ['sku', 'name']],
    'one column' => ["sku\nA\n", ',', 1, ['sku']],
    'one column with another name' => ["foo\nA\n", ',', 1, ['foo']],
]);

test('a file says what it was read as, and how far', function (): void {
    $file = CsvFile::open(Acts::file("\xEF\xBB\xBFlist\nsku;name\nA;Tea\nB;Tin\n"));
    expect($file->described())->toBe(['semicolon between cells', 'UTF-8 with mark', 'headings on line 2']);
    $at = [];
    $rows = [];
    foreach ($file->rows() as $row) {
        $rows[$row->line] = $row->cells;
        $at[] = $file->progress();
    }
    expect($rows)
        ->toBe([3 => ['A', 'Tea'], 4 => ['B', 'Tin']])
        ->and(end($at))
        ->toBe(1.0)
        ->and(CsvFile::open(Acts::file("sku\nA\n"))->described()[1])
        ->toBe('UTF-8');
});

test('as many columns, and headings as long, as are allowed', function (): void {
    $columns = fn (int $n): string => 'sku'.str_repeat(',x', $n - 1)."\n";
    expect(CsvFile::open(Acts::file($columns(1000)))->headings())
        ->toHaveCount(1000)
        ->and(fn () => CsvFile::open(Acts::file($columns(1001))))
        ->toThrow(UnreadableFile::class, '1001')
        ->and(CsvFile::open(Acts::file('sku,'.str_repeat('ü', 500)."\n"))->headings()[1])
        ->toBe(str_repeat('ü', 500))
        ->and(fn () => CsvFile::open(Acts::file('sku,'.str_repeat('ü', 501)."\n")))
        ->toThrow(UnreadableFile::class, '2');
});

test('headings are looked for behind rows that are not sound, not without end', function (): void {
    $bad = fn (int $rows): string => str_repeat("\"\0\"\n", $rows)."sku\nA\n";
    expect(CsvFile::open(Acts::file($bad(399)))->dialect->headingLine)
        ->toBe(400)
        ->and(fn () => CsvFile::open(Acts::file($bad(400))))
        ->toThrow(UnreadableFile::class, 'no row of headings');
});

test('where no row is sound, there are no headings', function (): void {
    expect(fn () => CsvFile::open(Acts::file(str_repeat("\"\0\"\n", 3))))->toThrow(UnreadableFile::class);
});
