<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;
use App\Definitions\Definition;
use App\Lineups\Filter;
use App\Lineups\Lineup;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Edition\Summary;
use Lokum\Edition\TermLine;
use Lokum\Vocabulary\Kind;

/** What the catalog would publish now, in so far as editions are compared by it. */
final readonly class DraftSummary
{
    public function __construct(private DraftTerms $terms, private DraftPages $draft)
    {
    }

    public function __invoke(): Summary
    {
        $terms = [];
        foreach (Definition::query()->accepted()->whereIn('kind', [Kind::Choice, Kind::Flag])->get() as $definition) {
            foreach ($this->terms->of($definition) as $term) {
                $terms[$term['id']] = new TermLine($term['id'], $definition->slug, $term['label'], $term['slug'], $term['look'].$term['page'], $term['products']);
            }
        }
        $filters = Lineup::ofTheShop()->filters()->with('definition')->get()->toBase();
        $totals = DB::selectOne('SELECT COUNT(*) FILTER (WHERE parent_id IS NULL) AS products, COUNT(*) FILTER (WHERE variant_count = 0) AS variants, TOTAL(version) AS versions FROM items');

        return new Summary((int) $totals->products, (int) $totals->variants, $terms,
            $filters->mapWithKeys(fn (Filter $filter): array => [$filter->title => (string) json_encode($filter->settings())])->all(),
            $this->pages($filters), $totals->products.':'.$totals->variants.':'.(int) $totals->versions);
    }

    /**
     * @param  Collection<int, Filter>  $filters
     * @return array<string, list<string>>
     */
    private function pages(Collection $filters): array
    {
        $pages = [];
        $slugs = [];
        foreach (CategoryTree::load()->flat() as [$category]) {
            $slugs[$category->id] = $category->slug;
        }
        foreach ($this->draft->of($filters) as $category => $absences) {
            if (isset($slugs[$category])) {
                $pages[$slugs[$category]] = array_map(strval(...), array_keys(array_filter($absences, is_null(...))));
            }
        }

        return $pages;
    }
}
