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
     * @param  array<int, float>  $moved  places of products that stand elsewhere now, between two of the others, in this order
     */
    public function __construct(
        private int $products,
        private Closure $numbers,
        private Closure $places,
        private array $moved = [],
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
        foreach ($this->inOrder() as $number) {
            if ($matching->has($number) && $seen++ >= $offset) {
                $found[] = $number;
                if (count($found) === $length) {
                    break;
                }
            }
        }

        return $found;
    }

    /** @return iterable<int> all products in this order, read as they are asked for */
    private function inOrder(): iterable
    {
        $waiting = $this->moved;
        $next = reset($waiting);
        $place = -1;
        for ($part = 0; ($packed = ($this->numbers)($part)) !== ''; $part++) {
            foreach (str_split($packed, self::STEP * 4) as $some) {
                foreach (self::unpacked($some) as $number) {
                    $place++;
                    while ($next !== false && $next < $place) {
                        yield (int) key($waiting);
                        $next = next($waiting);
                    }
                    if (! isset($this->moved[$number])) {
                        yield $number;
                    }
                }
            }
        }
        for (; $next !== false; $next = next($waiting)) {
            yield (int) key($waiting);
        }
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
        $placed = $numbers === [] ? [] : array_combine($numbers, self::unpacked($places));
        $placed = array_intersect_key($this->moved, $placed) + $placed;
        asort($placed);

        return array_slice(array_keys($placed), $offset, $length);
    }

    /** @return array<int, int> */
    private static function unpacked(string $packed): array
    {
        /** @var array<int, int> $numbers */
        $numbers = $packed === '' ? [] : array_values((array) unpack('V*', $packed));

        return $numbers;
    }
}
