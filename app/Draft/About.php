<?php

declare(strict_types=1);

namespace App\Draft;

use App\Catalog\Discount;
use App\Models\Definition;
use Lokum\Lineup\ProductField;

/** What a filter's figures are about, beside products and their categories: a definition by its id, "price", "stock". */
final class About
{
    /**
     * @param  string  $key  a definition's slug, or a field of products
     * @param  bool  $inStock  whether products are listed while they are in stock
     * @return list<int|string>
     */
    public static function filter(string $key, bool $inStock = false): array
    {
        $definition = Definition::liveBySlug($key);
        $about = match (true) {
            $definition !== null => [$definition->id],
            // Compared with a list price, which is a definition's.
            $key === ProductField::Discount->value => [ProductField::Price->value, Discount::listPrice()->id ?? 0],
            default => [$key],
        };

        return $inStock ? [...$about, ProductField::Stock->value] : $about;
    }

    /** What a filter's figures depend on besides: how long ago products came is another number every day. */
    public static function besides(string $key): string
    {
        return $key === ProductField::Added->value ? now()->toDateString() : '';
    }
}
