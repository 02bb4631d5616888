<?php

declare(strict_types=1);

use Lokum\Feed\Formats\Formats;
use Lokum\Feed\Formats\Merged;
use Lokum\Feed\Formats\SheetFile;
use Lokum\Feed\Formats\SheetNumber;
use Lokum\Feed\UnreadableFile;
use Tests\Support\Acts;
use Tests\Support\Supplied;

/* Spreadsheets written by hand, as small as the standards allow (ECMA-376, ISO/IEC 26300), for what no spreadsheet program writes alike. */

/**
 * @param  array<string, string>  $sheets  what stands in a sheet's element, by name
 * @param  array<string, string>  $more  other parts of the archive, and what is said of sheets in the workbook by "name:state"
 */
function xlsx(array $sheets, array $more = [], string $workbook = ''): string
{
    $files = $list = $links = [];
    $n = 0;
    foreach ($sheets as $name => $inside) {
        $n++;
        $state = $more["{$name}:state"] ?? '';
        $list[] = "<sheet name=\"{$name}\" sheetId=\"{$n}\" r:id=\"rId{$n}\"{$state}/>";
        $target = $n === 1 ? '/xl/worksheets/sheet1.xml' : "worksheets/sheet{$n}.xml";
        $links[] = "<Relationship Id=\"rId{$n}\" Type=\"x\" Target=\"{$target}\"/>";
        $files["xl/worksheets/sheet{$n}.xml"] = "<worksheet>{$inside}</worksheet>";
    }
    $relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    return Supplied::zip([
        'xl/workbook.xml' => "<workbook xmlns:r=\"{$relations}\">{$workbook}<sheets>".implode('', $list).'</sheets></workbook>',
        'xl/_rels/workbook.xml.rels' => '<Relationships>'.implode('', $links).'</Relationships>',
        ...$files,
        ...array_filter($more, fn (string $name): bool => ! str_contains($name, ':'), ARRAY_FILTER_USE_KEY),
    ]);
}

/** A row of cells with their texts beside them; in a cell that begins with "<" as it stands. */
function sheetRow(string ...$cells): string
{
    $inside = array_map(
        fn (string $cell): string => str_starts_with($cell, '<') ? $cell : "<c t=\"inlineStr\"><is><t>{$cell}</t></is></c>",
        $cells,
    );

    return '<row>'.implode('', $inside).'</row>';
}

function ods(string $tables): string
{
    return Supplied::zip([
        'content.xml' => '<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '.
            'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0">'.
            "<office:body><office:spreadsheet>{$tables}</office:spreadsheet></office:body></office:document-content>",
    ]);
}

function odsRow(string ...$cells): string
{
    $inside = array_map(
        fn (string $cell): string => str_starts_with($cell, '<') ? $cell : "<table:table-cell><text:p>{$cell}</text:p></table:table-cell>",
        $cells,
    );

    return '<table:table-row>'.implode('', $inside).'</table:table-row>';
}

test('each kind of cell of a workbook says what people see', function (string $cell, string $shown): void {
    $bytes = xlsx(
        ['Goods' => '<sheetData>'.sheetRow('sku', 'x', 'end').sheetRow('A', $cell, 'z').'</sheetData>'],
        [
            'xl/sharedStrings.xml' => '<sst><si><t>first</t></si>'.
                '<si><r><t>two </t></r><rPh><t>said</t><t>so</t></rPh><r><t>parts</t></r></si></sst>',
            'xl/styles.xml' => '<styleSheet><numFmts><numFmt numFmtId="164" formatCode="0000"/></numFmts>'.
                '<cellStyleXfs><xf numFmtId="9"/></cellStyleXfs>'.
                '<cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="164"/></cellXfs>'.
                '<cellStyles><xf numFmtId="9"/></cellStyles></styleSheet>',
        ],
    );
    expect(Supplied::rows($bytes))->toBe([['sku', 'x', 'end'], [2 => ['A', $shown, 'z']]]);
})->with([
    'a shared text' => ['<c t="s"><v>0</v></c>', 'first'],
    'one in parts, without how it is said' => ['<c t="s"><v>1</v></c>', 'two parts'],
    'one that is not there' => ['<c t="s"><v>7</v></c>', ''],
    'yes' => ['<c t="b"><v>1</v></c>', 'true'],
    'no' => ['<c t="b"><v>0</v></c>', 'false'],
    'an error' => ['<c t="e"><v>#DIV/0!</v></c>', ''],
    'a result in words' => ['<c t="str"><f>A1</f><v>as text</v></c>', 'as text'],
    'a number' => ['<c><v>1.50</v></c>', '1.5'],
    'a number without a style that is there' => ['<c s="9"><v>7</v></c>', '7'],
    'a number said to be one' => ['<c t="n" s="0"><v>7</v></c>', '7'],
    'a day' => ['<c s="1"><v>61</v></c>', '1900-03-01'],
    'leading zeros' => ['<c s="2"><v>42</v></c>', '0042'],
    'nothing in it' => ['<c s="1"/>', ''],
    'an empty number' => ['<c><v></v></c>', ''],
    'nothing in its text' => ['<c t="inlineStr"><is><t/></is></c>', ''],
]);

