<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Item;

/** One row of what a shop says: a sku with its price, its stock or both. */
final readonly class PriceRow
{
    private const MOST = 1e9;

    private const LONGEST_SKU = 200;

    /** @param  string|null  $problem  why it cannot be taken */
    private function __construct(
        public string $sku,
        private bool $saysPrice,
        private ?float $price,
        private bool $saysStock,
        private ?int $stock,
        public ?string $problem,
    ) {
    }

    /** @param  mixed  $given  as JSON has it */
    public static function from(mixed $given): self
    {
        $row = is_array($given) ? $given : [];
        $sku = $row['sku'] ?? null;
        $isSku = is_string($sku) && $sku !== '' && mb_strlen($sku) <= self::LONGEST_SKU;
        [$price, $stock] = [$row['price'] ?? null, $row['stock'] ?? null];
        $isPrice = $price === null || ((is_int($price) || is_float($price)) && $price >= 0 && $price <= self::MOST);
        $isStock = $stock === null || (is_int($stock) && abs($stock) <= self::MOST);

        return new self(
            $isSku ? $sku : '',
            array_key_exists('price', $row),
            $isPrice && $price !== null ? (float) $price : null,
            array_key_exists('stock', $row),
            $isStock ? $stock : null,
            match (true) {
                ! $isSku => 'A row needs its sku, a text of up to '.self::LONGEST_SKU.' characters.',
                ! array_key_exists('price', $row) && ! array_key_exists('stock', $row) => 'It says neither a price nor stock.',
                ! $isPrice => 'A price is a number from 0 to a thousand million, or null where there is none.',
                ! $isStock => 'Stock is a whole number, or null where nobody counts it.',
                array_diff(array_keys($row), ['sku', 'price', 'stock']) !== [] => 'It says something else than sku, price and stock.',
                default => null,
            },
        );
    }

    /** @return array<string, float|int|null> what the catalog has otherwise */
    public function differs(Item $item): array
    {
        $changes = [];
        if ($this->saysPrice && $this->price !== ($item->price === null ? null : (float) $item->price)) {
            $changes['price'] = $this->price;
        }
        if ($this->saysStock && $this->stock !== $item->stock) {
            $changes['stock'] = $this->stock;
        }

        return $changes;
    }

    /**
     * @param  string  $product  sku of its product
     */
    public function said(string $product, ?float $listPrice): SaidPrice
    {
        return new SaidPrice($this->sku, $product, $this->price, $this->stock, $this->saysPrice, $this->saysStock, $listPrice);
    }
}
