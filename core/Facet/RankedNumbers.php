<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Numbers made ready to be stored as {@see SlicedNumbers} reads them; a million of them take no more memory than their bitmaps. */
final readonly class RankedNumbers
{
    /**
     * @param  list<float>  $numbers  the distinct numbers, rising
     * @param  string  $present  stored bits of who has a number
     * @param  list<string>  $slices  stored bits of those whose rank has binary digit i set, lowest digit first
     */
    private function __construct(public array $numbers, public string $present, public array $slices)
    {
    }

    /**
     * As they are stored.
     *
     * @param  list<float>  $numbers
     * @param  list<string>  $slices
     */
    public static function stored(array $numbers, string $present, array $slices): self
    {
        return new self($numbers, $present, $slices);
    }

    /**
     * @param  iterable<array{0: list<int>, 1: float}>  $groups  bits of carriers and their number, in rising order of the numbers, the same
     *         one once or more; of several numbers of one carrier the smallest counts
     * @param  int  $bytes  of a bitmap of carriers
     */
    public static function rising(iterable $groups, int $bytes): self
    {
        $numbers = $slices = [];
        $present = new BitWriter($bytes);
        $rank = -1;
        foreach ($groups as [$bits, $number]) {
            $bits = $present->set($bits);
            if ($bits === []) {
                continue;
            }
            if ($rank < 0 || $number !== $numbers[$rank]) {
                $numbers[] = $number;
                $rank++;
            }
            for ($digit = 0, $left = $rank; $left > 0; $digit++, $left >>= 1) {
                $slices[$digit] ??= new BitWriter($bytes);
                if (($left & 1) === 1) {
                    $slices[$digit]->set($bits);
                }
            }
        }

        return new self($numbers, $present->stored(), array_values(array_map(fn (BitWriter $slice): string => $slice->stored(), $slices)));
    }

    /**
     * The same of numbers in any order.
     *
     * @param  array<int, float>  $byBit  number of each carrier that has one, by its bit
     */
    public static function of(array $byBit, int $bytes): self
    {
        asort($byBit, SORT_NUMERIC);

        return self::rising(
            array_map(fn (int $bit, float $number): array => [[$bit], $number], array_keys($byBit), $byBit),
            $bytes,
        );
    }
}
