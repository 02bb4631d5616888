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

    public function __construct(private EditionDatabase $database, private Layout $layout)
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
        $part = fn (string $column): Closure => fn (int $part): string => (string) ($this->database->row(
            "SELECT {$column} AS part FROM orders WHERE name = ? AND part = ?",
            [$order, $part],
        )['part'] ?? '');

        return (new EditionOrder($this->layout->products(), $part('numbers'), $part('ranks')))->page($matching, $offset, $length);
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

        return array_values(
            array_filter(
                array_map(fn (int $number): ?EditionProduct => $byNumber[$number] ?? null, $numbers),
                fn (?EditionProduct $product): bool => $product !== null,
            ),
        );
    }

    /** @return iterable<EditionProduct> all of them, read as they are asked for */
    public function everyProduct(): iterable
    {
        foreach ($this->database->stream('SELECT * FROM products ORDER BY number') as $row) {
            yield EditionProduct::fromRow($row);
        }
    }

    public function product(string $sku): ?EditionProduct
    {
        $row = $this->database->row('SELECT * FROM products WHERE sku = ?', [$sku]);

        return $row === null ? null : EditionProduct::fromRow($row);
    }
}
