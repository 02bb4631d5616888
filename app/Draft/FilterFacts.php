<?php

declare(strict_types=1);

namespace App\Draft;

use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;

/** What the products of a page say about one filter, in the draft. */
final readonly class FilterFacts
{
    /** Of a product in the list of carriers. */
    private const BYTES = 4;

    /**
     * @param  int  $products  of the page
     * @param  int  $carrying  those that carry it
     * @param  array<int, int>  $counts  products by term
     * @param  array<string, int>  $numbers  products by number, in rising order
     * @param  string  $carriers  where products have several numbers, those of each number one behind the other, with 32 bits each
     */
    public function __construct(
        public int $products,
        public int $carrying,
        public array $counts,
        public array $numbers,
        private string $carriers = '',
    ) {
    }

    public function coverage(): float
    {
        return $this->products === 0 ? 0.0 : $this->carrying / $this->products;
    }

    /** Products with a number in a band; those with several count once. */
    public function holding(Band $band): int
    {
        $held = array_filter($this->numbers, fn (string|int $number): bool => $band->holds((float) $number), ARRAY_FILTER_USE_KEY);
        if ($this->carriers === '') {
            return array_sum($held);
        }
        $carriers = '';
        $from = 0;
        foreach ($this->numbers as $number => $products) {
            $carriers .= isset($held[$number]) ? substr($this->carriers, $from, self::BYTES * $products) : '';
            $from += self::BYTES * $products;
        }

        return count(array_flip(unpack('V*', $carriers) ?: []));
    }

    /** Products that no range of a filter's scale finds, since its ends are fixed and their numbers lie beyond them. */
    public function beyond(FilterSettings $filter): int
    {
        return $filter->control === Control::Scale && ($filter->from !== null || $filter->to !== null) && $this->numbers !== []
            ? $this->carrying - $this->holding(new Band($filter->from, $filter->to))
            : 0;
    }

    /** @return array{0: float, 1: float}|null */
    public function ends(): ?array
    {
        $numbers = array_map(floatval(...), array_keys($this->numbers));

        return $numbers === [] ? null : [min($numbers), max($numbers)];
    }
}
