<?php

declare(strict_types=1);

namespace Lokum\Feed;

use Lokum\Text\StrictKey;

/** The columns that Lokum knows by name. */
final class ColumnName
{
    public const KNOWN = ['sku', 'parent_sku', 'name', 'category', 'brand', 'price', 'currency', 'stock', 'description', 'image'];

    /** Other headings for them, offered when no column has the name itself. Common practice in feeds, no source. */
    private const OTHERS = [
        'sku' => ['item number', 'item no', 'article number', 'article no', 'art no', 'stock keeping unit'],
        'parent_sku' => ['parent', 'parent item', 'parent article', 'parent item no', 'parent art no'],
        'name' => ['title', 'product name', 'product title', 'item name'],
        'category' => ['category path', 'product category', 'shop category'],
        'brand' => ['brand name'],
        'price' => ['unit price', 'retail price', 'rrp'],
        'stock' => ['stock level', 'in stock qty', 'quantity in stock'],
        'description' => ['long description', 'product description'],
        'image' => ['picture', 'image url'],
    ];

    /**
     * The known column that a heading names outright.
     */
    public static function of(string $heading): ?string
    {
        $name = str_replace([' ', '-'], '_', trim(str_replace('_', ' ', StrictKey::of(str_replace('_', ' ', $heading)))));

        return in_array($name, self::KNOWN, true) ? $name : null;
    }

    /**
     * Which heading holds a known column: by its name, else by another usual heading.
     *
     * @param  array<int, string>  $headings
     * @return int|null key of the heading
     */
    public static function amongHeadings(string $column, array $headings): ?int
    {
        foreach ($headings as $index => $heading) {
            if (self::of($heading) === $column) {
                return $index;
            }
        }
        foreach ($headings as $index => $heading) {
            if (in_array(StrictKey::of(str_replace('_', ' ', $heading)), self::OTHERS[$column] ?? [], true)) {
                return $index;
            }
        }

        return null;
    }
}
