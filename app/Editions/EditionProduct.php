<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Vocabulary\Level;

/** A product as an edition carries it. */
final readonly class EditionProduct
{
    /**
     * @param  bool|null  $inStock  null when nothing is known of its stock
     * @param  list<string>  $colors  that its picture is drawn in
     * @param  array<string, list<string>>  $properties  by label
     * @param  list<array{sku: string, name: string|null, price: float|null, stock: int|null, properties: array<string,
     *         list<string>>}>  $variants
     */
    private function __construct(
        public string $sku,
        public string $name,
        public ?int $category,
        public ?float $priceFrom,
        public ?float $priceTo,
        public ?string $currency,
        public ?bool $inStock,
        public ?string $description,
        public array $colors,
        public array $properties,
        public array $variants,
    ) {
    }

    /**
     * @param  array<string, mixed>  $row
     * @param  list<array<string, mixed>>  $variants  rows of its variants, or of itself, by lane
     * @param  ShownTexts  $texts  prepared for the spellings of all of them
     */
    public static function fromRows(array $row, array $variants, ShownTexts $texts): self
    {
        $float = fn (mixed $value): ?float => $value === null ? null : (float) $value;
        $own = $texts->of($row['spellings']);
        $colors = [];
        $bought = [];
        foreach ($variants as $variant) {
            // Without spellings of its own the product is its own variant.
            $shown = $variant['spellings'] === null ? $own : $texts->of($variant['spellings']);
            $colors = $colors ?: self::colors($shown);
            $bought[] = [
                'sku' => (string) $variant['sku'],
                'name' => $variant['name'] === null ? null : (string) $variant['name'],
                'price' => $float($variant['price']),
                'stock' => $variant['stock'] === null ? null : (int) $variant['stock'],
                'properties' => self::properties($shown, Level::Variant),
            ];
        }

        return new self(
            (string) $row['sku'],
            (string) $row['name'],
            $row['category_id'] === null ? null : (int) $row['category_id'],
            $float($row['price_from']),
            $float($row['price_to']),
            $row['currency'] === null ? null : (string) $row['currency'],
            $row['in_stock'] === null ? null : (bool) $row['in_stock'],
            $row['description'] === null ? null : (string) $row['description'],
            $colors ?: self::colors($own),
            self::properties($own, Level::Product),
            $bought,
        );
    }

    /**
     * @param  list<ShownText>  $shown
     * @return list<string> of the first that has any
     */
    private static function colors(array $shown): array
    {
        return array_values(array_filter(array_column($shown, 'colors')))[0] ?? [];
    }

    /**
     * @param  list<ShownText>  $shown
     * @return array<string, list<string>> texts by label
     */
    private static function properties(array $shown, Level $level): array
    {
        $properties = [];
        foreach ($shown as $one) {
            if ($one->level === $level) {
                $properties[$one->label][] = $one->text;
            }
        }

        return $properties;
    }

    /** @return list<string> of its variants, or its own */
    public function skus(): array
    {
        return array_map(fn (array $variant): string => (string) $variant['sku'], $this->variants);
    }

    /**
     * The same with what was said of its variants since.
     *
     * @param  array<string, array{price: float|null, stock: int|null}>  $said  by sku
     */
    public function with(array $said): self
    {
        if (array_intersect_key($said, array_flip($this->skus())) === []) {
            return $this;
        }
        $variants = array_map(fn (array $variant): array => array_replace($variant, $said[$variant['sku']] ?? []), $this->variants);
        $prices = array_filter(array_column($variants, 'price'), fn (mixed $price): bool => $price !== null);
        $stocks = array_filter(array_column($variants, 'stock'), fn (mixed $stock): bool => $stock !== null);

        return new self(
            $this->sku,
            $this->name,
            $this->category,
            $prices === [] ? null : (float) min($prices),
            $prices === [] ? null : (float) max($prices),
            $this->currency,
            $stocks === [] ? null : max($stocks) > 0,
            $this->description,
            $this->colors,
            $this->properties,
            $variants,
        );
    }
}
