<?php

declare(strict_types=1);

namespace App\Vocabulary;

/** What gathering values under an umbrella does. */
final readonly class GatherFigures
{
    /**
     * @param  list<string>  $values  labels that come under it
     * @param  string|null  $joins  the value of that name, where it was not among those chosen
     * @param  list<string>  $from  labels of umbrellas that they leave
     * @param  int  $products  that the umbrella covers afterwards
     * @param  list<string>  $filters  titles of the filters that follow
     * @param  list<PageTouched>  $pages
     * @param  list<string>  $handPicked  filters with hand-picked terms that follow
     */
    public function __construct(
        public string $umbrella,
        public bool $isNew,
        public array $values,
        public ?string $joins,
        public array $from,
        public int $products,
        public int $terms,
        public int $termsAfter,
        public array $filters,
        public array $pages,
        public array $handPicked,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'umbrella' => $this->umbrella,
            'new' => $this->isNew,
            'values' => $this->values,
            'joins' => $this->joins,
            'from' => $this->from,
            'products' => $this->products,
            'terms' => [
                'before' => $this->terms,
                'after' => $this->termsAfter,
            ],
            'filters' => $this->filters,
            'pages' => PageTouched::list($this->pages),
            'hand_picked' => $this->handPicked,
        ];
    }
}
