<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Definitions\Definition;
use App\Vocabulary\ProductCounts;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermSorter;

/** The terms an attribute would publish now: its values that are neither merged away nor held, and that a product carries. */
final readonly class DraftTerms
{
    public function __construct(private TermSorter $sorter, private ProductCounts $counts)
    {
    }

    /**
     * @param  array<int, int>|null  $products  distinct products by value id, where they were counted already
     * @return list<array{id: int, label: string, slug: string, look: string|null, products: int, page: string}>  page: what tells its page from another in their order
     */
    public function of(Definition $definition, ?array $products = null): array
    {
        $products ??= $this->counts->byValue($definition);
        $rows = [];
        $terms = [];
        foreach (DB::table('attribute_values')->where('definition_id', $definition->id)->whereNull('merged_into')->where('held', false)->get(['id', 'label', 'slug', 'look', 'position', 'description', 'picture']) as $value) {
            if (isset($products[$value->id])) {
                $rows[$value->id] = ['id' => $value->id, 'label' => $value->label, 'slug' => $value->slug, 'look' => $value->look, 'products' => $products[$value->id],
                    'page' => $definition->has_pages ? md5($value->description.$value->picture) : ''];
                $terms[] = new Term($value->id, $value->label, $value->position, $products[$value->id]);
            }
        }

        return array_map(fn (Term $term): array => $rows[$term->id], $this->sorter->sort($terms, $definition->term_order));
    }
}
