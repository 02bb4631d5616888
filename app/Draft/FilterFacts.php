<?php

declare(strict_types=1);

namespace App\Draft;

use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;

/** What the products of a page say about one filter, in the draft. */
final readonly class FilterFacts
{
    /**
     * @param  int  $products  of the page
     * @param  int  $carrying  those that carry it
     * @param  array<int, int>  $counts  products by term
     * @param  array<string, int>  $numbers  products by number
     * @param  string  $pairs  where products have several numbers, two 32-bit numbers for each of them: the product and the number's place
     */
    public function __construct(
        public int $products,
        public int $carrying,
        public array $counts,
        public array $numbers,
        private string $pairs = '',
    ) {
    }

    public function coverage(): float
    {
        return $this->products === 0 ? 0.0 : $this->carrying / $this->products;
    }

    /** Products with a number in a band; those with several count once. */
    public function holding(Band $band): int
    {
        $held = array_map(fn (int|string $number): bool => $band->holds((float) $number), array_keys($this->numbers));
        if ($this->pairs === '') {
            return array_sum(array_intersect_key(array_values($this->numbers), array_filter($held)));
        }
        /** @var array<int, int> $flat */
        $flat = array_values((array) unpack('V*', $this->pairs));
        $products = [];
        for ($i = 0, $n = count($flat); $i < $n; $i += 2) {
            if ($held[$flat[$i + 1]]) {
                $products[$flat[$i]] = true;
            }
        }

        return count($products);
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
