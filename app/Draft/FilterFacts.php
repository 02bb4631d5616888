<?php

declare(strict_types=1);

namespace App\Draft;

use Lokum\Lineup\Band;
use Lokum\Lineup\Control;
use Lokum\Lineup\FilterSettings;

/** What the products of a page say about one filter, in the draft. */
final readonly class FilterFacts
{
    /** Bytes of pairs that are unpacked in one go. */
    private const CHUNK = 1 << 16;

    /**
     * @param  int  $products  of the page
     * @param  int  $carrying  those that carry it
     * @param  array<int, int>  $counts  products by term
     * @param  array<string, int>  $numbers  products by number
     * @param  string  $pairs  where products have several numbers, two 32-bit numbers for each of them: the product and the number's
     *                         place, product by product
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
        return $this->holdingEach([$band])[0];
    }

    /**
     * @param  list<Band>  $bands
     * @return list<int> the same for each of several, in one go
     */
    public function holdingEach(array $bands): array
    {
        $counts = array_fill(0, count($bands), 0);
        $holds = [];
        foreach (array_keys($this->numbers) as $place => $number) {
            $holds[$place] = array_keys(array_filter($bands, fn (Band $band): bool => $band->holds((float) $number)));
        }
        if ($this->pairs === '') {
            foreach (array_values($this->numbers) as $place => $products) {
                foreach ($holds[$place] as $i) {
                    $counts[$i] += $products;
                }
            }

            return array_values($counts);
        }
        // Those of one product stand one behind the other.
        $counted = array_fill(0, count($bands), null);
        foreach (str_split($this->pairs, self::CHUNK) as $part) {
            $flat = unpack('V*', $part) ?: [];
            for ($i = 1, $n = count($flat); $i < $n; $i += 2) {
                foreach ($holds[$flat[$i + 1]] as $band) {
                    if ($counted[$band] !== $flat[$i]) {
                        $counted[$band] = $flat[$i];
                        $counts[$band]++;
                    }
                }
            }
        }

        return array_values($counts);
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
