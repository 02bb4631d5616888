<?php

declare(strict_types=1);

namespace App\Editions;

use Closure;
use Lokum\Facet\ProductSet;

/**
 * One order that products can stand in: their numbers one behind the other, and the place of each. Both are read in parts, so that a
 * page near the front of a long listing, or of a short one, needs little of them.
 */
final class EditionOrder
{
    /** Products in a part. */
    public const PART = 16384;

    /** With fewer matches than one in so many, their places are looked up and sorted; with more, the order is walked. */
    private const SPARSE = 64;

    /** @var array<int, array<int, int>> numbers by place, by part */
    private array $read = [];

    /**
     * @param  Closure(int): string  $numbers  a part of the numbers in this order, packed in four bytes each; empty behind the last
     * @param  Closure(int): string  $places  a part of the places by number, packed alike
     */
    public function __construct(
        private readonly int $products,
        private readonly Closure $numbers,
        private readonly Closure $places,
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
        for ($part = 0; count($found) < $length && ($packed = ($this->numbers)($part)) !== ''; $part++) {
            foreach (self::unpacked($packed) as $number) {
                if ($matching->has($number) && $seen++ >= $offset) {
                    $found[] = $number;
                    if (count($found) === $length) {
                        break;
                    }
                }
            }
        }

        return $found;
    }

    /** @return list<int> */
    private function sorted(ProductSet $matching, int $offset, int $length): array
    {
        $places = [];
        foreach ($matching->numbers() as $number) {
            $part = $this->read[intdiv($number, self::PART)] ??= self::unpacked(($this->places)(intdiv($number, self::PART)));
            $places[$part[$number % self::PART]] = $number;
        }
        ksort($places);

        return array_slice(array_values($places), $offset, $length);
    }

    /** @return array<int, int> */
    private static function unpacked(string $packed): array
    {
        /** @var array<int, int> $numbers */
        $numbers = $packed === '' ? [] : array_values((array) unpack('V*', $packed));

        return $numbers;
    }
}
