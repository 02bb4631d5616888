<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Carriers;
use Lokum\Facet\Combine;
use Lokum\Facet\Question;

/** A question whose answers are sets that the page makes itself. */
final class SetQuestion
{
    /** @var array<string, int> number of each set, by slug; after it was made a question */
    public array $numbers = [];

    /**
     * @param  array<string, Carriers>  $sets  by slug
     * @param  list<string>  $picks  slugs
     */
    public function __construct(
        public readonly string $name,
        private readonly array $sets,
        private readonly array $picks,
        private readonly Combine $combine,
    ) {
    }

    public function over(AddedSets $added): Question
    {
        $this->numbers = array_map($added->add(...), $this->sets);

        return new Question(
            $this->name,
            array_values($this->numbers),
            array_values(array_intersect_key($this->numbers, array_flip($this->picks))),
            $this->combine,
        );
    }
}
