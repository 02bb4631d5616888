<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * Numbers as {@see RankedNumbers} has them, of which some carriers get others. A rank that comes or goes moves all ranks above it by one:
 * that is adding or taking one in each of their binary digits at once, digit by digit with a carry (bit-sliced arithmetic: Rinfret,
 * O'Neil and O'Neil, "Bit-sliced index arithmetic", SIGMOD 2001).
 */
final class ChangedRanks
{
    private string $present;

    /** @var list<string> bitmaps, lowest digit first */
    private array $slices;

    /**
     * @param  list<float>  $numbers  the distinct numbers, rising
     * @param  string  $present  stored bits of who has a number
     * @param  list<string>  $slices  stored bits of each digit, lowest first
     * @param  int  $bytes  of a bitmap of carriers
     */
    public function __construct(private array $numbers, string $present, array $slices, private readonly int $bytes)
    {
        $this->present = StoredBits::asBitmap($present, $bytes);
        $this->slices = array_map(fn (string $slice): string => StoredBits::asBitmap($slice, $bytes), $slices);
    }

    /**
     * @param  array<int, float|null>  $byBit  what carriers have now, by their bits; null: nothing
     */
    public function with(array $byBit): RankedNumbers
    {
        $left = [];
        foreach ($byBit as $bit => $number) {
            $rank = $this->rankOf($bit);
            if ($rank !== null && $this->numbers[$rank] === $number) {
                unset($byBit[$bit]);
            } elseif ($rank !== null) {
                $left[$rank] = true;
                $this->flipAll($bit, $rank);
            }
        }
        // From the highest on, so that those below keep their rank.
        krsort($left);
        foreach (array_keys($left) as $rank) {
            if (! $this->isTaken($rank)) {
                $this->close($rank);
            }
        }
        $byBit = array_filter($byBit, is_float(...));
        foreach (array_unique($byBit, SORT_REGULAR) as $number) {
            $this->open($number);
        }
        foreach ($byBit as $bit => $number) {
            $this->flipAll($bit, $this->place($number));
        }
        // As many digits as the highest rank has.
        $digits = count($this->numbers) < 2 ? 0 : strlen(decbin(count($this->numbers) - 1));
        $stored = fn (string $bitmap): string => StoredBits::ofBitmap($bitmap);

        return RankedNumbers::stored($this->numbers, $stored($this->present), array_map($stored, array_slice($this->slices, 0, $digits)));
    }

    private function rankOf(int $bit): ?int
    {
        if (! self::has($this->present, $bit)) {
            return null;
        }
        $rank = 0;
        foreach ($this->slices as $digit => $slice) {
            $rank |= (self::has($slice, $bit) ? 1 : 0) << $digit;
        }

        return $rank;
    }

    /** Takes a carrier out of a rank, or puts it in. */
    private function flipAll(int $bit, int $rank): void
    {
        self::flip($this->present, $bit);
        foreach (array_keys($this->slices) as $digit) {
            if ((($rank >> $digit) & 1) === 1) {
                self::flip($this->slices[$digit], $bit);
            }
        }
    }

    /** Whether anybody has a number of this rank. */
    private function isTaken(int $rank): bool
    {
        $have = $this->present;
        foreach ($this->slices as $digit => $slice) {
            $have &= (($rank >> $digit) & 1) === 1 ? $slice : ~$slice;
        }

        return ! self::isEmpty($have);
    }

    /** A number that nobody has any more goes. */
    private function close(int $rank): void
    {
        array_splice($this->numbers, $rank, 1);
        $moving = $this->above($rank);
        foreach ($this->slices as $digit => $slice) {
            $this->slices[$digit] = $slice ^ $moving;
            $moving &= ~$slice;
            if (self::isEmpty($moving)) {
                return;
            }
        }
    }

    /** A number that is new comes. */
    private function open(float $number): void
    {
        $rank = $this->place($number);
        if (($this->numbers[$rank] ?? null) === $number) {
            return;
        }
        $moving = $rank === 0 ? $this->present : $this->above($rank - 1);
        array_splice($this->numbers, $rank, 0, [$number]);
        foreach ($this->slices as $digit => $slice) {
            $this->slices[$digit] = $slice ^ $moving;
            $moving &= $slice;
        }
        if (count($this->numbers) > 1 << count($this->slices)) {
            $this->slices[] = $moving;
        }
    }

    /** Bitmap of those with a higher rank. */
    private function above(int $rank): string
    {
        $equal = $this->present;
        $above = str_repeat("\0", $this->bytes);
        for ($digit = count($this->slices) - 1; $digit >= 0; $digit--) {
            if ((($rank >> $digit) & 1) === 1) {
                $equal &= $this->slices[$digit];
            } else {
                $above |= $equal & $this->slices[$digit];
                $equal &= ~$this->slices[$digit];
            }
        }

        return $above;
    }

    /** Where a number stands, or would stand. */
    private function place(float $number): int
    {
        $low = 0;
        $high = count($this->numbers);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->numbers[$middle] < $number) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    private static function has(string $bitmap, int $bit): bool
    {
        return ($bitmap[$bit >> 3] & StoredBits::MASKS[$bit & 7]) !== "\0";
    }

    private static function flip(string &$bitmap, int $bit): void
    {
        $bitmap[$bit >> 3] = $bitmap[$bit >> 3] ^ StoredBits::MASKS[$bit & 7];
    }

    private static function isEmpty(string $bitmap): bool
    {
        return strspn($bitmap, "\0") === strlen($bitmap);
    }
}
