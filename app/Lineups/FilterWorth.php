<?php

declare(strict_types=1);

namespace App\Lineups;

/** What one filter earns on a page. */
final readonly class FilterWorth
{
    /**
     * @param  float  $coverage  from 0 to 1
     * @param  float  $narrowing  from 0 to 1
     * @param  int  $leaves  products that one pick leaves, about
     * @param  float  $earns  from 0 to 1: coverage times narrowing, as far as several products share a term
     * @param  string|null  $same  title of the filter above that says most of the same
     * @param  float  $overlap  with that one, from 0 to 1
     */
    public function __construct(
        public string $key,
        public string $title,
        public int $products,
        public float $coverage,
        public float $narrowing,
        public int $leaves,
        public float $earns,
        public ?string $same = null,
        public float $overlap = 0.0,
    ) {
    }

    public function inWords(): string
    {
        return 'covers '.
            round(100 * $this->coverage).
            ' % of '.
            number_format($this->products).
            ($this->products === 1 ? ' product' : ' products').
            ($this->narrowing > 0 ? '; one pick leaves about '.number_format($this->leaves) : '; a pick changes nothing').
            ($this->same !== null && $this->overlap >= 0.5
                ? '; '.round(100 * $this->overlap)." % of it is said by {$this->same}"
                : '');
    }
}
