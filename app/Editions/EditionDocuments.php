<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Lineup\FilterSettings;
use Lokum\Vocabulary\Look;

/** Parts of an edition as other programs get them. */
final class EditionDocuments
{
    /** @return array<string, mixed> */
    public static function filter(FilterSettings $filter): array
    {
        return [
            'key' => $filter->key,
            'title' => $filter->title,
            'group' => $filter->group,
            'kind' => $filter->kind->value,
            'control' => $filter->control->value,
            'combine' => $filter->combine->value,
            'unit' => $filter->unit,
        ];
    }

    /** @return array<string, mixed> */
    public static function term(EditionTerm $term): array
    {
        return ['slug' => $term->slug, 'label' => $term->label, 'products' => $term->products] + self::look($term->look);
    }

    /** @return array<string, mixed> */
    public static function product(EditionProduct $product): array
    {
        return [
            'sku' => $product->sku,
            'name' => $product->name,
            'price_from' => $product->priceFrom,
            'price_to' => $product->priceTo,
            'currency' => $product->currency,
            'in_stock' => $product->inStock,
        ];
    }

    /** @return array<string, mixed> */
    public static function look(Look $look): array
    {
        return array_filter(
            [
                'help' => $look->help,
                'colors' => $look->colors,
                'picture' => $look->picture === null ? null : url(route('shop.picture', $look->picture)),
            ],
            fn (mixed $part): bool => $part !== null && $part !== [],
        );
    }
}