test('cells stand where they say, else one after the other', function (): void {
    $sheet = '<sheetData><row r="3"><c r="A3" t="str"><v>sku</v></c><c r="C3" t="str"><v>c</v></c><c t="str"><v>d</v></c></row>'.
        '<row><c r="AB4" t="str"><v>far</v></c></row>'.
        '<row r="9"><c t="str"><v>A</v></c><c r="nonsense" t="str"><v>b</v></c></row></sheetData>';
    [$headings, $rows] = Supplied::rows(xlsx(['Goods' => $sheet]));
    expect($headings)
        ->toBe(['sku', '', 'c', 'd'])
        ->and(array_keys($rows))
        ->toBe([4, 9])
        ->and($rows[4])
        ->toBe([...array_fill(0, 27, ''), 'far'])
        ->and($rows[9])
        ->toBe(['A', 'b', '', '']);
});

test('merged cells of a workbook hold what their first one does', function (): void {
    $sheet = '<sheetData>'.sheetRow('sku', 'x', 'y').sheetRow('A', 'red').sheetRow('B').sheetRow('C', 'blue', 'own').'</sheetData>'.
        '<mergeCells><mergeCell ref="B2:B3"/><mergeCell ref="B4:C4"/><mergeCell ref="rubbish"/></mergeCells>';
    expect(Supplied::rows(xlsx(['Goods' => $sheet]))[1])->toBe([2 => ['A', 'red', ''], 3 => ['B', 'red', ''], 4 => ['C', 'blue', 'blue']]);
});

test('a workbook whose days count from 1904 says so', function (string $says, string $day): void {
    $bytes = xlsx(
        ['Goods' => '<sheetData>'.sheetRow('sku', 'x').sheetRow('A', '<c s="0"><v>0</v></c>').'</sheetData>'],
        ['xl/styles.xml' => '<styleSheet><cellXfs><xf numFmtId="14"/></cellXfs></styleSheet>'],
        "<workbookPr {$says}/>",
    );
    expect(Supplied::rows($bytes)[1][2])->toBe(['A', $day]);
})->with([
    ['date1904="1"', '1904-01-01'],
    ['date1904="true"', '1904-01-01'],
    ['date1904="0"', '1899-12-31'],
    ['', '1899-12-31'],
]);

test('of several sheets the first with a sku is read, of those that are shown', function (): void {
    $with = fn (string $sku): string => '<sheetData>'.sheetRow('sku').sheetRow($sku).'</sheetData>';
    $without = '<sheetData>'.sheetRow('').sheetRow('Notes').sheetRow('none').'</sheetData>';
    $read = fn (array $sheets, array $more = []): array => Supplied::rows(xlsx($sheets, $more));
    expect($read(['About' => $without, 'Goods' => $with('A'), 'Old' => $with('B')]))
        ->toBe([['sku'], [2 => ['A']]])
        ->and($read(['Goods' => $with('A'), 'Shown' => $with('B')], ['Goods:state' => ' state="hidden"']))
        ->toBe([['sku'], [2 => ['B']]])
        ->and($read(['Goods' => $with('A'), 'Shown' => $with('B')], ['Goods:state' => ' state="veryHidden"'])[1])
        ->toBe([2 => ['B']])
        ->and($read(['Goods' => $with('A')], ['Goods:state' => ' state="visible"'])[1])
        ->toBe([2 => ['A']])
        // Without a sku the first that is not empty.
        ->and($read(['None' => '<sheetData/>', 'About' => $without, 'Later' => '<sheetData>'.sheetRow('b').'</sheetData>']))
        ->toBe([['Notes'], [3 => ['none']]]);
});

