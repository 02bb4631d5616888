<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Generator;

/** A supplier's file, opened: its dialect, and its rows as UTF-8. */
final readonly class CsvFile implements SupplierFile
{
    public const MOST_COLUMNS = 1000;

    /** In characters. */
    public const LONGEST_HEADING = 500;

    private const SAMPLE_LINES = 40;

    /** Where so many rows hold no sound ones, more are not looked at. */
    private const SAMPLE_ROWS = 400;

    /** @param  resource  $file  seekable, UTF-8 */
    private function __construct(private mixed $file, public Dialect $dialect, private int $size)
    {
    }

    /**
     * @param  resource  $source  open for reading and seeking
     *
     * @throws UnreadableFile
     */
    public static function open($source): self
    {
        [$encoding, $marked] = Encoding::detect($source);
        $file = fopen('php://temp/maxmemory:'.(8 << 20), 'w+b');
        if ($file === false) {
            throw UnreadableFile::cannotOpen('php://temp');
        }
        Encoding::copyAsUtf8($source, $file, $encoding, $marked);
        $delimiter = self::guessDelimiter($file);
        $heading = self::findHeadings($file, $delimiter);
        if (count($heading->cells) > self::MOST_COLUMNS) {
            throw UnreadableFile::tooManyColumns(count($heading->cells));
        }
        foreach ($heading->cells as $index => $cell) {
            if (mb_strlen($cell) > self::LONGEST_HEADING) {
                throw UnreadableFile::longHeading($index + 1);
            }
        }

        $size = fstat($file)['size'] ?? 0;

        return new self($file, new Dialect($encoding, $marked, $delimiter, $heading->line, $heading->cells), $size);
    }

    public function headings(): array
    {
        return $this->dialect->headings;
    }

    public function described(): array
    {
        return [
            $this->dialect->delimiterName().' between cells',
            $this->dialect->encoding.($this->dialect->marked ? ' with mark' : ''),
            "headings on line {$this->dialect->headingLine}",
        ];
    }

    public function rows(): Generator
    {
        rewind($this->file);
        foreach (CsvReader::rows($this->file, $this->dialect->delimiter) as $row) {
            if ($row->line > $this->dialect->headingLine) {
                yield $row;
            }
        }
    }

    public function progress(): float
    {
        return $this->size === 0 ? 1.0 : (int) ftell($this->file) / $this->size;
    }

    /**
     * The delimiter that cuts the first rows into the same number of cells most often, and into more than one; a heading
     * "sku" that it uncovers settles it.
     *
     * @param  resource  $file
     * @return key-of<Dialect::DELIMITERS>
     */
    private static function guessDelimiter($file): string
    {
        $best = ',';
        $bestScore = -1.0;
        foreach (array_keys(Dialect::DELIMITERS) as $delimiter) {
            $widths = [];
            $sku = false;
            foreach (self::sample($file, $delimiter) as $row) {
                $widths[] = count($row->cells);
                $sku = $sku || ColumnName::amongHeadings('sku', $row->cells) !== null;
            }
            if ($widths === []) {
                continue;
            }
            $shares = array_count_values($widths);
            arsort($shares);
            $width = array_key_first($shares);
            $score = ($width > 1 ? $shares[$width] / count($widths) + min($width, 50) / 1000 : 0.0) + ($sku ? 2 : 0);
            if ($score > $bestScore) {
                [$best, $bestScore] = [$delimiter, $score];
            }
        }

        return $best;
    }

    /**
     * The row with a heading "sku" among the first ones; else the first row.
     *
     * @param  resource  $file
     * @param  non-empty-string  $delimiter
     *
     * @throws UnreadableFile
     */
    private static function findHeadings($file, string $delimiter): Row
    {
        $rows = self::sample($file, $delimiter);
        foreach (array_slice($rows, 0, 10) as $row) {
            if (ColumnName::amongHeadings('sku', $row->cells) !== null) {
                return $row;
            }
        }

        return $rows[0] ?? throw UnreadableFile::noHeadings();
    }

    /**
     * @param  resource  $file
     * @param  non-empty-string  $delimiter
     * @return list<Row> the first sound rows
     */
    private static function sample($file, string $delimiter): array
    {
        rewind($file);
        $rows = [];
        $seen = 0;
        foreach (CsvReader::rows($file, $delimiter) as $row) {
            if ($row->problem === null && trim(implode('', $row->cells)) !== '') {
                $rows[] = $row;
            }
            if (count($rows) >= self::SAMPLE_LINES || ++$seen >= self::SAMPLE_ROWS) {
                break;
            }
        }

        return $rows;
    }
}
