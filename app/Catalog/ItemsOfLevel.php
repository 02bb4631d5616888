<?php

declare(strict_types=1);

namespace App\Catalog;

use Lokum\Vocabulary\Level;

/**
 * Which items a definition's data counts on: product-level data on products, variant-level data on variants and on
 * products that have none; on none that is out of the shop. In SQL, over the table "items" under the alias i.
 */
final class ItemsOfLevel
{
    public const PRODUCT = 'COALESCE(i.parent_id, i.id)';

    public static function on(Level $level): string
    {
        return ($level === Level::Product ? 'i.parent_id IS NULL' : 'i.variant_count = 0').' AND i.out_since IS NULL';
    }
}