test('a workbook with nothing to read says so', function (string $bytes): void {
    expect(fn () => Supplied::rows($bytes))->toThrow(UnreadableFile::class);
})->with([
    'no sheet' => [xlsx([])],
    'none that is shown' => [xlsx(['Goods' => '<sheetData/>'], ['Goods:state' => ' state="hidden"'])],
    'nothing in it' => [xlsx(['Goods' => '<sheetData/>'])],
    'cut off' => [xlsx(['Goods' => '<sheetData><row><c>'])],
]);

test('a file says which sheet was read, and how far', function (): void {
    $file = Formats::open(Acts::file(xlsx([
        'About' => '<sheetData>'.sheetRow('Notes').'</sheetData>',
        'Goods' => '<sheetData>'.sheetRow('a', 'list').sheetRow('name', 'sku').sheetRow('Tea', 'A').sheetRow('', ' ').sheetRow('Tin', 'B').
            '</sheetData>',
    ])));
    expect($file->described())->toBe(['XLSX', 'sheet "Goods"', 'headings in row 2'])->and($file->progress())->toBe(1.0);
    $seen = [];
    foreach ($file->rows() as $row) {
        $seen[$row->line] = $row->cells;
    }
    expect($seen)->toBe([3 => ['Tea', 'A'], 5 => ['Tin', 'B']])->and($file->progress())->toBe(1.0);
    foreach ($file->rows() as $row) {
        expect($file->progress())->toEqual($row->line / 5);
    }
});

test('headings are looked for among the first twenty rows that are not empty', function (int $above, array $headings): void {
    $rows = array_fill(1, $above, ['note']) + [$above + 1 => ['sku']];
    $file = new SheetFile('X', ['only'], fn (): array => [-1 => ['', ' ']] + $rows);
    expect($file->headings())->toBe($headings);
})->with([[0, ['sku']], [19, ['sku']], [20, ['note']]]);

test('a row that is wider than its headings keeps its cells, and a thousand columns are enough', function (): void {
    $file = new SheetFile('X', ['only'], fn (): array => [1 => ['sku', 2 => 'c'], 2 => ['A', 5 => 'beyond'], 3 => [' ', ' ']]);
    expect(array_map(fn ($row): array => $row->cells, iterator_to_array($file->rows(), false)))
        ->toBe([['A', '', '', '', '', 'beyond']])
        ->and((new SheetFile('X', ['only'], fn (): array => [1 => ['sku', 999 => 'x']]))->headings())
        ->toHaveCount(1000)
        ->and(fn () => new SheetFile('X', ['only'], fn (): array => [1 => ['sku', 1000 => 'x']]))
        ->toThrow(UnreadableFile::class, '1001');
});

