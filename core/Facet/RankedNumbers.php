<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Numbers made ready to be stored as {@see SlicedNumbers} reads them. */
final readonly class RankedNumbers
{
    /** @var list<float> the distinct numbers, rising */
    public array $numbers;

    /** @var list<list<int>> the bits whose rank has binary digit i set, lowest digit first */
    public array $slices;

    /** @param  array<int, float>  $byBit  number of each carrier that has one, by its bit */
    public function __construct(public array $byBit)
    {
        asort($byBit, SORT_NUMERIC);
        $numbers = $ranked = [];
        $rank = -1;
        foreach ($byBit as $bit => $number) {
            if ($rank < 0 || $number !== $numbers[$rank]) {
                $numbers[] = $number;
                $rank++;
            }
            $ranked[$bit] = $rank;
        }
        $slices = [];
        for ($digit = 0; (count($numbers) - 1) >> $digit > 0; $digit++) {
            $slices[$digit] = [];
            foreach ($ranked as $bit => $rank) {
                if ((($rank >> $digit) & 1) === 1) {
                    $slices[$digit][] = $bit;
                }
            }
        }
        $this->numbers = $numbers;
        $this->slices = array_values($slices);
    }
}
