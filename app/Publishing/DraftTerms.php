<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Definitions\Definition;
use App\Vocabulary\ProductCounts;
use App\Vocabulary\Umbrella;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermOrder;
use Lokum\Vocabulary\TermSorter;

/**
 * The terms an attribute would publish now: its umbrellas, and the values that are in none; without those merged away or held,
 * and those that no product carries.
 */
final readonly class DraftTerms
{
    public function __construct(private TermSorter $sorter, private ProductCounts $counts)
    {
    }

    /**
     * @param  array<int, int>|null  $products  distinct products by term, where they were counted already
     * @return list<array{id: int, label: string, slug: string, look: string|null, products: int, page: string}> in their order; page: what tells its page from another
     */
    public function of(Definition $definition, ?array $products = null, ?TermOrder $order = null): array
    {
        $products ??= $this->products($definition);
        $rows = [];
        $terms = [];
        foreach ($this->candidates($definition) as $row) {
            if (isset($products[$row->id])) {
                $rows[$row->id] = ['id' => $row->id, 'label' => $row->label, 'slug' => $row->slug, 'look' => $row->look, 'products' => $products[$row->id],
                    'page' => $definition->has_pages ? md5($row->description.$row->picture) : ''];
                $terms[] = new Term($row->id, $row->label, $row->position, $products[$row->id], Look::fromJson($row->look)->colors[0] ?? null);
            }
        }

        return array_map(fn (Term $term): array => $rows[$term->id], $this->sorter->sort($terms, $order ?? $definition->term_order));
    }

    /** @return array<int, int> distinct products by term */
    private function products(Definition $definition): array
    {
        $products = $this->counts->byValue($definition);
        foreach ($this->counts->byUmbrella($definition) as $id => $n) {
            $products[Umbrella::TERM + $id] = $n;
        }

        return $products;
    }

    /** @return list<\stdClass> (id: the term's number, label, slug, look, position, description, picture) */
    private function candidates(Definition $definition): array
    {
        $values = DB::table('attribute_values')
            ->where('definition_id', $definition->id)
            ->whereNull('merged_into')
            ->whereNull('umbrella_id')
            ->where('held', false)
            ->get(['id', 'label', 'slug', 'look', 'position', 'description', 'picture']);
        $umbrellas = DB::table('umbrellas')
            ->where('definition_id', $definition->id)
            ->selectRaw('id + '.Umbrella::TERM.' AS id, label, slug, look, position, NULL AS description, NULL AS picture')
            ->get();

        return [...$values->all(), ...$umbrellas->all()];
    }
}
