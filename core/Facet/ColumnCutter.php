<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Lays the terms of one attribute out in columns (C6). */
final class ColumnCutter
{
    /** An attribute of fewer terms is counted as fast without. */
    private const FEWEST = 8;

    /** Columns of one attribute; terms that find no place in them are counted as sets. */
    private const MOST = 6;

    /** @var array<int, string> a byte for each bit of the layout, by column */
    private array $columns = [];

    /** @var array<int, array<int, int>> terms by number, by column */
    private array $terms = [];

    private readonly Blocks $blocks;

    public function __construct(private readonly Layout $layout, private readonly bool $ofProducts)
    {
        $this->blocks = new Blocks($layout, $ofProducts);
    }

    /**
     * @param  array<int, list<int>>  $bits  by term
     * @return list<TermColumn> none for an attribute with few terms
     */
    public function cut(array $bits): array
    {
        if (count($bits) < self::FEWEST) {
            return [];
        }
        // The most carried ones first, so that what finds no place is rare.
        uasort($bits, fn (array $a, array $b): int => count($b) <=> count($a));
        foreach ($bits as $term => $carriers) {
            for ($column = 0; $column < self::MOST && ! $this->fits($term, $carriers, $column); $column++);
        }

        return array_map($this->column(...), array_keys($this->columns));
    }

    /** @param  list<int>  $bits */
    private function fits(int $term, array $bits, int $column): bool
    {
        if (! isset($this->columns[$column])) {
            $this->columns[$column] = str_repeat("\0", 8 * ($this->ofProducts ? $this->layout->productBytes() : $this->layout->bytes));
            $this->terms[$column] = [];
        }
        $number = count($this->terms[$column]) + 1;
        if ($number > TermColumn::TERMS) {
            return false;
        }
        $bytes = &$this->columns[$column];
        $char = chr($number);
        foreach ($bits as $written => $bit) {
            if ($bytes[$bit] !== "\0" && $bytes[$bit] !== $char) {
                for ($i = 0; $i < $written; $i++) {
                    $bytes[$bits[$i]] = "\0";
                }

                return false;
            }
            $bytes[$bit] = $char;
        }
        $this->terms[$column][$number] = $term;

        return true;
    }

    private function column(int $column): TermColumn
    {
        $bytes = $this->columns[$column];
        $starts = $this->ofProducts ? [0] : array_map(fn (int $byte): int => $byte * 8, $this->layout->starts);

        return new TermColumn(
            $this->blocks,
            $this->terms[$column],
            $this->ofProducts ? null : $this->repeats($bytes),
            function (int $block) use ($bytes, $starts): string {
                $part = '';
                foreach ($this->blocks->lengths($block) as $lane => $length) {
                    $part .= substr($bytes, $starts[$lane] + $block * Blocks::PRODUCTS, $length);
                }

                return $part;
            },
        );
    }

    /** Variants whose term an earlier one of their product has as well. */
    private function repeats(string $bytes): VariantSet
    {
        $lanes = [];
        foreach ($this->layout->sizes as $lane => $size) {
            $own = substr($bytes, $this->layout->starts[$lane] * 8, $size);
            $same = str_repeat("\0", $size);
            for ($earlier = 0; $earlier < $lane; $earlier++) {
                $same |= ByteMask::equal($own, substr($bytes, $this->layout->starts[$earlier] * 8, $size));
            }
            $lanes[] = $lane === 0 ? gmp_init(0) : ByteMask::bits($same & $own);
        }

        return new VariantSet($lanes);
    }
}
