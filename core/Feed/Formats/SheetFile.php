<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Closure;
use Generator;
use Lokum\Feed\ColumnName;
use Lokum\Feed\CsvFile;
use Lokum\Feed\Row;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/**
 * The sheet of a spreadsheet that holds the products: the first with a heading "sku" among its first rows, else the first that is
 * not empty. The row with that heading, else the first filled row, is the one of headings.
 */
final class SheetFile implements SupplierFile
{
    /** Rows among which the headings are looked for. */
    private const FIRST_ROWS = 20;

    private string $sheet = '';

    private int $headingRow = 0;

    /** @var list<string> */
    private array $headings = [];

    private int $last = 0;

    private int $row = 0;

    /**
     * @param  list<string>  $sheets  names of those that are shown
     * @param  Closure(string): iterable<int, array<int, string>>  $rows  of a sheet, by number from 1: texts by
     *         column from 0, rising
     *
     * @throws UnreadableFile
     */
    public function __construct(
        private readonly string $kind,
        private readonly array $sheets,
        private readonly Closure $rows,
    ) {
        foreach ($this->sheets as $sheet) {
            $found = $this->headingsOf($sheet);
            if ($found !== null && ($this->sheet === '' || $found[2])) {
                [$this->headingRow, $cells] = $found;
                $this->headings = self::filled($cells, 1 + array_key_last($cells));
                $this->sheet = $sheet;
                if ($found[2]) {
                    break;
                }
            }
        }
        if ($this->headings === []) {
            throw UnreadableFile::noHeadings();
        }
        if (count($this->headings) > CsvFile::MOST_COLUMNS) {
            throw UnreadableFile::tooManyColumns(count($this->headings));
        }
    }

    public function headings(): array
    {
        return $this->headings;
    }

    public function described(): array
    {
        return [$this->kind, "sheet \"{$this->sheet}\"", "headings in row {$this->headingRow}"];
    }

    public function rows(): Generator
    {
        foreach (($this->rows)($this->sheet) as $number => $cells) {
            $this->row = $number;
            $this->last = max($this->last, $number);
            if ($number > $this->headingRow && trim(implode('', $cells)) !== '') {
                yield new Row($number, self::filled($cells, max(count($this->headings), 1 + (array_key_last($cells) ?? 0))));
            }
        }
    }

    public function progress(): float
    {
        return $this->last === 0 ? 1.0 : $this->row / $this->last;
    }

    /** @return array{0: int, 1: non-empty-array<int, string>, 2: bool}|null number of the row, its cells, whether one says sku */
    private function headingsOf(string $sheet): ?array
    {
        $first = null;
        $seen = 0;
        foreach (($this->rows)($sheet) as $number => $cells) {
            $filled = array_filter($cells, fn (string $cell): bool => trim($cell) !== '');
            if ($filled === []) {
                continue;
            }
            if (ColumnName::amongHeadings('sku', self::filled($filled, 1 + array_key_last($filled))) !== null) {
                return [$number, $filled, true];
            }
            $first ??= [$number, $filled, false];
            if (++$seen >= self::FIRST_ROWS) {
                break;
            }
        }

        return $first;
    }

    /**
     * @param  array<int, string>  $cells
     * @return list<string>
     */
    private static function filled(array $cells, int $width): array
    {
        return array_values(array_replace(array_fill(0, $width, ''), $cells));
    }
}
