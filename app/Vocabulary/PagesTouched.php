<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\AlsoOn;
use App\Catalog\CategoryTree;
use App\Catalog\ItemsOfLevel;
use App\Catalog\TermNumbers;
use App\Models\Definition;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What becomes of one term on the pages that shoppers visit: its products there before and after, and the terms that go. */
final class PagesTouched
{
    /**
     * @param  list<int>  $before  values that the term stands for now
     * @param  list<int>  $after  values that it will stand for
     * @return list<PageTouched> pages where something changes, those with most products first
     */
    public static function of(Definition $definition, array $before, array $after): array
    {
        $all = implode(',', array_unique(array_map(intval(...), [...$before, ...$after])));
        $in = fn (array $ids): string => 's.value_id IN ('.implode(',', array_map(intval(...), $ids ?: [0])).')';
        $product = ItemsOfLevel::PRODUCT;
        [$own, $also] = AlsoOn::both(
            "SELECT {category} AS category, COUNT(DISTINCT CASE WHEN {$in(
                $before,
            )} THEN p.id END) AS before, COUNT(DISTINCT CASE WHEN {$in($after)} THEN p.id END) AS after, GROUP_CONCAT(DISTINCT ".
                TermNumbers::SQL.
                ") AS terms
            FROM spellings s JOIN attribute_values v ON v.id = s.value_id AND v.held = 0
            JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id JOIN items p ON p.id = {$product}{also}
            WHERE s.value_id IN ({$all}) AND ".
                ItemsOfLevel::on($definition->level).
                ' AND {category} IS NOT NULL GROUP BY {category}',
        );
        $tree = CategoryTree::load();
        $sums = [];
        $add = function (int $id, stdClass $row) use (&$sums): void {
            $sums[$id] ??= [0, 0, []];
            $sums[$id] = [
                $sums[$id][0] + $row->before,
                $sums[$id][1] + $row->after,
                $sums[$id][2] + array_fill_keys(explode(',', (string) $row->terms), true),
            ];
        };
        foreach (DB::select($own) as $row) {
            foreach ($tree->withAncestors((int) $row->category) as $id) {
                $add($id, $row);
            }
        }
        foreach ($also === null ? [] : DB::select($also) as $row) {
            $add((int) $row->category, $row);
        }
        $pages = [];
        foreach ($tree->flat() as [$category]) {
            [$was, $is, $terms] = $sums[$category->id] ?? [0, 0, []];
            if ($was !== $is) {
                $pages[] = new PageTouched($category->path, $was, $is, max(0, count($terms) - 1));
            }
        }
        usort(
            $pages,
            fn (PageTouched $a, PageTouched $b): int => $b->after <=> $a->after ?:
            substr_count($a->page, '>') <=> substr_count($b->page, '>'),
        );

        return $pages;
    }
}
