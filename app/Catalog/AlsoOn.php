<?php

declare(strict_types=1);

namespace App\Catalog;

use App\Support\LookedUp;
use Illuminate\Support\Facades\DB;

/**
 * Products that stand in several categories. Each belongs to one; the table also_on has the pages that list it beyond those of that one
 * and what it is below, so that it is counted once on each page.
 */
final class AlsoOn
{
    /** SQL of the categories, beside its own, that an item i stands in, as a JSON list of their ids. */
    public const SAID = 'COALESCE(i.also_by_hand, i.also_in)';

    /** Whether any product does, since most catalogs have none. */
    public static function any(): bool
    {
        return app(LookedUp::class)->of(
            'also on any page',
            fn (): bool => (bool) DB::scalar(
                'SELECT EXISTS (SELECT 1 FROM also_on)',
            ),
        );
    }

    /** Condition on a column of product ids: listed on one of these pages beside their own. */
    public static function condition(string $column, int ...$pages): ?string
    {
        return self::any() && $pages !== []
            ? "{$column} IN (SELECT item_id FROM also_on WHERE category_id IN (".implode(',', $pages).'))'
            : null;
    }

    /**
     * The same question once of each product's own category and once of the pages that list it as well.
     *
     * @param  string  $sql  with {category} where a product's category is meant and {also} where tables are joined to products p
     * @return array{0: string, 1: string|null} the second gives pages as they are, without what they are below; null for none
     */
    public static function both(string $sql): array
    {
        return [
            strtr($sql, ['{category}' => 'p.category_id', '{also}' => '']),
            self::any() ? strtr($sql, ['{category}' => 'o.category_id', '{also}' => ' JOIN also_on o ON o.item_id = p.id']) : null,
        ];
    }
}
