<?php

declare(strict_types=1);

use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\UnreadableFile;

/* Deliveries of the strangest cells: each is read or refused with a reason, and the same file again changes nothing. */

const STRANGE_CELLS = [
    '',
    ' ',
    "\u{A0}",
    '0',
    'None',
    'n/a',
    '-',
    '12',
    '1,5',
    '1.500,25',
    '½',
    '1½ cm',
    '٣٠ ml',
    '５ ｋｇ',
    '10–12 cm',
    '20 x 30 cm',
    '1e400',
    'NaN',
    'Infinity',
    '-0',
    '007',
    'yes',
    'NEIN',
    'ja ',
    'Red',
    'red ',
    ' RED',
    'Rot|Blau',
    '|',
    '||',
    "a\nb",
    '"quoted"',
    '<b>bold</b>',
    '&amp;',
    '&#x1F3A8;',
    '🎨',
    '👩‍🎨',
    "e\u{301}tude",
    'étude',
    "\u{200B}",
    "x\u{202E}y",
    '=1+1',
    '2026-11-26',
    '26.11.2026',
    '2026-02-30',
    '%',
    '%s',
    ':',
    'A > B',
    '日本',
    'ﬁne',
    'ß',
    'İ',
    'ǆ',
    "\t",
    '\\',
    "'; DROP TABLE items; --",
    'ünïcödé',
    '1/0',
    '1/3 in',
    'Ø 20 cm',
    '300 gsm',
    '12"',
    "5'6\"",
];

test('a delivery of strange cells is read or refused row by row, and again changes nothing', function (int $seed): void {
    mt_srand($seed);
    $headings = [
        'sku',
        'parent_sku',
        'name',
        'category',
        'brand',
        'price',
        'stock',
        'Color',
        'Size',
        'Safe',
        'Made',
        'Notes',
        'Free',
    ];
    $cell = fn (): string => STRANGE_CELLS[mt_rand(0, count(STRANGE_CELLS) - 1)];
    $csv = CsvWriter::line($headings);
    for ($i = 0; $i < 80; $i++) {
        $sku = mt_rand(0, 9) === 0 ? $cell() : "P{$i}";
        $parent = mt_rand(0, 3) === 0 ? 'P'.mt_rand(0, 90) : '';
        $csv .= CsvWriter::line([
            $sku,
            $parent,
            $cell(),
            mt_rand(0, 3) === 0 ? $cell() : 'Paint > Oil',
            $cell(),
            mt_rand(0, 1) === 0 ? '5.00' : $cell(),
            mt_rand(0, 1) === 0 ? '3' : $cell(),
            ...array_map($cell, range(1, 6)),
        ]);
    }
    $map =
        '{"columns": {"Color": {"kind": "choice", "multiple": true, "level": "variant"}, "Size": {"kind": "number", "unit": '.
        '"cm", "level": "variant"}, "Safe": {"kind": "flag"}, "Made": {"kind": "date"}, "Notes": {"kind": "text", "level": "product"}}}';
    $checked = $this->read($csv, $map, check: true);
    expect(DB::table('items')->count())->toBe(0);
    $first = $this->read($csv, $map);
    expect($first->toArray())
        ->toEqual($checked->toArray())
        ->and(count($first->refused) + DB::table('items')->count())
        ->toBeGreaterThanOrEqual(80);
    foreach ($first->refused as $refused) {
        expect($refused['reason'])->not->toBe('')->and($refused['line'])->toBeGreaterThan(1);
    }
    $again = $this->read($csv, $map)->toArray();
    foreach (['products', 'variants'] as $what) {
        expect([$again[$what]['added'], $again[$what]['changed']])->toBe([0, 0], $what);
    }
    expect($again['values']['added'])->toBe(0)->and(DB::select('PRAGMA foreign_key_check'))->toBe([]);
    $this->publish();
    $this->get('/shop')->assertOk();
})->with(range(1, 10));

test('bytes of any kind are read or refused as a file', function (int $seed): void {
    mt_srand($seed);
    $bytes = "sku,name,Color\nA,Étude,Red\nB,\"two\nlines\",Blue\n";
    for ($i = 0; $i < 25; $i++) {
        $broken = $bytes;
        for ($n = mt_rand(1, 6); $n > 0; $n--) {
            $at = mt_rand(0, strlen($broken) - 1);
            $broken = match (mt_rand(0, 3)) {
                0 => substr_replace($broken, chr(mt_rand(0, 255)), $at, 1),
                1 => substr_replace($broken, '', $at, mt_rand(1, 5)),
                2 => substr_replace($broken, chr(mt_rand(0, 255)).chr(mt_rand(0, 255)), $at, 0),
                3 => substr_replace($broken, ['"', "\n", ',', "\0", "\r", ';'][mt_rand(0, 5)], $at, 0),
            };
        }
        try {
            expect($this->read($broken)->rows)->toBeGreaterThanOrEqual(0);
        } catch (Refused|UnreadableFile $why) {
            expect($why->getMessage())->not->toBe('');
        }
    }
    expect(DB::select('PRAGMA foreign_key_check'))
        ->toBe([])
        ->and(DB::selectOne('PRAGMA integrity_check')->integrity_check)
        ->toBe('ok');
})->with(range(1, 6));