test('each kind of cell of an OpenDocument says what people see', function (string $cell, string $shown): void {
    $bytes = ods('<table:table table:name="Goods">'.odsRow('sku', 'x', 'end').odsRow('A', $cell, 'z').'</table:table>');
    expect(Supplied::rows($bytes))->toBe([['sku', 'x', 'end'], [2 => ['A', $shown, 'z']]]);
})->with([
    'a number' => ['<table:table-cell office:value-type="float" office:value="1.50"><text:p>1,5</text:p></table:table-cell>', '1.5'],
    'an amount' => ['<table:table-cell office:value-type="currency" office:value="3.5"><text:p>3,50 €</text:p></table:table-cell>', '3.5'],
    'leading zeros' => ['<table:table-cell office:value-type="float" office:value="42"><text:p>0042</text:p></table:table-cell>', '0042'],
    'a share' => ['<table:table-cell office:value-type="percentage" office:value="0.25"><text:p>x</text:p></table:table-cell>', '25 %'],
    'a day' => ['<table:table-cell office:value-type="date" office:date-value="2026-11-28"/>', '2026-11-28'],
    'a day with its midnight' => ['<table:table-cell office:value-type="date" office:date-value="2026-11-28T00:00:00.000"/>', '2026-11-28'],
    'a time' => ['<table:table-cell office:value-type="date" office:date-value="2026-11-28T10:30:00"/>', '2026-11-28 10:30:00'],
    'yes' => ['<table:table-cell office:value-type="boolean" office:boolean-value="true"><text:p>WAHR</text:p></table:table-cell>', 'true'],
    'two paragraphs' => [
        '<table:table-cell><text:p>one</text:p><text:p>t<text:span>w</text:span>o</text:p></table:table-cell>',
        "one\ntwo",
    ],
    'a remark beside it' => [
        '<table:table-cell><office:annotation><text:p>a</text:p><text:p>b</text:p></office:annotation>'.
            '<text:p>said</text:p></table:table-cell>',
        'said',
    ],
    'nothing' => ['<table:table-cell/>', ''],
]);

test('cells and rows of an OpenDocument that come again are there as often, those without end not', function (): void {
    $again = fn (int $times, string $text): string => "<table:table-cell table:number-columns-repeated=\"{$times}\">".
        "<text:p>{$text}</text:p></table:table-cell>";
    $bytes = ods(
        '<table:table table:name="Empty"><table:table-row><table:table-cell/></table:table-row></table:table>'.
            '<table:table table:name="Goods">'.
            odsRow('sku', $again(2, 'x'), 'end').
            '<table:table-row table:number-rows-repeated="2">'.$again(3, 'A').'</table:table-row>'.
            '<table:table-row table:number-rows-repeated="1048000"><table:table-cell table:number-columns-repeated="16384"/>'.
            '</table:table-row>'.
            odsRow('B').
            '</table:table><table:table table:name="Later">'.odsRow('sku').odsRow('C').'</table:table>',
    );
    expect(Supplied::rows($bytes))
        ->toBe([['sku', 'x', 'x', 'end'], [2 => ['A', 'A', 'A', ''], 3 => ['A', 'A', 'A', ''], 1048004 => ['B', '', '', '']]]);
    $wide = ods('<table:table table:name="Goods">'.odsRow('sku').odsRow('A').odsRow($again(5000, 'x')).'</table:table>');
    expect(Supplied::rows($wide)[1][3])->toHaveCount(1000);
    $long = ods(
        '<table:table table:name="Goods">'.odsRow('sku').'<table:table-row table:number-rows-repeated="5000"><table:table-cell><text:p>A'.
            '</text:p></table:table-cell></table:table-row>'.odsRow('B').'</table:table>',
    );
    $rows = Supplied::rows($long)[1];
    expect($rows)->toHaveCount(1001)->and(array_key_last($rows))->toBe(5002);
});

test('merged cells of an OpenDocument hold what their first one does', function (): void {
    $spans = fn (string $what, string $text): string => "<table:table-cell {$what}><text:p>{$text}</text:p></table:table-cell>";
    $covered = '<table:covered-table-cell/>';
    $bytes = ods(
        '<table:table table:name="Goods">'.
            odsRow('sku', 'x', 'y', 'end').
            odsRow('A', $spans('table:number-rows-spanned="2" table:number-columns-spanned="2"', 'both'), $covered, 'z').
            odsRow('B', $covered, $covered, 'z').
            odsRow('C', $spans('table:number-columns-spanned="2"', 'wide'), $covered, 'z').
            odsRow('D', 'own', '', 'z').
            '</table:table>',
    );
    expect(Supplied::rows($bytes)[1])->toBe([
        2 => ['A', 'both', 'both', 'z'],
        3 => ['B', 'both', 'both', 'z'],
        4 => ['C', 'wide', 'wide', 'z'],
        5 => ['D', 'own', '', 'z'],
    ]);
});

