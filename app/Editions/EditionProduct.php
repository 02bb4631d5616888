<?php

declare(strict_types=1);

namespace App\Editions;

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

    /** @param  array<string, mixed>  $row */
    public static function fromRow(array $row): self
    {
        $body = (array) json_decode((string) $row['body'], true);
        $float = fn (mixed $value): ?float => $value === null ? null : (float) $value;

        return new self(
            (string) $row['sku'],
            (string) $row['name'],
            $row['category_id'] === null ? null : (int) $row['category_id'],
            $float($row['price_from']),
            $float($row['price_to']),
            $row['currency'] === null ? null : (string) $row['currency'],
            $row['in_stock'] === null ? null : (bool) $row['in_stock'],
            $body['description'] ?? null,
            $body['colors'] ?? [],
            $body['properties'] ?? [],
            $body['variants'] ?? [],
        );
    }
}
