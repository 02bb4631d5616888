<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * A number for each product or variant, held so that a range of any size costs the same few bitmap operations: the
 * distinct numbers in order, and one bitmap for each binary digit of a number's rank among them (a bit-sliced index,
 * O'Neil and Quass, "Improved query performance with variant indexes", SIGMOD 1997).
 *
 * Who has no number is in none of the bitmaps, so it matches no range and does not stretch the scale (C7).
 *
 * @template T of Carriers
 *
 * @implements RangedNumbers<T>
 */
final readonly class SlicedNumbers implements RangedNumbers
{
    /**
     * @param  list<float>  $numbers  the distinct numbers, rising
     * @param  T  $present  who has a number
     * @param  list<T>  $slices  who has binary digit i set in its rank, lowest digit first
     */
    public function __construct(private array $numbers, private Carriers $present, private array $slices)
    {
    }

    public function within(?float $from, ?float $to, bool $holdsTo = true, bool $holdsFrom = true): ?Carriers
    {
        $low = $from === null ? 0 : ($holdsFrom ? $this->firstAtLeast($from) : $this->firstAbove($from));
        $high = $to === null ? count($this->numbers) - 1 : ($holdsTo ? $this->firstAbove($to) : $this->firstAtLeast($to)) - 1;
        if ($low > $high) {
            return null;
        }
        $found = $this->present;
        if ($high < count($this->numbers) - 1) {
            $found = $this->atMost($high);
        }
        if ($low > 0) {
            $found = $found->without($this->atMost($low - 1));
        }

        return $found;
    }

    public function ends(Carriers $among): ?array
    {
        $candidates = $this->present->and($among);
        if ($candidates->isEmpty()) {
            return null;
        }

        return [$this->numbers[$this->extreme($candidates, false)], $this->numbers[$this->extreme($candidates, true)]];
    }

    public function at(int $product, int $lane): ?float
    {
        if (! $this->present->has($product, $lane)) {
            return null;
        }
        $rank = 0;
        foreach ($this->slices as $digit => $slice) {
            $rank |= ($slice->has($product, $lane) ? 1 : 0) << $digit;
        }

        return $this->numbers[$rank];
    }

    /**
     * Those with a rank of at most $rank.
     *
     * @return T
     */
    private function atMost(int $rank): Carriers
    {
        $equal = $this->present;
        $less = null;
        for ($i = count($this->slices) - 1; $i >= 0; $i--) {
            if ((($rank >> $i) & 1) === 1) {
                $below = $equal->without($this->slices[$i]);
                $less = $less === null ? $below : $less->or($below);
                $equal = $equal->and($this->slices[$i]);
            } else {
                $equal = $equal->without($this->slices[$i]);
            }
        }

        return $less === null ? $equal : $less->or($equal);
    }

    /** @param  T  $candidates */
    private function extreme(Carriers $candidates, bool $largest): int
    {
        $rank = 0;
        for ($i = count($this->slices) - 1; $i >= 0; $i--) {
            $set = $candidates->and($this->slices[$i]);
            $unset = $candidates->without($this->slices[$i]);
            $digit = $largest ? ! $set->isEmpty() : $unset->isEmpty();
            $candidates = $digit ? $set : $unset;
            $rank |= ($digit ? 1 : 0) << $i;
        }

        return $rank;
    }

    private function firstAtLeast(float $number): int
    {
        return $this->search(fn (float $known): bool => $known >= $number);
    }

    private function firstAbove(float $number): int
    {
        return $this->search(fn (float $known): bool => $known > $number);
    }

    /** @param  callable(float): bool  $reached  false for small numbers, true from some number on */
    private function search(callable $reached): int
    {
        $low = 0;
        $high = count($this->numbers);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($reached($this->numbers[$middle])) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
