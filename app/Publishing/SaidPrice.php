<?php

declare(strict_types=1);

namespace App\Publishing;

/** What was said of the price and stock of one variant, or of a product that is its own. */
final readonly class SaidPrice
{
    /**
     * @param  string  $product  sku of the product
     * @param  bool  $saysPrice  whether the price is said; it may be said that there is none
     * @param  bool  $saysStock  the same of the stock
     */
    public function __construct(
        public string $sku,
        public string $product,
        public ?float $price,
        public ?int $stock,
        public bool $saysPrice,
        public bool $saysStock,
        public ?float $listPrice = null,
    ) {
    }
}
