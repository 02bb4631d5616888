<?php

declare(strict_types=1);

use Lokum\Feed\Formats\Flat;
use Lokum\Feed\Formats\Formats;
use Lokum\Feed\Formats\LocalFile;
use Lokum\Feed\Formats\RecordFile;
use Lokum\Feed\UnreadableFile;
use Tests\Support\Acts;
use Tests\Support\Supplied;

/* Records of JSON and XML, and files inside others, at the edges of what is read. */

test('nested data is one text for each name', function (array $data, array $texts): void {
    expect(Flat::of($data))->toBe($texts);
})->with([
    'plain' => [['sku' => 'A', 'n' => 5, 'none' => null], ['sku' => 'A', 'n' => '5', 'none' => '']],
    'yes and no' => [['yes' => true, 'no' => false], ['yes' => 'true', 'no' => 'false']],
    'numbers' => [['n' => [1.5, 2.0, 0.1, 1e-7]], ['n' => '1.5|2|0.1|0.0000001']],
    'names' => [['size' => ['cm' => 5, 'box' => ['a' => 1]]], ['size.cm' => '5', 'size.box.a' => '1']],
    'a list' => [['for' => ['home', '', 'shop']], ['for' => 'home|shop']],
    'a list of things' => [['v' => [['sku' => 'A', 'n' => 1], ['sku' => 'B']]], ['v.sku' => 'A|B', 'v.n' => '1']],
    'numbers that are names' => [['5' => 'a', '7' => 'b'], [5 => 'a', 7 => 'b']],
    'an empty list' => [['for' => []], []],
    'a list alone' => [['a', 'b'], []],
    'as deep as it is looked' => [
        ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => 1]]]]]]]]],
        ['a.a.a.a.a.a.a.a.a' => '1'],
    ],
    'deeper, as it stands' => [
        ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['a' => ['é' => 1]]]]]]]]]],
        ['a.a.a.a.a.a.a.a.a' => '{"é":1}'],
    ],
]);

test('what begins like JSON or XML is read as what it is', function (string $bytes, string $kind, array $first): void {
    $file = Formats::open(Acts::file($bytes));
    $rows = iterator_to_array($file->rows(), false);
    expect([$file->described()[0], $rows[0]->cells])->toBe([$kind, $first]);
})->with([
    'one object alone' => ['{"sku": "A"}', 'JSON, one object a line', ['A']],
    'one object, with an object inside' => ['{"sku": "A", "size": {"cm": 5}}', 'JSON, one object a line', ['A', '5']],
    'two lines, whatever is inside' => ["{\"sku\": \"A\", \"l\": [{\"x\": 1}]}\n{\"sku\": \"B\"}", 'JSON, one object a line', ['A', '1']],
    'lines before the first' => ["\n\n{\"sku\": \"A\"}\n{\"sku\": \"B\"}", 'JSON, one object a line', ['A']],
    'old line ends' => ["{\"sku\": \"A\"}\r\n\r\n{\"sku\": \"B\"}\r\n", 'JSON, one object a line', ['A']],
    'a list inside' => ['{"x": 1, "goods": [{"sku": "A"}]}', 'JSON', ['A']],
    'a list deeper inside' => ['{"a": {"goods": [{"sku": "A"}]}}', 'JSON', ['A']],
    'over several lines' => ["{\n  \"goods\": [\n    {\"sku\": \"A\"}\n  ]\n}", 'JSON', ['A']],
    'a list' => [' [ {"sku": "A"}, 5, {"sku": "B"}]', 'JSON', ['A']],
    'lists in a list' => ['[[{"sku": "A"}]]', 'JSON', ['A']],
    'XML' => ['<a><b sku="A"/><b sku="B"/></a>', 'XML', ['A']],
    'XML behind a mark' => ["\xEF\xBB\xBF\n<a><b sku=\"A\"/></a>", 'XML', ['A']],
    'XML with a remark first' => ['<!-- of today --><a><b sku="A"/></a>', 'XML', ['A']],
    'XML in other letters' => ['<Ü><b sku="A"/></Ü>', 'XML', ['A']],
    'a heading in brackets' => ["[sku];name\nA;Tea\n", 'semicolon between cells', ['A', 'Tea']],
    'a heading in curly ones' => ["{sku};sku\nA;Tea\n", 'semicolon between cells', ['A', 'Tea']],
    'a heading that is less' => ["<5;sku\nA;Tea\n", 'semicolon between cells', ['A', 'Tea']],
]);

