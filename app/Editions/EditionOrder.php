<?php

declare(strict_types=1);

namespace App\Editions;

use Closure;
use Lokum\Facet\ProductSet;

/**
 * One order that products can stand in: their numbers one behind the other, and the place of each. Both are read in parts, so that a
 * page near the front of a long listing, or of a short one, needs little of them.
 */
final readonly class EditionOrder
{
    /** Products in a part. */
    public const PART = 16384;

    /** Products that are looked at in one go. */
    private const STEP = 512;

    /** With fewer matches than one in so many, their places are looked up and sorted; with more, the order is walked. */
    private const SPARSE = 64;

    /**
     * @param  Closure(int): string  $numbers  a part of the numbers in this order, packed in four bytes each; empty behind the last
     * @param  Closure(int): string  $places  a part of the places by number, packed alike
     */
    public function __construct(
        private int $products,
        private Closure $numbers,
        private Closure $places,
    ) {
    }

    /** @return list<int> numbers of the products that match, one page of them */
    public function page(ProductSet $matching, int $offset, int $length): array
    {
        return $matching->count() * self::SPARSE < $this->products
            ? $this->sorted($matching, $offset, $length)
            : $this->walked($matching, $offset, $length);
    }

    /** @return list<int> */
    private function walked(ProductSet $matching, int $offset, int $length): array
    {
        $found = [];
        $seen = 0;
        for ($part = 0; ($packed = ($this->numbers)($part)) !== ''; $part++) {
            foreach (str_split($packed, self::STEP * 4) as $some) {
                foreach (self::unpacked($some) as $number) {
                    if ($matching->has($number) && $seen++ >= $offset) {
                        $found[] = $number;
                        if (count($found) === $length) {
                            return $found;
                        }
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<int> */
    private function sorted(ProductSet $matching, int $offset, int $length): array
    {
        $numbers = $parts = [];
        $places = '';
        foreach ($matching->numbers() as $number) {
            $numbers[] = $number;
            $part = $parts[intdiv($number, self::PART)] ??= ($this->places)(intdiv($number, self::PART));
            $places .= substr($part, 4 * ($number % self::PART), 4);
        }
        $byPlace = array_combine(self::unpacked($places), $numbers);
        ksort($byPlace);

        return array_slice(array_values($byPlace), $offset, $length);
    }

    /** @return array<int, int> */
    private static function unpacked(string $packed): array
    {
        /** @var array<int, int> $numbers */
        $numbers = $packed === '' ? [] : array_values((array) unpack('V*', $packed));

        return $numbers;
    }
}
