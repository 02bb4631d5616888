<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Catalog\CategoryTree;
use App\Catalog\ItemsOfLevel;
use App\History\Remembered;
use App\Models\Definition;
use App\Models\Spelling;
use Illuminate\Support\Facades\DB;

/** Where each value of an attribute is used, and since when and from which feed it is there. */
final class ValueOrigins
{
    /**
     * @return array{used: array<int, array<string, int>>, since: array<int, array{feed: string, day: string}>} by value; products
     *         by branch of the shop, most first
     */
    public static function of(Definition $definition): array
    {
        $remembered = app(Remembered::class);
        $name = "origins:{$definition->id}";

        return $remembered->lately($name, fn (): array => $remembered->about(
            [$definition->id],
            $name,
            fn (): array => ['used' => self::used($definition), 'since' => self::since($definition)],
        ));
    }

    /** @return array<int, array<string, int>> */
    private static function used(Definition $definition): array
    {
        $tree = CategoryTree::load();
        $names = [];
        foreach ($tree->flat() as [$category]) {
            $names[$category->id] = $category->name;
        }
        $used = [];
        foreach (
            Spelling::table('s')
                ->join('assignments as a', 'a.spelling_id', '=', 's.id')
                ->join('items as i', 'i.id', '=', 'a.item_id')
                ->join('items as p', fn ($join) => $join->on('p.id', '=', DB::raw(ItemsOfLevel::PRODUCT)))
                ->where('s.definition_id', $definition->id)
                ->whereNotNull('s.value_id')
                ->whereNotNull('p.category_id')
                ->whereRaw(ItemsOfLevel::on($definition->level))
                ->groupBy('s.value_id', 'p.category_id')
                ->selectRaw('s.value_id AS value, p.category_id AS category, COUNT(DISTINCT p.id) AS n')
                ->get() as $row
        ) {
            $above = $tree->withAncestors((int) $row->category);
            $branch = $names[$above[count($above) - 1]];
            $used[$row->value][$branch] = ($used[$row->value][$branch] ?? 0) + $row->n;
        }
        foreach ($used as &$branches) {
            arsort($branches);
        }

        return $used;
    }

    /** @return array<int, array{feed: string, day: string}> */
    private static function since(Definition $definition): array
    {
        $since = [];
        foreach (
            Spelling::table('s')
                ->join('readings as r', 'r.id', '=', 's.reading_id')
                ->join('feeds as f', 'f.id', '=', 'r.feed_id')
                ->where('s.definition_id', $definition->id)
                ->whereNotNull('s.value_id')
                ->groupBy('s.value_id')
                ->selectRaw('s.value_id AS value, f.name AS feed, MIN(r.created_at) AS day')
                ->get() as $row
        ) {
            $since[$row->value] = ['feed' => $row->feed, 'day' => substr((string) $row->day, 0, 10)];
        }

        return $since;
    }
}
