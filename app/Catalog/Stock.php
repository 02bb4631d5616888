<?php

declare(strict_types=1);

namespace App\Catalog;

use Lokum\Lineup\ProductField;

/** What is in stock, in SQL: what somebody counts and has, and what nobody counts. Only what is counted is a term of the filter. */
final class Stock
{
    /** The term of a variant i whose stock is counted. */
    public const TERM = 'CASE WHEN i.stock > 0 THEN '.ProductField::IN_STOCK.' ELSE '.ProductField::SOLD_OUT.' END';

    /** Condition on the product p: one of its variants can be bought. */
    public static function ofProduct(): string
    {
        return self::productWith(self::of('w'));
    }

    /** Condition on a variant. */
    public static function of(string $variant): string
    {
        return "({$variant}.stock IS NULL OR {$variant}.stock > 0)";
    }

    /** Condition on the product p: one of its variants w, or itself where it has none, fulfils a condition. */
    public static function productWith(string $condition): string
    {
        return "EXISTS (SELECT 1 FROM items w WHERE w.variant_count = 0 AND (w.id = p.id OR w.parent_id = p.id) AND {$condition})";
    }
}
