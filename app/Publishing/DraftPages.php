<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Catalog\CategoryTree;
use App\Catalog\Counted;
use App\History\Remembered;
use App\Lineups\Filter;
use App\Vocabulary\TermNumbers;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Lokum\Lineup\Absence;
use Lokum\Lineup\Control;

/** Which filters would show on which category's page now, and why the others would not. */
final class DraftPages
{
    /** @var array<int, int> products by category id, those below included; 0 is the whole shop */
    private array $products = [];

    private CategoryTree $tree;

    public function __construct(private readonly Remembered $remembered)
    {
    }

    /**
     * @param  Collection<int, Filter>  $filters
     * @return array<int, array<string, Absence|null>> by category id (0: the whole shop) and title; null where the filter shows
     */
    public function of(Collection $filters): array
    {
        return $this->remembered->of('pages:'.$filters->pluck('id')->join(','), fn (): array => $this->work($filters));
    }

    /**
     * @param  Collection<int, Filter>  $filters
     * @return array<int, array<string, Absence|null>>
     */
    private function work(Collection $filters): array
    {
        $this->tree = CategoryTree::load();
        $this->products = [];
        foreach (DB::table('items')->whereNull('parent_id')->groupBy('category_id')->selectRaw('category_id, COUNT(*) AS n')->get() as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $this->products[$category] = ($this->products[$category] ?? 0) + $row->n;
            }
        }
        $pages = [];
        foreach ($filters as $filter) {
            $absences = $filter->control === Control::Scale ? $this->ofNumbers($filter) : $this->ofTerms($filter);
            foreach (array_keys($this->products) as $category) {
                $pages[$category][$filter->title] = array_key_exists($category, $absences) ? $absences[$category] : Absence::NobodyCarriesIt;
            }
        }

        return $pages;
    }

    /** @return array<int, Absence|null> */
    private function ofTerms(Filter $filter): array
    {
        $counts = [];
        foreach ($this->termCounts($filter) as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $counts[$category][$row->term] = ($counts[$category][$row->term] ?? 0) + $row->n;
            }
        }
        $absences = [];
        foreach ($counts as $category => $terms) {
            $absences[$category] = Absence::ofTerms($filter->kind(), array_values($terms), $this->products[$category] ?? 0);
        }

        return $absences;
    }

    /** @return iterable<object{category_id: int|null, term: int, n: int}> */
    private function termCounts(Filter $filter): iterable
    {
        if ($filter->definition === null) {
            return DB::select('SELECT p.category_id, i.stock > 0 AS term, COUNT(DISTINCT p.id) AS n FROM items i JOIN items p ON p.id = '.Counted::PRODUCT
                .' WHERE i.variant_count = 0 AND i.stock IS NOT NULL GROUP BY 1, 2');
        }

        return DB::select('SELECT p.category_id, '.TermNumbers::SQL.' AS term, COUNT(DISTINCT p.id) AS n FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
            JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT.'
            WHERE s.definition_id = ? AND '.Counted::on($filter->definition->level).' GROUP BY 1, 2', [$filter->definition->id]);
    }

    /** @return array<int, Absence|null> */
    private function ofNumbers(Filter $filter): array
    {
        $rows = $filter->definition === null
            ? DB::select('SELECT p.category_id, MIN(i.price) AS low, MAX(i.price) AS high FROM items i JOIN items p ON p.id = '.Counted::PRODUCT.' WHERE i.variant_count = 0 AND i.price IS NOT NULL GROUP BY 1')
            : DB::select('SELECT p.category_id, MIN(s.number) AS low, MAX(s.number) AS high FROM spellings s JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = '.Counted::PRODUCT.'
                WHERE s.definition_id = ? AND s.number IS NOT NULL AND '.Counted::on($filter->definition->level).' GROUP BY 1', [$filter->definition->id]);
        $ends = [];
        foreach ($rows as $row) {
            foreach ($this->upwards($row->category_id) as $category) {
                $ends[$category] = [min($ends[$category][0] ?? INF, (float) $row->low), max($ends[$category][1] ?? -INF, (float) $row->high)];
            }
        }

        return array_map(fn (array $pair): ?Absence => Absence::ofScale($pair), $ends);
    }

    /** @return list<int> the whole shop, the category and what it is below */
    private function upwards(?int $category): array
    {
        return $category === null ? [0] : [0, ...$this->tree->withAncestors($category)];
    }
}
