<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Generator;
use Lokum\Feed\SupplierFile;
use XMLReader;

/** Spreadsheets as OpenDocument (ISO/IEC 26300), read row by row: merged cells hold what their first one does. */
final class Ods implements Format
{
    private const TABLE = 'urn:oasis:names:tc:opendocument:xmlns:table:1.0';

    private const OFFICE = 'urn:oasis:names:tc:opendocument:xmlns:office:1.0';

    /** Rows and cells below and beside the last one are written as one that comes a million times. */
    private const MOST_REPEATED = 1000;

    public static function isOf(string $head, LocalFile $file): bool
    {
        return ZipXml::has($file, 'content.xml');
    }

    public static function open(LocalFile $file): SupplierFile
    {
        $sheets = [];
        foreach (ZipXml::elements($file, 'content.xml', 'table') as $one) {
            $sheets[] = (string) $one->getAttributeNs('name', self::TABLE);
        }

        return new SheetFile('ODS', $sheets, fn (string $sheet): Generator => self::rows($file, $sheet));
    }

    /** @return Generator<int, array<int, string>> */
    private static function rows(LocalFile $file, string $wanted): Generator
    {
        $merged = new Merged();
        [$isHere, $row, $next, $column, $cells] = [false, 0, 1, 0, []];
        foreach (
            ZipXml::elements($file, 'content.xml', 'table', 'table-row', 'table-cell', 'covered-table-cell') as $one
        ) {
            if ($one->localName === 'table') {
                if ($isHere) {
                    break;
                }
                $isHere = (string) $one->getAttributeNs('name', self::TABLE) === $wanted;
            } elseif ($isHere && $one->localName === 'table-row') {
                yield from self::repeated($row, $next, $cells, $merged);
                [$row, $column, $cells] = [$next, 0, []];
                $next = $row + self::times($one, 'number-rows-repeated');
            } elseif ($isHere) {
                $times = self::times($one, 'number-columns-repeated');
                $rows = self::times($one, 'number-rows-spanned');
                $columns = self::times($one, 'number-columns-spanned');
                if ($rows > 1 || $columns > 1) {
                    $merged->add($row, $row + $rows - 1, $column, $column + $columns - 1);
                }
                $text = self::text($one);
                if ($text !== '') {
                    $cells += array_fill($column, min($times, self::MOST_REPEATED), $text);
                }
                $column += $times;
            }
        }
        yield from self::repeated($row, $next, $cells, $merged);
    }

    /**
     * @param  array<int, string>  $cells
     * @return Generator<int, array<int, string>>
     */
    private static function repeated(int $row, int $next, array $cells, Merged $merged): Generator
    {
        for ($i = $row; $row > 0 && $i < min($next, $row + self::MOST_REPEATED) && ($i === $row || $cells !== []); $i++) {
            yield $i => $merged->fill($i, $cells);
        }
    }

    private static function times(XMLReader $element, string $attribute): int
    {
        return max(1, (int) ($element->getAttributeNs($attribute, self::TABLE) ?? 1));
    }

    /** @param  string  $shown  which tells of leading zeros */
    private static function number(string $number, string $shown): string
    {
        return preg_match('/^0\d+$/D', $shown) === 1 ? $shown : SheetNumber::text($number, 0, false);
    }

    /** Numbers as they are, days as ISO 8601 writes them, all else as it is shown. */
    private static function text(XMLReader $cell): string
    {
        $said = fn (string $name): string => (string) $cell->getAttributeNs($name, self::OFFICE);

        return match ($said('value-type')) {
            'float', 'currency' => self::number($said('value'), ZipXml::textIn($cell, 'p', 'annotation')),
            'percentage' => SheetNumber::text($said('value'), '0%', false),
            'date' => str_replace('T', ' ', (string) preg_replace('/T00:00:00(?:\.0+)?$/D', '', $said('date-value'))),
            'boolean' => $said('boolean-value'),
            default => ZipXml::textIn($cell, 'p', 'annotation', "\n"),
        };
    }
}
