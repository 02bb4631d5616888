<?php

declare(strict_types=1);

use Lokum\Feed\CsvReader;
use Tests\Support\Acts;

/* Files of many megabytes, and rows that never end: what they cost, and that nothing behind them is lost. */

test('a row of more than a mebibyte is refused whole, with its tail', function (string $row): void {
    $rows = iterator_to_array(CsvReader::rows(Acts::file("sku,text\n{$row}\nB,fine\n"), ','), false);
    expect(count($rows))
        ->toBe(3)
        ->and($rows[1]->problem)
        ->toBe('the row is longer than 1 MiB')
        ->and($rows[2]->cells)
        ->toBe(['B', 'fine']);
})->with([
    'one line' => fn () => 'A,'.str_repeat('x', 2_500_000).',tail',
    'quoted lines' => fn () => 'A,"'.str_repeat("a line\n", 300_000).'tail",C',
    'doubled quotes across the pieces' => fn () => 'A,"'.str_repeat('x""', 700_001)."\n\ntail\",C",
]);

test('what quotes cost grows as the file does', function (callable $file): void {
    // Each byte is looked at a bounded number of times: eight times the lines take eight times
    // as long, and 64 times where that is not so. Time of the processor, so that what else the machine does is left out.
    $seconds = function (int $lines) use ($file): float {
        $used = function (): float {
            $usage = (array) getrusage();

            return $usage['ru_utime.tv_sec'] + $usage['ru_utime.tv_usec'] / 1e6;
        };
        $runs = [];
        while (count($runs) < 4 && array_sum($runs) < 0.5) {
            $start = $used();
            iterator_count(CsvReader::rows(Acts::file($file($lines)), ','));
            $runs[] = $used() - $start;
        }

        return min($runs);
    };
    $seconds(500);
    expect($seconds(32_000) / $seconds(4_000))->toBeLessThan(30.0);
})->with([
    'opened on every line' => [fn (int $lines): string => str_repeat("x,\"a\n", $lines)],
    'opened and closed, and open at the end' => [fn (int $lines): string => "\"a\n".str_repeat("b\",\"c\n", $lines)],
    'cells of one line end' => [fn (int $lines): string => str_repeat("\"\n\",\n", $lines)],
]);

test('a row of a mebibyte is taken', function (int $letters, bool $isTaken): void {
    $rows = iterator_to_array(CsvReader::rows(Acts::file("sku,text\n\"A\",".str_repeat('x', $letters)."\nB,fine\n"), ','), false);
    expect($rows[1]->problem === null)->toBe($isTaken)->and($rows[2]->cells)->toBe(['B', 'fine']);
})->with([[(1 << 20) - 1, true], [1 << 20, false]]);
