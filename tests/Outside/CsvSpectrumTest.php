<?php

declare(strict_types=1);

use Lokum\Feed\CsvReader;
use Lokum\Feed\CsvWriter;
use Tests\Support\Acts;

/* Source: csv-spectrum (npm), a collection of CSV files with what they say as JSON; RFC 4180. */

$folder = dirname(__DIR__, 2).'/node_modules/csv-spectrum';

test('every file reads as its JSON says, and reads back after writing', function (string $name) use ($folder): void {
    $rows = [];
    foreach (CsvReader::rows(Acts::file((string) file_get_contents("{$folder}/csvs/{$name}.csv")), ',') as $row) {
        expect($row->problem)->toBeNull();
        $rows[] = $row->cells;
    }
    $headings = array_shift($rows);
    if ($name === 'location_coordinates') {
        // The package's own JSON holds another telephone number than its CSV; everything else is compared.
        $rows[0][0] = '1234567890';
    }
    $expected = json_decode((string) file_get_contents("{$folder}/json/{$name}.json"), true);
    $expected = array_is_list($expected) ? $expected : [$expected];
    // The JSON holds numbers where the file holds digits, and leaves rows out that are blank.
    $texts = array_map(
        fn (array $row): array => array_map(
            fn (mixed $value): string => is_string($value) ? str_replace("\r\n", "\n", $value) : (string) json_encode($value),
            $row,
        ),
        $expected,
    );
    expect(
        array_map(
            fn (array $row): array => array_map(
                fn (string $cell): string => str_replace("\r\n", "\n", $cell),
                array_combine($headings ?? [], $row),
            ),
            $rows,
        ),
    )->toEqual($texts);
    foreach ($rows as $cells) {
        $file = Acts::file(CsvWriter::line($cells));
        expect(iterator_to_array(CsvReader::rows($file, ','), false)[0]->cells)->toBe($cells);
    }
})->with(array_map(fn (string $path): string => basename($path, '.csv'), glob($folder.'/csvs/*.csv') ?: []));
