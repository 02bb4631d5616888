<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Generator;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;
use XMLReader;

/**
 * Spreadsheets as Office Open XML (ECMA-376), read row by row: merged cells hold what their first one does, formulas their last
 * result.
 */
final class Xlsx implements Format
{
    /** @var array<string, string> where the sheets stand in the archive, by name */
    private array $sheets = [];

    /** @var list<string> */
    private array $texts = [];

    /** @var list<string|int> formats of numbers, by style */
    private array $formats = [];

    private bool $from1904 = false;

    private function __construct(private readonly LocalFile $file)
    {
        $this->readWorkbook();
        $this->readTexts();
        $this->readFormats();
    }

    public static function isOf(string $head, LocalFile $file): bool
    {
        return ZipXml::has($file, 'xl/workbook.xml');
    }

    public static function open(LocalFile $file): SupplierFile
    {
        $book = new self($file);

        return new SheetFile('XLSX', array_map(strval(...), array_keys($book->sheets)), $book->rows(...));
    }

    private function readWorkbook(): void
    {
        $targets = [];
        foreach (ZipXml::elements($this->file, 'xl/_rels/workbook.xml.rels', 'Relationship') as $one) {
            $target = (string) $one->getAttribute('Target');
            $targets[(string) $one->getAttribute('Id')] = str_starts_with($target, '/') ? ltrim($target, '/') : "xl/{$target}";
        }
        foreach (ZipXml::elements($this->file, 'xl/workbook.xml', 'sheet', 'workbookPr') as $one) {
            if ($one->localName === 'workbookPr') {
                $this->from1904 = in_array($one->getAttribute('date1904'), ['1', 'true'], true);
            } elseif (! in_array($one->getAttribute('state'), ['hidden', 'veryHidden'], true)) {
                $id = $one->getAttributeNs('id', 'http://schemas.openxmlformats.org/officeDocument/2006/relationships') ??
                    $one->getAttributeNs('id', 'http://purl.oclc.org/ooxml/officeDocument/relationships');
                if (isset($targets[(string) $id])) {
                    $this->sheets[(string) $one->getAttribute('name')] = $targets[(string) $id];
                }
            }
        }
        if ($this->sheets === []) {
            throw UnreadableFile::noHeadings();
        }
    }

    private function readTexts(): void
    {
        if (! ZipXml::has($this->file, 'xl/sharedStrings.xml')) {
            return;
        }
        foreach (ZipXml::elements($this->file, 'xl/sharedStrings.xml', 'si') as $one) {
            $this->texts[] = self::text($one);
        }
    }

    private function readFormats(): void
    {
        if (! ZipXml::has($this->file, 'xl/styles.xml')) {
            return;
        }
        $codes = [];
        $inCells = false;
        foreach (ZipXml::elements($this->file, 'xl/styles.xml', 'numFmt', 'cellXfs', 'cellStyleXfs', 'cellStyles', 'xf') as $one) {
            if ($one->localName === 'numFmt') {
                $codes[(int) $one->getAttribute('numFmtId')] = (string) $one->getAttribute('formatCode');
            } elseif ($one->localName === 'xf' && $inCells) {
                $format = (int) $one->getAttribute('numFmtId');
                $this->formats[] = $codes[$format] ?? $format;
            } elseif ($one->localName !== 'xf') {
                $inCells = $one->localName === 'cellXfs';
            }
        }
    }

    /** @return Generator<int, array<int, string>> */
    private function rows(string $sheet): Generator
    {
        $merged = $this->merged($sheet);
        $row = 0;
        $column = -1;
        $cells = [];
        foreach (ZipXml::elements($this->file, $this->sheets[$sheet], 'row', 'c') as $one) {
            if ($one->localName === 'row') {
                if ($row > 0) {
                    yield $row => $merged->fill($row, $cells);
                }
                $row = (int) ($one->getAttribute('r') ?? $row + 1);
                [$column, $cells] = [-1, []];
            } else {
                $column = self::column((string) $one->getAttribute('r')) ?? $column + 1;
                $text = $this->cell($one);
                if ($text !== '') {
                    $cells[$column] = $text;
                }
            }
        }
        if ($row > 0) {
            yield $row => $merged->fill($row, $cells);
        }
    }

    private function cell(XMLReader $cell): string
    {
        $type = $cell->getAttribute('t') ?? 'n';
        $style = (int) $cell->getAttribute('s');
        if ($type === 'inlineStr') {
            return self::text($cell);
        }
        $value = ZipXml::textIn($cell, 'v');

        return match ($type) {
            's' => $this->texts[(int) $value] ?? '',
            'b' => $value === '1' ? 'true' : 'false',
            'e' => '',
            'n' => $value === '' ? '' : SheetNumber::text($value, $this->formats[$style] ?? 0, $this->from1904),
            default => $value,
        };
    }

    private function merged(string $sheet): Merged
    {
        $merged = new Merged();
        foreach (ZipXml::elements($this->file, $this->sheets[$sheet], 'mergeCell') as $one) {
            if (preg_match('/^([A-Z]+)(\d+):([A-Z]+)(\d+)$/D', (string) $one->getAttribute('ref'), $part) === 1) {
                $merged->add((int) $part[2], (int) $part[4], (int) self::column("{$part[1]}1"), (int) self::column("{$part[3]}1"));
            }
        }

        return $merged;
    }

    /** What it says, without the parts that only tell how it is pronounced. */
    private static function text(XMLReader $element): string
    {
        return ZipXml::textIn($element, 't', 'rPh');
    }

    /** @return int|null from 0, of a cell such as AB12 */
    private static function column(string $cell): ?int
    {
        if (preg_match('/^([A-Z]{1,3})\d+$/D', $cell, $part) !== 1) {
            return null;
        }
        $column = 0;
        foreach (str_split($part[1]) as $letter) {
            $column = $column * 26 + ord($letter) - 64;
        }

        return $column - 1;
    }
}
