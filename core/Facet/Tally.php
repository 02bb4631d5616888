<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;

use function ord;

/**
 * Counts many terms in one scope (C6). Where few carriers are left, the columns tell what each of them carries; where more are left,
 * columns are narrowed as a whole; a few terms, and those without a column, are counted set by set. All ways give the same counts.
 */
final class Tally
{
    /** Terms up to which sets are as fast. */
    private const FEW_TERMS = 4;

    /** Terms from which narrowing a whole column is faster than as many sets. */
    private const MANY_TERMS = 24;

    /** Below one carrier in so many, each is looked at by itself. */
    private const SPARSE = 32;

    /** @var array<int, VariantSet|ProductSet> what matches, by level */
    private array $matching = [];

    /** @var array<int, array<int, list<int>>> places of what matches in each block of a column, by level */
    private array $places = [];

    /** @var array<int, array<int, string>> bytes of what matches, by level and block */
    private array $masks = [];

    /** @var array{0: TermColumn|null, 1: list<int>}|null the column of the picks that the scope is made of, and their numbers there */
    private ?array $picked = null;

    /** @param  list<int>|null  $picks  where the scope is what carries any of these terms, and nothing else was asked */
    public function __construct(private readonly Scope $scope, private readonly TermSource $terms, private readonly ?array $picks = null)
    {
    }

    /**
     * @param  list<int>  $terms  of one attribute
     * @return array<int, int> products by term, in the order given
     */
    public function of(array $terms): array
    {
        $counts = [];
        foreach (count($terms) > self::FEW_TERMS ? $this->terms->columns($terms[0]) : [] as $column) {
            $counts += $this->byColumn($column, count($terms)) ?? [];
        }
        $asked = [];
        foreach ($terms as $term) {
            $asked[$term] = $counts[$term] ?? $this->scope->countWith($this->terms->carriers($term));
        }

        return $asked;
    }

    /**
     * @param  int  $terms  that are asked for
     * @return array<int, int>|null products by term; null where sets are faster
     */
    private function byColumn(TermColumn $column, int $terms): ?array
    {
        $blocks = $column->blocks;
        $matching = $this->matching($blocks);
        $isSparse = self::size($matching) * self::SPARSE < $blocks->bytes();
        if (! $isSparse && $terms < self::MANY_TERMS) {
            return null;
        }
        $repeated = $matching instanceof VariantSet && $column->repeats !== null ? $matching->and($column->repeats) : null;
        if ($repeated !== null && self::size($repeated) * self::SPARSE > $blocks->bytes()) {
            return null;
        }
        $carried = array_fill(0, TermColumn::TERMS + 1, 0);
        for ($block = 0, $last = $blocks->count(); $block < $last; $block++) {
            $places = $isSparse ? $this->places($blocks)[$block] ?? [] : null;
            if ($places === []) {
                continue;
            }
            $part = $column->part($block);
            if ($places === null) {
                foreach (count_chars($part & $this->mask($blocks, $block), 1) as $number => $count) {
                    $carried[$number] += $count;
                }
            } else {
                foreach ($places as $place) {
                    $carried[ord($part[$place])]++;
                }
            }
            if ($repeated !== null) {
                self::countOnce($repeated, $matching, $blocks->starts($block), $block * Blocks::PRODUCTS, $part, $carried);
            }
        }
        $counts = [];
        foreach ($column->terms as $number => $term) {
            $counts[$term] = $carried[$number];
        }

        return $counts;
    }

    /**
     * A product whose matching variants carry the same term is counted once.
     *
     * @param  array<int, int>  $starts  of the lanes of a block
     * @param  int  $from  the first product of the block
     * @param  array<int, int>  $carried  carriers by number
     */
    private static function countOnce(
        VariantSet $repeated,
        VariantSet $matching,
        array $starts,
        int $from,
        string $part,
        array &$carried,
    ): void {
        foreach ($starts as $lane => $start) {
            $bits = $repeated->lanes[$lane];
            $product = gmp_scan1($bits, $from);
            while ($product >= 0 && $product < $from + Blocks::PRODUCTS) {
                $number = $part[$start + $product - $from];
                for ($earlier = 0; $earlier < $lane; $earlier++) {
                    if ($part[$starts[$earlier] + $product - $from] === $number && gmp_testbit($matching->lanes[$earlier], $product)) {
                        $carried[ord($number)]--;
                        break;
                    }
                }
                $product = gmp_scan1($bits, $product + 1);
            }
        }
    }

    private function matching(Blocks $blocks): ProductSet|VariantSet
    {
        return $this->matching[(int) $blocks->ofProducts] ??= $blocks->ofProducts ? $this->scope->matching : $this->scope->variants();
    }

    /** @return array<int, list<int>> places in each block */
    private function places(Blocks $blocks): array
    {
        return $this->places[(int) $blocks->ofProducts] ??= $this->readPlaces($blocks);
    }

    /** @return array<int, list<int>> */
    private function readPlaces(Blocks $blocks): array
    {
        $places = $starts = [];
        foreach (self::lanes($this->matching($blocks)) as $lane => $bits) {
            for ($product = gmp_scan1($bits, 0); $product >= 0; $product = gmp_scan1($bits, $product + 1)) {
                $block = intdiv($product, Blocks::PRODUCTS);
                $starts[$block] ??= $blocks->starts($block);
                $places[$block][] = $starts[$block][$lane] + $product % Blocks::PRODUCTS;
            }
        }

        return $places;
    }

    private function mask(Blocks $blocks, int $block): string
    {
        return $this->maskOfPicks($blocks, $block) ??
            ($this->masks[(int) $blocks->ofProducts][$block] ??= $this->maskOfBits($blocks, $block));
    }

    private function maskOfBits(Blocks $blocks, int $block): string
    {
        $mask = '';
        $lanes = self::lanes($this->matching($blocks));
        foreach ($blocks->lengths($block) as $lane => $length) {
            $mask .= ByteMask::of($lanes[$lane], $block * Blocks::PRODUCTS, $length);
        }

        return $mask;
    }

    /** Read from the column of the picks themselves where that is of the same level: three times faster than from bits. */
    private function maskOfPicks(Blocks $blocks, int $block): ?string
    {
        $this->picked ??= $this->readPicked();
        [$column, $numbers] = $this->picked;

        return $column === null || $column->blocks->ofProducts !== $blocks->ofProducts
            ? null
            : ByteMask::holding($column->part($block), $numbers);
    }

    /** @return array{0: TermColumn|null, 1: list<int>} the column that all picks stand in, and their numbers there */
    private function readPicked(): array
    {
        foreach ($this->picks === null ? [] : $this->terms->columns($this->picks[0]) as $column) {
            $numbers = array_intersect_key(array_flip($column->terms), array_flip($this->picks ?? []));
            if (count($numbers) === count($this->picks ?? [])) {
                return [$column, array_values($numbers)];
            }
        }

        return [null, []];
    }

    private static function size(ProductSet|VariantSet $set): int
    {
        return array_sum(array_map(gmp_popcount(...), self::lanes($set)));
    }

    /** @return list<GMP> */
    private static function lanes(ProductSet|VariantSet $set): array
    {
        return $set instanceof VariantSet ? $set->lanes : [$set->bits];
    }
}
