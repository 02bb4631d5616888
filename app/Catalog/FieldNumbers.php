<?php

declare(strict_types=1);

namespace App\Catalog;

use Lokum\Lineup\ProductField;

/** The numbers of a product field, in SQL: items (id) of the field's level, and their number. */
final class FieldNumbers
{
    /** Null where it has none: a category, or a discount without a list price. */
    public static function sql(ProductField $field): ?string
    {
        return match ($field) {
            ProductField::Price, ProductField::Stock => "SELECT id, {$field->value} AS number FROM items
                WHERE variant_count = 0 AND {$field->value} IS NOT NULL AND out_since IS NULL",
            ProductField::Added => "SELECT id, CAST(julianday('now') - julianday(created_at) AS INTEGER) AS number FROM items
                WHERE parent_id IS NULL AND created_at IS NOT NULL AND out_since IS NULL",
            ProductField::Discount => self::discount(),
            ProductField::Category => null,
        };
    }

    private static function discount(): ?string
    {
        $list = Discount::listPrice();

        return $list === null ? null : Discount::sql($list);
    }
}
