<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ProductCounts;
use App\Catalog\TermNumbers;
use App\Draft\CurrentTerms;
use App\Models\Definition;
use App\Models\Filter;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\MergePlan;

/** What a merge will touch, in figures. */
final readonly class MergeConsequences
{
    /**
     * @param  int  $changing  products whose value becomes another
     * @param  int  $afterwards  products of the value that stays
     * @param  list<string>  $filters  titles of the filters that show it
     * @param  list<PageTouched>  $pages
     * @param  list<string>  $handPicked  filters with hand-picked terms that follow
     */
    private function __construct(
        public MergePlan $plan,
        public int $changing,
        public int $afterwards,
        public int $values,
        public int $terms,
        public int $termsAfter,
        public array $filters,
        public array $pages,
        public array $handPicked,
    ) {
    }

    public static function of(Definition $definition, MergePlan $plan, ProductCounts $counts): self
    {
        $moved = array_map(fn (KnownValue $value): int => $value->id, $plan->moved);
        // Terms are what values are ticked as; those that move are ticked as the one that stays.
        $before = array_intersect_key(TermNumbers::shown($definition), array_filter($counts->byValue($definition)));
        $stays = TermNumbers::of($definition)[$plan->keep->id] ?? $plan->keep->id;
        $after = array_replace($before, array_intersect_key(array_fill_keys($moved, $stays), $before));

        return new self(
            $plan,
            ValueTable::productsOfAny($definition, $moved),
            ValueTable::productsOfAny($definition, [...$moved, $plan->keep->id]),
            $definition->values()->count(),
            count(array_unique($before)),
            count(array_unique($after)),
            Filter::titlesOver($definition),
            PagesTouched::of($definition, [$plan->keep->id], [...$moved, $plan->keep->id]),
            CurrentTerms::handPicked($definition->slug, $moved),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'keep' => $this->plan->keep->label,
            'moved' => array_map(
                fn (KnownValue $value): array => [
                    'label' => $value->label,
                    'slug' => $value->slug,
                    'products' => $value->products,
                    'spellings' => array_values($value->spellings),
                ],
                $this->plan->moved,
            ),
            'spellings' => count($this->plan->moves()),
            'products' => $this->changing,
            'products_after' => $this->afterwards,
            'values' => ['before' => $this->values, 'after' => $this->values - count($this->plan->moved)],
            'terms' => ['before' => $this->terms, 'after' => $this->termsAfter],
            'filters' => $this->filters,
            'pages' => PageTouched::list($this->pages),
            'hand_picked' => $this->handPicked,
            'redirects' => $this->plan->redirects(),
        ];
    }
}
