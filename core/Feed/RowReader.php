<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\Label;
use Lokum\Vocabulary\Kind;

/** Turns the rows of one file into what they say, by what its columns mean. Each row is judged on its own here. */
final readonly class RowReader
{
    private const LENGTHS = [
        'sku' => 200,
        'parent_sku' => 200,
        'name' => 1000,
        'currency' => 10,
        'description' => 65536,
        'image' => 2000,
    ];

    private const PATHS = 2000;

    private const SPELLING = 500;

    private const TEXT = 65536;

    private int $sku;

    /**
     * @param  list<string>  $headings
     * @param  array<int, Column|string|null>  $targets  what each column is: attribute data, a known column, or left aside
     * @param  list<string>  $empty  cells that count as missing in the known columns
     *
     * @throws UnreadableFile when no column is the sku, or two are the same known column
     */
    public function __construct(private array $headings, private array $targets, private array $empty = [])
    {
        $known = array_filter($targets, is_string(...));
        foreach (array_count_values($known) as $field => $times) {
            // Several columns may name categories; the first names the one that a product belongs to.
            if ($times > 1 && $field !== 'category') {
                throw UnreadableFile::twoColumnsFor($field);
            }
        }
        $sku = array_search('sku', $known, true);
        $this->sku = is_int($sku) ? $sku : throw UnreadableFile::noSku($headings);
    }

    /** The sku of a row alone; empty where the row says none. */
    public function sku(Row $row): string
    {
        return $row->problem === null ? trim($row->cells[$this->sku] ?? '') : '';
    }

    /** The fields and attribute texts of a row, or why it is refused: the line, the column and the reason. */
    public function read(Row $row): ReadRow
    {
        if ($row->problem !== null) {
            return $this->refused($row, '', $row->problem);
        }
        $width = count($this->headings);
        foreach (array_slice($row->cells, $width, null, true) as $index => $extra) {
            if (! Label::isBlank($extra)) {
                return $this->refused(
                    $row,
                    '',
                    count($row->cells).
                        " cells under {$width} headings; cell ".
                        ($index + 1).
                        ' holds "'.
                        mb_strimwidth($extra, 0, 40, '…').
                        '"',
                );
            }
        }
        $fields = $cells = $paths = [];
        foreach ($this->targets as $index => $target) {
            $cell = $row->cells[$index] ?? '';
            try {
                if ($target instanceof Column) {
                    $cells[$index] = $this->spellings($target, $cell);
                } elseif ($target === 'category') {
                    $paths = [...$paths, ...$this->paths($cell)];
                    $fields['category'] = $paths;
                } elseif ($target !== null) {
                    $fields[$target] = $this->field($target, $cell);
                }
            } catch (BadCell $bad) {
                return $this->refused($row, $this->headings[$index] ?? '', $bad->getMessage());
            }
        }
        $sku = (string) $this->textOf($fields['sku'] ?? null);
        if ($sku === '') {
            return $this->refused($row, $this->headings[$this->sku], 'the sku is missing');
        }
        $parent = $this->textOf($fields['parent_sku'] ?? null);
        if ($parent === $sku) {
            return $this->refused($row, 'parent_sku', "\"{$sku}\" names itself as its product");
        }
        unset($fields['sku'], $fields['parent_sku']);

        return new ReadRow($row->line, $sku, $parent, $fields, $cells);
    }

    /** @return list<string> */
    private function spellings(Column $column, string $cell): array
    {
        $most = $column->kind === Kind::Text ? self::TEXT : self::SPELLING;
        if (strlen($cell) <= $most && Label::isBlank($cell)) {
            return [];
        }
        $spellings = $column->spellings($cell);
        foreach ($spellings as $spelling) {
            if (strlen($spelling) > $most && mb_strlen($spelling) > $most) {
                throw BadCell::tooLong(mb_strlen($spelling), $most);
            }
        }

        return $spellings;
    }

    /** @return list<CategoryPath> */
    private function paths(string $cell): array
    {
        if (mb_strlen($cell) > self::PATHS) {
            throw BadCell::tooLong(mb_strlen($cell), self::PATHS);
        }

        return in_array(trim($cell), $this->empty, true) ? [] : CategoryPath::several($cell);
    }

    private function field(string $column, string $cell): string|float|int|null
    {
        $most = self::LENGTHS[$column] ?? self::SPELLING;
        if (strlen($cell) > $most && mb_strlen($cell) > $most) {
            throw BadCell::tooLong(mb_strlen($cell), $most);
        }
        if ($column !== 'sku' && in_array(trim($cell), $this->empty, true)) {
            return null;
        }

        return match ($column) {
            'price' => Money::price($cell),
            'stock' => Money::stock($cell),
            default => Label::isBlank($cell) ? null : trim($cell),
        };
    }

    private function textOf(mixed $value): ?string
    {
        return is_string($value) ? $value : null;
    }

    private function refused(Row $row, string $column, string $reason): ReadRow
    {
        return new ReadRow($row->line, mb_strimwidth($this->sku($row), 0, 200), null, [], [], ['column' => $column, 'reason' => $reason]);
    }
}
