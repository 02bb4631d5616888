<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\ItemsOfLevel;
use App\Catalog\ProductCounts;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Value;
use Lokum\Vocabulary\KnownValue;
use Lokum\Vocabulary\Term;
use Lokum\Vocabulary\TermOrder;
use Lokum\Vocabulary\TermSorter;

/** All values of one attribute with their spellings and products, in the attribute's order. */
final readonly class ValueTable
{
    public function __construct(private TermSorter $sorter, private ProductCounts $counts)
    {
    }

    /** @return list<ValueRow> */
    public function of(Definition $definition): array
    {
        $products = $this->counts->byValue($definition);
        $spellings = $this->spellings($definition);
        $values = $terms = [];
        foreach ($definition->values()->with('umbrella')->get() as $value) {
            // As they stand in the table: a model's own properties are worked out at each use, and there may be thousands.
            $row = $value->getAttributes();
            $values[$row['id']] = $value;
            $terms[] = new Term(
                $row['id'],
                $row['label'],
                $row['position'],
                $products[$row['id']] ?? 0,
                $definition->term_order === TermOrder::Hue ? $value->look()->colors[0] ?? null : null,
            );
        }

        return array_map(
            fn (Term $term): ValueRow => new ValueRow($values[$term->id], $term->products, $spellings[$term->id] ?? []),
            $this->sorter->sort($terms, $definition->term_order),
        );
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, KnownValue> by id, for a merge
     */
    public function known(Definition $definition, array $ids): array
    {
        $products = $this->counts->byValue($definition);
        $known = [];
        foreach (
            Value::query()
                ->whereKey($ids)
                ->whereNull('merged_into')
                ->where('definition_id', $definition->id)
                ->with('spellings')
                ->get() as $value
        ) {
            $known[$value->id] = new KnownValue(
                $value->id,
                $value->label,
                $value->slug,
                $products[$value->id] ?? 0,
                $value->spellings->pluck('text', 'id')->all(),
            );
        }

        return $known;
    }

    /**
     * @param  list<int>  $ids
     * @return int distinct products that carry any of the values
     */
    public static function productsOfAny(Definition $definition, array $ids): int
    {
        return (int) Spelling::table('s')
            ->join('assignments as a', 'a.spelling_id', '=', 's.id')
            ->join('items as i', 'i.id', '=', 'a.item_id')
            ->whereIn('s.value_id', $ids)
            ->whereRaw(ItemsOfLevel::on($definition->level))
            ->selectRaw('COUNT(DISTINCT '.ItemsOfLevel::PRODUCT.') AS n')
            ->value('n');
    }

    /** @return array<int, list<array{id: int, text: string, products: int}>> by value, most products first */
    private function spellings(Definition $definition): array
    {
        $products = $this->counts->bySpelling($definition);
        $byValue = [];
        foreach (
            Spelling::table()
                ->where('definition_id', $definition->id)
                ->whereNotNull('value_id')
                ->orderBy('id')
                ->get(['id', 'text', 'value_id']) as $row
        ) {
            $byValue[$row->value_id][] = ['id' => $row->id, 'text' => $row->text, 'products' => $products[$row->id] ?? 0];
        }
        foreach ($byValue as &$spellings) {
            usort($spellings, fn (array $a, array $b): int => $b['products'] <=> $a['products']);
        }

        return $byValue;
    }
}
