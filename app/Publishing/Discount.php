<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Definitions\Definition;
use Lokum\Vocabulary\Kind;

/** What a product costs less than its list price, in per cent. The list price is a number field that says so by its name. */
final class Discount
{
    public static function listPrice(): ?Definition
    {
        return Definition::query()
            ->accepted()
            ->where('kind', Kind::Number)
            ->whereIn('slug', ['list-price', 'old-price', 'price-before', 'recommended-price', 'rrp'])
            ->orderBy('id')
            ->first();
    }

    /** Items and their discount; the list price counts from the variant, or from its product. */
    public static function sql(Definition $list): string
    {
        return "SELECT i.id, ROUND(100 * (1 - i.price / s.number), 1) FROM items i JOIN assignments a ON a.item_id IN (i.id, i.parent_id) JOIN spellings s ON s.id = a.spelling_id AND s.definition_id = {$list->id}
            WHERE i.variant_count = 0 AND i.price IS NOT NULL AND s.number > 0 AND i.price < s.number";
    }
}
