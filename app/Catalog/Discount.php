<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Definition;
use App\Support\LookedUp;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Kind;

/** What a product costs less than its list price, in per cent. The list price is a number field that says so by its name. */
final class Discount
{
    /** What a definition is called in addresses that holds the price before. */
    public const LIST_PRICES = ['list-price', 'old-price', 'price-before', 'recommended-price', 'rrp'];

    public static function listPrice(): ?Definition
    {
        return app(LookedUp::class)->of(
            'list price',
            fn (): ?Definition => Definition::query()
                ->accepted()
                ->where('kind', Kind::Number)
                ->whereIn('slug', self::LIST_PRICES)
                ->orderBy('id')
                ->first(),
        );
    }

    /**
     * @param  list<int>  $items  variants, or products that are their own
     * @return array<int, float> list prices by item; those without one are left out
     */
    public static function listPrices(Definition $list, array $items): array
    {
        $prices = [];
        foreach (
            DB::table('items as i')
                ->join('assignments as a', fn ($on) => $on->on('a.item_id', 'i.id')->orOn('a.item_id', 'i.parent_id'))
                ->join('spellings as s', 's.id', 'a.spelling_id')
                ->whereIn('i.id', $items)
                ->where('a.definition_id', $list->id)
                ->whereNotNull('s.number')
                ->orderByRaw('a.item_id = i.id')
                ->orderByDesc('s.number')
                ->get(['i.id', 's.number']) as $row
        ) {
            // The smallest of its own stands last.
            $prices[(int) $row->id] = (float) $row->number;
        }

        return $prices;
    }

    /** In per cent; null where the price is no lower than the list price. */
    public static function from(?float $list, ?float $price): ?float
    {
        return $list === null || $price === null || $list <= 0 || $price >= $list ? null : round(100 * (1 - $price / $list), 1);
    }

    /** Items (id) and their discount (number); the list price counts from the variant, or from its product where it says none itself. */
    public static function sql(Definition $list): string
    {
        $said = "(SELECT MIN(s.number) FROM assignments a JOIN spellings s ON s.id = a.spelling_id
            WHERE a.item_id = %s AND a.definition_id = {$list->id})";

        return 'SELECT id, ROUND(100 * (1 - price / list), 1) AS number FROM (
            SELECT i.id, i.price, COALESCE('.
            sprintf($said, 'i.id').
            ', '.
            sprintf($said, 'i.parent_id').
            ') AS list
            FROM items i WHERE i.variant_count = 0 AND i.price IS NOT NULL AND i.out_since IS NULL
        ) WHERE list > 0 AND price < list';
    }
}
