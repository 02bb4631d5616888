<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Lokum\Feed\CsvFile;

/** Merged cells of a sheet: each of them holds what the first one does. Rows are to be filled from the top down. */
final class Merged
{
    /** @var array<int, list<array{0: int, 1: int, 2: int}>> last row, first and last column, by first row */
    private array $begin = [];

    /** @var list<array{0: int, 1: int, 2: int, 3: string}> those that reach into the next row, with what they hold */
    private array $under = [];

    /** Rows from 1, columns from 0; of a whole row that is merged, as many columns as a file may have. */
    public function add(int $firstRow, int $lastRow, int $firstColumn, int $lastColumn): void
    {
        $this->begin[$firstRow][] = [$lastRow, $firstColumn, min($lastColumn, $firstColumn + CsvFile::MOST_COLUMNS)];
    }

    /**
     * @param  array<int, string>  $cells  of a row, by column
     * @return array<int, string>
     */
    public function fill(int $row, array $cells): array
    {
        $this->under = array_values(array_filter($this->under, fn (array $one): bool => $one[0] >= $row));
        foreach ($this->begin[$row] ?? [] as [$last, $from, $to]) {
            $this->under[] = [$last, $from, $to, $cells[$from] ?? ''];
        }
        foreach ($this->under as [, $from, $to, $text]) {
            if ($text !== '') {
                $cells = array_fill($from, $to - $from + 1, $text) + $cells;
            }
        }
        ksort($cells);

        return $cells;
    }
}
