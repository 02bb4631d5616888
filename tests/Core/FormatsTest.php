<?php

declare(strict_types=1);

use Lokum\Feed\UnreadableFile;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PhpOffice\PhpSpreadsheet\RichText\RichText;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use Tests\Support\Supplied;

/* Files that are no CSV: what they are is told by what stands in them, and what they say is the same rows. */

const LINES = "{\"sku\":\"A\",\"size\":{\"cm\":5.10,\"box\":true},\"for\":[\"home\",\"shop\"],\"ean\":40063813339310000000}\n\n".
    "{\"sku\":\"B\",\"note\":\"é \\\"x\\\"\",\"size\":null}\n";

test('records of JSON, one a line or in a list somewhere, are rows', function (string $bytes, array $lines): void {
    [$headings, $rows] = Supplied::rows($bytes);
    expect($headings)
        ->toBe(['sku', 'size.cm', 'size.box', 'for', 'ean', 'note', 'size'])
        ->and($rows)
        ->toBe([
            $lines[0] => ['A', '5.1', 'true', 'home|shop', '40063813339310000000', '', ''],
            $lines[1] => ['B', '', '', '', '', 'é "x"', ''],
        ]);
})->with([
    'one a line' => [LINES, [1, 3]],
    'with a mark' => ["\xEF\xBB\xBF".LINES, [1, 3]],
    'a list' => ['['.implode(',', array_filter(explode("\n", LINES))).']', [1, 2]],
    'a list inside, beside a shorter one' => [
        '{"shop": "{[\\"", "n": 3, "pages": [{"no": 1}], "data": {"items": [ '.implode(" ,\n", array_filter(explode("\n", LINES))).' ]}}',
        [1, 2],
    ],
]);

test('the longest list is the one of products, however its texts are cut between chunks', function (): void {
    $objects = array_map(fn (int $i): array => ['sku' => "S{$i}", 'name' => str_repeat('\\"ä{[', $i % 40)], range(1, 5000));
    [, $rows] = Supplied::rows((string) json_encode(['a' => [['x' => 1]], 'b' => $objects], JSON_UNESCAPED_UNICODE));
    expect(array_column($rows, 0))
        ->toBe(array_column($objects, 'sku'))
        ->and(array_column($rows, 1))
        ->toBe(array_column($objects, 'name'));
});

test('elements of XML that come again are rows, with their attributes and what is inside', function (): void {
    $xml = <<<'XML'
        <?xml version="1.0" encoding="ISO-8859-1"?>
        <!-- made by hand -->
        <shop xmlns:g="urn:goods" date="2026-11-01">
          <about>One shop</about>
          <goods>
            <g:item sku="A"><g:name>Tea &amp; tin</g:name><g:price currency="EUR">3.50</g:price><tag>new</tag><tag>green</tag></g:item>
            <g:item sku="B"><g:name><![CDATA[A <b>bold</b> one]]></g:name><size><cm>5</cm></size></g:item>
          </goods>
        </shop>
        XML;
    [$headings, $rows] = Supplied::rows(str_replace('One', "Caf\xE9", $xml));
    expect($headings)
        ->toBe(['sku', 'name', 'price.currency', 'price', 'tag', 'size.cm'])
        ->and($rows)
        ->toBe([1 => ['A', 'Tea & tin', 'EUR', '3.50', 'new|green', ''], 2 => ['B', 'A <b>bold</b> one', '', '', '', '5']]);
});

test('what is packed is unpacked, and what is in an archive is named', function (): void {
    $csv = "sku,name\nA,Tea\n";
    expect(Supplied::rows((string) gzencode($csv)))
        ->toBe([['sku', 'name'], [2 => ['A', 'Tea']]])
        ->and(Supplied::rows(Supplied::zip(['notes.pdf' => '%PDF', 'in/goods.csv' => $csv])))
        ->toBe([['sku', 'name'], [2 => ['A', 'Tea']]])
        ->and(Supplied::rows(Supplied::zip(['goods.xml.gz' => (string) gzencode('<a><b sku="A"/><b sku="B"/></a>')])))
        ->toBe([['sku'], [1 => ['A'], 2 => ['B']]])
        ->and(Supplied::rows(Supplied::zip(['prices.csv' => 'sku', 'goods.csv' => $csv]), 'good*.CSV')[1])
        ->toBe([2 => ['A', 'Tea']]);
});