test('the list that is longest is read, by the names that lead to it', function (): void {
    $json = '{"shop": "Q", "pages": [{"no": 1}, {"no": 2}], '.
        '"data": {"items": [{"sku": "A"}, {"sku": "B", "of": [{"x": 1}]}, {"sku": "C"}]}}';
    $file = Formats::open(Acts::file($json));
    expect($file->described())
        ->toBe(['JSON', 'the list "data.items"'])
        ->and(Supplied::rows($json)[1])
        ->toBe([1 => ['A', ''], 2 => ['B', '1'], 3 => ['C', '']])
        ->and(Formats::open(Acts::file('[{"sku": "A"}]'))->described())
        ->toBe(['JSON', 'a list of objects']);
});

test('texts of JSON may hold whatever they like', function (string $text): void {
    $json = (string) json_encode(['goods' => [['sku' => 'A', 'text' => $text], ['sku' => 'B', 'text' => 'x']]], JSON_UNESCAPED_UNICODE);
    expect(Supplied::rows($json)[1])->toBe([1 => ['A', $text], 2 => ['B', 'x']]);
    // Between two chunks of 65,536 bytes, at every place of it.
    foreach (range(0, 3) as $shift) {
        $before = str_repeat(' ', 65_536 - 30 - $shift);
        expect(Supplied::rows('{"goods":'.$before.substr($json, strlen('{"goods":')))[1][1])->toBe(['A', $text]);
    }
})->with(['"', '\\', '\\"', '{[', ']}', ',:', "line\nend", 'é🫖', '\\\\"{']);

test('an object of JSON that cannot be read is refused alone', function (): void {
    [, $rows] = Supplied::rows('[{"sku": "A"}, {"sku": oops}, {"sku": "B"}]');
    expect($rows[1])->toBe(['A'])->and($rows[2])->toBe('object 2 cannot be read: Syntax error')->and($rows[3])->toBe(['B']);
});

test('a file of JSON that ends too early, or has no list, says so', function (string $json, string $why): void {
    expect(fn () => Supplied::rows($json))->toThrow(UnreadableFile::class, $why);
})->with([
    ['[{"sku": "A"', 'in the middle of a list'],
    ['[{"sku": "A"}', 'in the middle of a list'],
    ['{"a": [{"sku": "A"}]', 'in the middle of a list'],
    ['[1, 2, 3]', 'no list of them'],
    ['[]', 'no list of them'],
    ['{"a": {"b": 1}, '."\n".'"c": [1]}', 'no list of them'],
]);

test('lines of JSON that are none say which and why', function (): void {
    [, $rows] = Supplied::rows("{\"sku\":\"A\"}\n{\"sku\":}\n[1]\n5\n\n  {\"sku\":\"B\"}  \n");
    expect($rows)->toBe([
        1 => ['A'],
        2 => 'this line is no JSON object: Syntax error',
        3 => 'this line is no JSON object: it is a list',
        4 => 'this line is no JSON object: No error',
        6 => ['B'],
    ]);
});

test('numbers of JSON that are too large for one stay as they were written', function (): void {
    $long = '12345678901234567890123';
    expect(Supplied::rows("{\"sku\":\"A\",\"ean\":{$long}}\n{\"sku\":\"B\"}")[1][1])
        ->toBe(['A', $long])
        ->and(Supplied::rows("[{\"sku\":\"A\",\"ean\":{$long}}]")[1][1])
        ->toBe(['A', $long]);
});

test('of XML the outermost element that comes again is a row', function (string $xml, string $element, array $rows): void {
    $file = Formats::open(Acts::file($xml));
    expect($file->described())
        ->toBe(['XML', "the elements \"{$element}\""])
        ->and(Supplied::rows($xml)[1])
        ->toBe($rows);
})->with([
    'beside one that comes once' => ['<a><h v="1"/><b sku="A"/><b sku="B"/></a>', 'b', [1 => ['A'], 2 => ['B']]],
    'the one that comes more often' => ['<a><h v="1"/><h v="2"/><b sku="A"/><b sku="B"/><b sku="C"/></a>', 'b', [
        1 => ['A'],
        2 => ['B'],
        3 => ['C'],
    ]],
    'the outer one' => ['<a><b sku="A"><c n="1"/><c n="2"/><c n="3"/></b><b sku="B"/></a>', 'b', [
        1 => ['A', '1|2|3', ''],
        2 => ['B', '', ''],
    ]],
    'the one inside, where no other comes again' => ['<a><b><c n="1"/><c n="2"/></b></a>', 'c', [1 => ['1'], 2 => ['2']]],
    'one alone' => ['<a><b sku="A"><c>5</c></b></a>', 'b', [1 => ['A', '5']]],
    'not those with nothing in them' => ['<a><x/><x/><x/><b sku="A"/><b sku="B"/></a>', 'b', [1 => ['A'], 2 => ['B']]],
    'of one name at two places the place that has more' => [
        '<a><u><b sku="X"/></u><w><b sku="A"/><b sku="B"/></w></a>',
        'b',
        [1 => ['A'], 2 => ['B']],
    ],
    'one right behind the other, and apart' => ["<a>\n<b sku=\"A\"/><b sku=\"B\"/>\n<c/>\n<b sku=\"C\"/></a>", 'b', [
        1 => ['A'],
        2 => ['B'],
        3 => ['C'],
    ]],
]);

