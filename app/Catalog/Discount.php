<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Models\Definition;
use Lokum\Vocabulary\Kind;

/** What a product costs less than its list price, in per cent. The list price is a number field that says so by its name. */
final class Discount
{
    /** What a definition is called in addresses that holds the price before. */
    public const LIST_PRICES = ['list-price', 'old-price', 'price-before', 'recommended-price', 'rrp'];

    public static function listPrice(): ?Definition
    {
        return Definition::query()
            ->accepted()
            ->where('kind', Kind::Number)
            ->whereIn('slug', self::LIST_PRICES)
            ->orderBy('id')
            ->first();
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
