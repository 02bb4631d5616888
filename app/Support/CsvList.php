<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Lokum\Feed\CsvWriter;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A list as a file for spreadsheets: all of it, as it is narrowed and ordered on the page. Asked for with as=csv. */
final class CsvList
{
    public static function isWanted(Request $request): bool
    {
        return $request->string('as')->toString() === 'csv';
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function of(string $name, array $headings, iterable $rows): StreamedResponse
    {
        return response()->streamDownload(
            function () use ($headings, $rows): void {
                // So that spreadsheets take it for what it is.
                echo "\u{FEFF}".CsvWriter::line($headings);
                foreach ($rows as $row) {
                    echo CsvWriter::line(array_map(strval(...), $row));
                }
            },
            "{$name}.csv",
            ['Content-Type' => 'text/csv; charset=UTF-8'],
        );
    }
}