test('what cannot be read says why', function (string $bytes, string $why): void {
    expect(fn () => Supplied::rows($bytes))->toThrow(UnreadableFile::class, $why);
})->with([
    'a gzip that is cut off' => [substr((string) gzencode(str_repeat('sku,name', 500)), 0, -9), 'not all of it has come'],
    'a trap' => [(string) gzencode(str_repeat("\0", 40 << 20)), '200 times'],
    'a trap in an archive' => [Supplied::zip(['goods.csv' => str_repeat('a', 40 << 20)]), '200 times'],
    'several files' => [Supplied::zip(['a.csv' => 'x', 'b.csv' => 'y']), 'a.csv, b.csv'],
    'no file of use' => [Supplied::zip(['a.exe' => 'x']), 'a.exe'],
    'JSON that ends too early' => ['[{"sku":"A"},{"sku":', 'middle of a list'],
    'JSON without a list' => ['{"sku": "A", "n": [1, 2]}'."\n".'x', 'no list'],
    'XML that is cut off' => ["<a>\n<b sku=\"1\"/><b", 'line 2'],
    'XML with an entity of its own' => [
        '<!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/passwd">]><a><b sku="&x;"><c>&x;</c></b><b sku="2"/></a>',
        'not all of it has come',
    ],
    'a web page' => ['<!DOCTYPE html><html><body/></html>', 'a web page'],
]);

test('a line that is no object is refused alone', function (): void {
    [, $rows] = Supplied::rows("{\"sku\":\"A\"}\n{\"sku\":\n[1]\n{\"sku\":\"B\"}\n");
    expect(array_keys($rows))->toBe([1, 2, 3, 4])->and($rows[2])->toContain('no JSON object')->and($rows[4])->toBe(['B']);
});

// The files are LibreOffice's (tests/Outside/Sheets); the other reader is phpoffice/phpspreadsheet.
test('a sheet says what another reader finds in it, cell by cell', function (string $name): void {
    $path = dirname(__DIR__)."/Outside/Sheets/{$name}";
    [$headings, $rows] = Supplied::rows((string) file_get_contents($path));
    $sheet = IOFactory::load($path)->getSheetByName(str_starts_with($name, 'goods') ? 'Goods' : 'many');
    assert($sheet !== null);
    $compared = 0;
    foreach ($rows as $line => $cells) {
        foreach (array_keys($headings) as $i) {
            $cell = $sheet->getCell([$i + 1, $line]);
            $value = $cell->getCalculatedValue();
            $known = match (true) {
                $value === null => null,
                is_bool($value) => $value ? 'true' : 'false',
                is_numeric($value) && Date::isDateTime($cell) => Date::excelToDateTimeObject((float) $value)->format('Y-m-d'),
                is_numeric($value) && str_contains($cell->getFormattedValue(), '%') => $value * 100 .' %',
                preg_match('/^0\d+$/D', $cell->getFormattedValue()) === 1 => $cell->getFormattedValue(),
                $value instanceof RichText => $value->getPlainText(),
                default => is_scalar($value) ? (string) $value : '',
            };
            // Below the first of merged cells the other reader finds nothing, and in ODS no leading zeros.
            if ($known !== null && ltrim($cells[$i], '0') !== $known) {
                expect($cells[$i])->toBe($known, "{$name}: row {$line}, {$headings[$i]}");
            }
            $compared++;
        }
    }
    expect($compared)->toBeGreaterThan(20);
})->with(['goods.xlsx', 'goods.ods', 'many.xlsx', 'many.ods']);

test('merged cells hold what their first one does, and headings stand where the sku is', function (string $name): void {
    [$headings, $rows] = Supplied::rows((string) file_get_contents(dirname(__DIR__)."/Outside/Sheets/{$name}"));
    expect($headings[0])
        ->toBe('sku')
        ->and(array_keys($rows))
        ->toBe([5, 6, 10])
        ->and($rows[6] ?? [])
        ->toBe(['WK-2', 'Kettle 🫖, flat', 'Kitchen > Kettles', '12345678901', '1999-12-31', '', '19.99', '7-B', '0'])
        ->and($rows[5][7] ?? '')
        ->toBe('000742');
})->with(['goods.xlsx', 'goods.ods']);