test('what stands in an element is its text, its attributes and what is inside', function (
    string $inside,
    array $headings,
    array $cells,
): void {
    [$found, $rows] = Supplied::rows("<a>{$inside}{$inside}</a>");
    expect($found)->toBe($headings)->and($rows)->toBe([1 => $cells, 2 => $cells]);
})->with([
    'text alone' => ['<b sku="A"> Tea </b>', ['sku', 'b'], ['A', 'Tea']],
    'text beside elements' => ['<b>Tea <c>5</c> tin</b>', ['c', 'b'], ['5', 'Tea  tin']],
    'blank between elements' => ["<b sku=\"A\">\n <c>5</c>\n</b>", ['sku', 'c'], ['A', '5']],
    'nothing inside' => ['<b sku="A"><c/></b>', ['sku', 'c'], ['A', '']],
    'attributes inside' => ['<b><c u="mm">5</c></b>', ['c.u', 'c'], ['mm', '5']],
    'attributes and nothing else' => ['<b><c u=" mm "/></b>', ['c.u', 'c'], ['mm', '']],
    'deeper' => ['<b><c><d>5</d><d>6</d></c><c><d>7</d></c></b>', ['c.d'], ['5|6|7']],
    'parts of a text' => ['<b><c>a<![CDATA[<b>]]>c</c></b>', ['c'], ['a<b>c']],
    'a remark is none' => ['<b><c>a<!-- no -->b</c></b>', ['c'], ['ab']],
]);

test('a document of XML with nothing that comes again says so', function (string $xml): void {
    expect(fn () => Supplied::rows($xml))->toThrow(UnreadableFile::class, 'no list of them');
})->with(['<a/>', '<a>text</a>', '<a x="1"/>', '<a><b/><b/></a>']);

test('elements are looked for six deep', function (): void {
    $deep = fn (string $inside, int $n): string => str_repeat('<a>', $n).$inside.str_repeat('</a>', $n);
    expect(Supplied::rows($deep('<b sku="A"/><b sku="B"/>', 5))[1])
        ->toBe([1 => ['A'], 2 => ['B']])
        ->and(Supplied::rows($deep('<b sku="A"/><b sku="B"/>', 7))[1])
        ->toHaveCount(1);
});

test('a web page is none of the formats', function (string $page): void {
    expect(fn () => Supplied::rows($page))->toThrow(UnreadableFile::class);
})->with(['<html><body><b sku="A"/><b sku="B"/></body></html>', " <!DOCTYPE HTML>\n<b sku=\"A\"/>", '<!doctype html><p>']);

test('records have the names that any of them has', function (): void {
    $file = new RecordFile(fn (): array => [3 => ['sku' => 'A', 'f' => 'five'], 4 => 'why not', 7 => ['x' => 'y', 'sku' => 'B']], ['X']);
    expect($file->headings())->toBe(['sku', 'f', 'x'])->and($file->described())->toBe(['X']);
    $seen = [];
    foreach ($file->rows() as $row) {
        $seen[] = [$row->line, $row->cells, $row->problem, round($file->progress(), 2)];
    }
    expect($seen)->toBe([[3, ['A', 'five', ''], null, 0.33], [4, [], 'why not', 0.67], [7, ['B', '', 'y'], null, 1.0]]);
    $names = fn (int $n): array => [1 => array_fill_keys(array_map(fn (int $i): string => "n{$i}", range(1, $n)), '')];
    expect((new RecordFile(fn (): array => $names(1000), []))->headings())
        ->toHaveCount(1000)
        ->and(fn () => new RecordFile(fn (): array => $names(1001), []))
        ->toThrow(UnreadableFile::class, '1001')
        ->and(fn () => new RecordFile(fn (): array => [1 => 'why not'], []))
        ->toThrow(UnreadableFile::class, 'no list of them');
});