test('merged cells are filled from the top down, side by side', function (): void {
    $merged = new Merged();
    $merged->add(2, 3, 1, 2);
    $merged->add(2, 2, 4, 4);
    $merged->add(3, 9, 5, 5);
    expect($merged->fill(1, [0 => 'a', 1 => 'b']))
        ->toBe([0 => 'a', 1 => 'b'])
        ->and($merged->fill(2, ['a', 'm', 'hidden', '', 'n']))
        ->toBe(['a', 'm', 'm', '', 'n'])
        ->and($merged->fill(3, [0 => 'c']))
        ->toBe([0 => 'c', 1 => 'm', 2 => 'm'])
        ->and($merged->fill(4, [0 => 'd', 5 => 'x']))
        ->toBe([0 => 'd', 5 => 'x']);
    $merged->add(5, 5, 3, 16383);
    expect(array_keys($merged->fill(5, [3 => 'x'])))->toBe(range(3, 1003));
});

// ECMA-376, 18.8.30: formats without a text; 14 to 22, 27 to 36 and 50 to 58 are days and times of day.
test('formats that have a number are known by it', function (int $format, string $shown): void {
    expect(SheetNumber::text('61', $format, false))->toBe($shown);
})->with([
    ...array_map(fn (int $n): array => [$n, '1900-03-01'], [14, 15, 16, 17, 22, 27, 28, 29, 30, 31, 36, ...range(50, 58)]),
    ...array_map(fn (int $n): array => [$n, '6100 %'], [9, 10]),
    ...array_map(fn (int $n): array => [$n, '61'], [0, 1, 2, 3, 4, 11, 12, 13, 18, 19, 20, 21, 23, 26, 32, 33, 34, 35, 37, 49, 59]),
]);

// ECMA-376, 18.17.4.1: serial 1 is 1900-01-01, 61 is 1900-03-01, since a 29th of February is counted that there was not; in the 1904
// system 0 is 1904-01-01.
test('a format in words says what a number is', function (string $number, string $format, bool $from1904, string $shown): void {
    expect(SheetNumber::text($number, $format, $from1904))->toBe($shown);
})->with([
    ['1', 'yyyy-mm-dd', false, '1900-01-01'],
    ['0', 'd.m.yyyy', true, '1904-01-01'],
    ['742', '000000', false, '000742'],
    ['0.125', '0.0%', false, '12.5 %'],
    ['5', '0 "days"', false, '5'],
    ['5', '[Red]0.00', false, '5'],
    ['0.1', '', false, '0.1'],
    ['0.30000000000000004', '', false, '0.30000000000000004'],
    ['4.0063813339310E13', '', false, '40063813339310'],
    ['x', 'd', false, 'x'],
    ['59', 'yyyy', false, '1900-02-28'],
    ['60', 'd.m.', false, '1900-02-28'],
    ['60.5', 'd.m. hh:mm', false, '1900-02-28 12:00:00'],
    ['61', 'DD', false, '1900-03-01'],
    ['36526', 'd.m.y', false, '2000-01-01'],
    ['35064', 'd.m.y', true, '2000-01-01'],
    ['36526.000001', 'd.m.y', false, '2000-01-01'],
    ['36526.75', 'd.m.y', false, '2000-01-01 18:00:00'],
    ['36526.430902777778', 'd.m.y', false, '2000-01-01 10:20:30'],
    ['5', 'd;0', false, '1900-01-05'],
    ['5', '0;d', false, '5'],
    ['5', '"day" 0', false, '5'],
    ['5', '[$-409]d', false, '1900-01-05'],
    ['5', '\d0', false, '5'],
    ['5', '0.0 d', false, '5'],
    ['0.5', '0 %', false, '50 %'],
    ['0.5', '"%" 0.0', false, '0.5'],
    ['0.333333333333333', '0%', false, '33.3333333333 %'],
    ['7', '00', false, '07'],
    ['7', '0', false, '7'],
    ['-7', '000', false, '-7'],
    ['7.5', '000', false, '7.5'],
    ['12345', '000', false, '12345'],
    ['7', '000-00', false, '7'],
    ['-0.00000012', '', false, '-0.00000012'],
    ['1e21', '', false, '1000000000000000000000'],
    ['2.0', '', false, '2'],
    ['-5', '', false, '-5'],
    ['12345678901234567890', '', false, '12345678901234567890'],
    ['five', '0%', false, 'five'],
    ['', '000', false, ''],
]);
