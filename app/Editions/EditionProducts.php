<?php

declare(strict_types=1);

namespace App\Editions;

use Closure;
use Lokum\Facet\Carriers;
use Lokum\Facet\Layout;
use Lokum\Facet\ProductSet;
use Lokum\Facet\StoredBits;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Level;

/** The products of an edition: in an order, by number, by sku, by a text of theirs. */
final readonly class EditionProducts
{
    /** The field that the search box asks: names, skus, categories and what products carry. */
    public const SEARCH = 'search';

    public function __construct(private EditionDatabase $database, private Layout $layout, private ?LivePrices $live)
    {
    }

    /**
     * Who carries a text (C8), blind to case and diacritics.
     *
     * @param  string  $field  slug of a text field, or "search" for what products are found by
     * @param  bool  $whole  whether the whole text is asked for, or a part of it
     */
    public function having(string $field, string $text, bool $whole = false): Carriers
    {
        $level =
            (string) ($this->database->row('SELECT level FROM text_levels WHERE field = ?', [$field])['level'] ??
                Level::Product->value);
        $bits = array_map(
            intval(...),
            array_column(
                $this->database->rows(
                    'SELECT bit FROM texts WHERE field = ? AND '.($whole ? 'folded = ?' : 'instr(folded, ?) > 0'),
                    [$field, StrictKey::of($text)],
                ),
                'bit',
            ),
        );
        $ofProducts = $level === Level::Product->value;

        $stored = StoredBits::encode(
            array_values(array_unique($bits)),
            $ofProducts ? $this->layout->productBytes() : $this->layout->bytes,
        );

        return StoredBits::carriers($stored, $this->layout, $ofProducts);
    }

    /** Who carries any text of a field; null where nobody does. */
    public function carryingText(string $field): ?Carriers
    {
        $row = $this->database->row('SELECT level, present FROM text_levels WHERE field = ?', [$field]);

        return $row === null || $row['present'] === null
            ? null
            : StoredBits::carriers((string) $row['present'], $this->layout, $row['level'] === Level::Product->value);
    }

    /**
     * Numbers of the matching products in an order, one page of them.
     *
     * @return list<int>
     */
    public function page(ProductSet $matching, string $order, int $offset, int $length): array
    {
        $part = fn (string $column): Closure => fn (int $part): string => $this->packedOrder($order, $column, $part);

        return (new EditionOrder(
            $this->layout->products(),
            $part('numbers'),
            $part('ranks'),
            $this->live?->places($order) ?? [],
        ))->page($matching, $offset, $length);
    }

    /**
     * @param  list<int>  $numbers
     * @return list<EditionProduct> in the order of the numbers
     */
    public function products(array $numbers): array
    {
        if ($numbers === []) {
            return [];
        }
        $byNumber = [];
        foreach ($this->database->rows('SELECT * FROM products WHERE number IN ('.implode(', ', $numbers).')') as $row) {
            $byNumber[(int) $row['number']] = EditionProduct::fromRow($row);
        }

        $skus = array_merge(...array_map(fn (EditionProduct $product): array => $product->skus(), array_values($byNumber)));
        $said = $this->live?->of($skus) ?? [];
        $byNumber = array_map(fn (EditionProduct $product): EditionProduct => $product->with($said), $byNumber);

        return array_values(
            array_filter(
                array_map(fn (int $number): ?EditionProduct => $byNumber[$number] ?? null, $numbers),
                fn (?EditionProduct $product): bool => $product !== null,
            ),
        );
    }

    /**
     * @param  string  $product  sku of the product
     * @param  string  $sku  of its variant, or its own
     * @return array{0: EditionProduct, 1: int, 2: int}|null the product, its number and the variant's lane; null where the edition has none
     */
    public function variantPlace(string $product, string $sku): ?array
    {
        $found = $this->product($product);
        $lane = $found === null ? false : array_search($sku, $found->skus(), true);
        if ($found === null || $lane === false) {
            return null;
        }
        $number = (int) ($this->database->row('SELECT number FROM products WHERE sku = ?', [$product])['number'] ?? 0);

        return $number < ($this->layout->sizes[$lane] ?? 0) ? [$found, $number, (int) $lane] : null;
    }

    /**
     * A part of an order as it is stored, in four bytes for each product.
     *
     * @param  string  $column  "numbers" by place, or "ranks" (the places) by number
     */
    public function packedOrder(string $order, string $column, int $part): string
    {
        return (string) ($this->database->row(
            'SELECT '.($column === 'ranks' ? 'ranks' : 'numbers').' AS part FROM orders WHERE name = ? AND part = ?',
            [$order, $part],
        )['part'] ?? '');
    }

    /**
     * A product as it was when the edition was made.
     *
     * @param  bool  $whole  with its variants and what it carries, or only what is its own
     */
    public function asMade(int $number, bool $whole): ?EditionProduct
    {
        $found = $this->database->row(
            'SELECT sku, name, category_id, price_from, price_to, currency, in_stock, '.
                ($whole ? 'body' : "'{}' AS body").
                ' FROM products WHERE number = ?',
            [$number],
        );

        return $found === null ? null : EditionProduct::fromRow($found);
    }

    /** @return list<string> names of the orders that pages can be put in */
    public function orders(): array
    {
        return array_map(strval(...), array_column($this->database->rows('SELECT DISTINCT name FROM orders'), 'name'));
    }

    /** @return iterable<int, EditionProduct> all of them by number, read as they are asked for */
    public function everyProduct(): iterable
    {
        $said = $this->live?->of() ?? [];
        foreach ($this->database->stream('SELECT * FROM products ORDER BY number') as $row) {
            yield (int) $row['number'] => EditionProduct::fromRow($row)->with($said);
        }
    }

    public function product(string $sku): ?EditionProduct
    {
        $row = $this->database->row('SELECT * FROM products WHERE sku = ?', [$sku]);

        if ($row === null) {
            return null;
        }
        $product = EditionProduct::fromRow($row);

        return $product->with($this->live?->of($product->skus()) ?? []);
    }
}
