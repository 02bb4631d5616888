<?php

declare(strict_types=1);

namespace App\Cells;

use App\Models\Assignment;

/** The values of some products and variants, as grids and product pages show them. */
final class CellTable
{
    /**
     * @param  list<int>  $items
     * @return array<int, array<int, list<Cell>>> by item and definition
     */
    public static function of(array $items): array
    {
        $cells = [];
        foreach (array_chunk($items, 2000) as $chunk) {
            $rows = Assignment::table('a')
                ->join('spellings as s', 's.id', '=', 'a.spelling_id')
                ->leftJoin('attribute_values as v', 'v.id', '=', 's.value_id')
                ->whereIn('a.item_id', $chunk)
                ->orderBy('v.position')
                ->orderBy('s.id')
                ->get([
                    'a.item_id',
                    'a.definition_id',
                    'a.origin',
                    's.id as spelling',
                    's.text',
                    's.number',
                    's.problem',
                    'v.id as value_id',
                    'v.label',
                    'v.look',
                ]);
            foreach ($rows as $row) {
                $cells[$row->item_id][$row->definition_id][] = new Cell(
                    $row->text,
                    $row->value_id,
                    $row->label,
                    $row->look,
                    $row->number === null ? null : (float) $row->number,
                    $row->problem,
                    $row->spelling,
                    $row->origin,
                );
            }
        }

        return $cells;
    }
}