const PACKED_ROWS = "sku,name\nA,Tea\n";

test('one file of an archive is read, whichever can be meant', function (array $files, ?string $pattern): void {
    expect(Supplied::rows(Supplied::zip($files), $pattern))->toBe([['sku', 'name'], [2 => ['A', 'Tea']]]);
})->with([
    'in a folder' => [['in/' => '', 'in/goods.TXT' => PACKED_ROWS], null],
    'beside what a system leaves behind' => [['__MACOSX/goods.csv' => 'x', 'goods.tsv' => PACKED_ROWS], null],
    'by a pattern, whatever its ending' => [['a.csv' => 'x', 'b.dat' => PACKED_ROWS], 'B.*'],
    'by a pattern of its name alone' => [['x/goods.csv' => PACKED_ROWS, 'y/other.csv' => 'x'], 'goods.csv'],
    'an archive inside' => [['inner.gz' => (string) gzencode(PACKED_ROWS)], null],
    'a name of digits' => [['1' => PACKED_ROWS], '1'],
]);

test('each ending that can be read is looked for in an archive', function (string $ending): void {
    expect(Supplied::rows(Supplied::zip(["goods.{$ending}" => PACKED_ROWS, 'read.me' => 'x']))[0])->toBe(['sku', 'name']);
})->with(['csv', 'tsv', 'txt', 'json', 'jsonl', 'ndjson', 'xml', 'xlsx', 'ods', 'gz', 'CSV']);

test('packed twice is unpacked twice', function (): void {
    expect(Supplied::rows((string) gzencode((string) gzencode(PACKED_ROWS)))[1])
        ->toBe([2 => ['A', 'Tea']])
        ->and(Supplied::rows((string) gzencode(Supplied::zip(['goods.csv' => PACKED_ROWS])))[1])
        ->toBe([2 => ['A', 'Tea']]);
});

test('an archive that cannot be opened says why', function (string $bytes, ?string $pattern, string $why): void {
    expect(fn () => Supplied::rows($bytes, $pattern))->toThrow(UnreadableFile::class, $why);
})->with([
    'damaged' => [substr(Supplied::zip(['goods.csv' => PACKED_ROWS]), 0, 40), null, 'It is damaged, or not all of it has come.'],
    'with a password' => [Supplied::zip(['goods.csv' => PACKED_ROWS], 'secret'), null, 'It is damaged, or has a password.'],
    'nothing in it' => [Supplied::zip(['in/' => '']), null, 'no file that can be read, only: .'],
    'no file for the pattern' => [Supplied::zip(['a.csv' => 'x']), 'b.*', 'only: a.csv.'],
    'two for the pattern' => [Supplied::zip(['a.csv' => 'x', 'b.csv' => 'x', 'c.txt' => 'x']), '*.csv', 'files: a.csv, b.csv. Say which'],
    'a gzip that is none' => ["\x1F\x8Bnot at all", null, 'It is damaged, or not all of it has come.'],
    'a gzip that is cut off' => [substr((string) gzencode(random_bytes(9000)), 0, -20), null, 'not all of it has come'],
]);

test('what is small may become many times as large', function (): void {
    $rows = "sku,name\n".str_repeat("A,Tea\n", 30_000);
    foreach ([(string) gzencode($rows, 9), Supplied::zip(['goods.csv' => $rows])] as $bytes) {
        expect(strlen($rows) / strlen($bytes))
            ->toBeGreaterThan(200)
            ->and(Supplied::rows($bytes)[1])
            ->toHaveCount(30_000);
    }
});

test('what lies nowhere is put down to be read, and what does is read where it lies', function (): void {
    $file = LocalFile::of(Acts::file(PACKED_ROWS));
    expect(file_get_contents($file->path))
        ->toBe(PACKED_ROWS)
        ->and($file->bytes())
        ->toBe(strlen(PACKED_ROWS))
        ->and(stream_get_contents($file->opened()))
        ->toBe(PACKED_ROWS);
    $handle = fopen($file->path, 'rb') ?: throw new RuntimeException();
    expect(LocalFile::of($handle)->path)->toBe($file->path);
    $path = $file->path;
    unset($file);
    clearstatcache();
    expect(is_file($path))->toBeFalse();
});
