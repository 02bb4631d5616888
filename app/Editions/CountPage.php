<?php

declare(strict_types=1);

namespace App\Editions;

use App\Support\Refused;
use Lokum\Facet\Carriers;
use Lokum\Facet\Combine;
use Lokum\Facet\Counter;
use Lokum\Facet\ProductSet;
use Lokum\Facet\Question;
use Lokum\Facet\RangedNumbers;
use Lokum\Facet\Scope;
use Lokum\Facet\VariantSet;
use Lokum\Vocabulary\Level;

/** Counts a page of an edition (C6): which products match, and what every term and scale beside them says. */
final class CountPage
{
    public readonly Counter $counter;

    private readonly AddedSets $sets;

    /**
     * @var array<string, array{label: string, unit: string|null, level: Level,
     *         numbers: RangedNumbers<ProductSet>|RangedNumbers<VariantSet>}>
     */
    private array $numbers = [];

    /**
     * @param  list<string>  $attributes  slugs of the attributes to be counted; those with picks always are
     * @param  Scope|null  $listing  the page's products, where they are not those of a category
     * @param  list<SetQuestion>  $more  questions over sets that are no terms
     * @param  array<string, Carriers>  $asked  what else is asked for, by name
     * @param  list<string>  $nested  attributes whose values are terms below their umbrellas
     * @param  array<int, int>|null  $carried  products of the listing by term, where that is known: no other term is counted
     *
     * @throws Refused for an attribute, a term or a field that does not exist, by its name
     */
    public function __construct(
        private readonly EditionFile $edition,
        ?EditionCategory $category,
        private readonly Picks $picks,
        array $attributes,
        ?Scope $listing = null,
        array $more = [],
        array $asked = [],
        private readonly array $nested = [],
        private readonly ?array $carried = null,
    ) {
        $listing ??= Scope::listing($edition->layout, $edition->listing($category));
        $this->sets = new AddedSets($edition);
        $questions = array_map(fn (SetQuestion $question): Question => $question->over($this->sets), $more);
        foreach (array_unique([...$attributes, ...array_map(strval(...), array_keys($picks->terms))]) as $slug) {
            $questions[] = $this->question($slug);
        }
        $ranges = $asked;
        foreach ($picks->ranges as $field => [$from, $to]) {
            $ranges['range '.$field] = $this->within((string) $field, $from, $to);
        }
        $this->counter = new Counter($listing, $questions, $this->sets, $ranges);
    }

    public function matching(): ProductSet
    {
        return $this->counter->matching()->matching;
    }

    /**
     * The smallest and largest number of a field among what matches.
     *
     * @param  bool  $ownRange  whether the field's own range is asked for as well
     * @return array{0: float, 1: float}|null
     */
    public function ends(string $field, bool $ownRange = true): ?array
    {
        $scope = $ownRange ? $this->counter->matching() : $this->counter->without('range '.$field);

        $known = $this->field($field);

        return $known['numbers']->ends($known['level'] === Level::Product ? $scope->matching : $scope->variants());
    }

    private function question(string $slug): Question
    {
        $attribute = $this->edition->attribute($slug) ?? throw Refused::unknown('attribute', $slug);
        $terms = $this->edition->terms($attribute, in_array($slug, $this->nested, true));
        $ids = array_column($terms, 'id', 'slug');
        $picks = [];
        foreach ($this->picks->terms[$slug] ?? [] as $pick) {
            $picks[] = $ids[$pick] ?? throw new Refused("There is no term \"{$pick}\" in the attribute \"{$slug}\".");
        }

        return new Question(
            $slug,
            $this->carried === null ? array_keys($terms) : array_keys(array_intersect_key($terms, $this->carried)),
            array_values(array_unique($picks)),
            $this->picks->combine[$slug] ?? Combine::Any,
        );
    }

    private function within(string $field, ?float $from, ?float $to): Carriers
    {
        $this->field($field);

        return $this->edition->within($field, $from, $to);
    }

    /** @return array{label: string, unit: string|null, level: Level, numbers: RangedNumbers<ProductSet>|RangedNumbers<VariantSet>} */
    private function field(string $field): array
    {
        return $this->numbers[$field] ??= $this->edition->numbers($field) ?? throw Refused::unknown('number field', $field);
    }
}
