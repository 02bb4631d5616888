<?php

declare(strict_types=1);

namespace App\Editions;

use Closure;
use Lokum\Facet\Carriers;
use Lokum\Facet\Layout;
use Lokum\Facet\ProductSet;
use Lokum\Facet\StoredBits;
use Lokum\Text\StrictKey;
use Lokum\Text\TextBlock;
use Lokum\Vocabulary\Level;

/** The products of an edition: in an order, by number, by sku, by a text of theirs. */
final readonly class EditionProducts
{
    private const AT_ONCE = 500;

    private ShownTexts $texts;

    public function __construct(private EditionDatabase $database, private Layout $layout, private ?LivePrices $live)
    {
        $this->texts = new ShownTexts($database);
    }

    /**
     * What has every word of a search, blind to case and diacritics: in its name, its skus, its category or what it carries. Texts that
     * many products share are looked at once.
     *
     * @param  non-empty-list<string>  $words
     */
    public function found(array $words): ProductSet
    {
        $keys = array_map(StrictKey::of(...), $words);
        $own = array_fill(0, count($keys), []);
        foreach ($this->database->stream('SELECT numbers, packed FROM search_texts') as $block) {
            /** @var array<int, int> $numbers from 1 */
            $numbers = unpack('V*', (string) $block['numbers']);
            foreach (TextBlock::having((string) $block['packed'], $keys) as $word => $places) {
                foreach ($places as $place) {
                    $own[$word][] = $numbers[$place + 1];
                }
            }
        }
        $shared = 'SELECT c.bits FROM shared_texts t JOIN shared_carriers c ON c.text_id = t.id WHERE instr(t.folded, ?) > 0';
        $found = null;
        foreach ($keys as $word => $key) {
            $with = $this->set($own[$word]);
            foreach ($this->database->rows($shared, [$key]) as $row) {
                $with = $with->or(StoredBits::products((string) $row['bits'], $this->layout));
            }
            $found = $found?->and($with) ?? $with;
        }

        return $found;
    }

    /** @param  list<int>  $numbers */
    private function set(array $numbers): ProductSet
    {
        return StoredBits::products(StoredBits::encode($numbers, $this->layout->productBytes()), $this->layout);
    }

    /**
     * Who carries a text (C8), blind to case and diacritics.
     *
     * @param  string  $field  slug of a text field
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
        $byNumber = $this->put($this->database->rows('SELECT * FROM products WHERE number IN ('.implode(', ', $numbers).')'));
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
     * @param  list<string>  $skus  of products
     * @return array<string, array{0: EditionProduct, 1: int}> the products that the edition has and their numbers, by sku
     */
    public function numbered(array $skus): array
    {
        $found = [];
        foreach (array_chunk(array_values(array_unique($skus)), self::AT_ONCE) as $some) {
            $in = implode(', ', array_fill(0, count($some), '?'));
            $numbers = $this->database->rows("SELECT number FROM products WHERE sku IN ({$in}) ORDER BY number", $some);
            $numbers = array_map(intval(...), array_column($numbers, 'number'));
            foreach ($this->products($numbers) as $i => $product) {
                $found[$product->sku] = [$product, $numbers[$i]];
            }
        }

        return $found;
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
        $row = $this->database->row('SELECT * FROM products WHERE number = ?', [$number]);

        return match (true) {
            $row === null => null,
            $whole => $this->put([$row])[$number],
            default => EditionProduct::fromRows(['spellings' => null] + $row, [], $this->texts),
        };
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
        for ($from = 0; $from < $this->layout->products(); $from += self::AT_ONCE) {
            $rows = $this->database->rows('SELECT * FROM products WHERE number >= ? AND number < ?', [$from, $from + self::AT_ONCE]);
            foreach ($this->put($rows) as $number => $product) {
                yield $number => $product->with($said);
            }
        }
    }

    public function product(string $sku): ?EditionProduct
    {
        $row = $this->database->row('SELECT number FROM products WHERE sku = ?', [$sku]);

        return $row === null ? null : $this->products([(int) $row['number']])[0] ?? null;
    }

    /**
     * Products put together of what they carry.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return array<int, EditionProduct> by number
     */
    private function put(array $rows): array
    {
        $variants = [];
        $numbers = implode(', ', array_column($rows, 'number'));
        foreach ($this->database->rows("SELECT * FROM variants WHERE product IN ({$numbers}) ORDER BY product, lane") as $variant) {
            $variants[(int) $variant['product']][] = $variant;
        }
        $this->texts->prepare([
            ...array_column($rows, 'spellings'),
            ...array_column(array_merge([], ...array_values($variants)), 'spellings'),
        ]);
        $products = [];
        foreach ($rows as $row) {
            $products[(int) $row['number']] = EditionProduct::fromRows($row, $variants[(int) $row['number']] ?? [], $this->texts);
        }

        return $products;
    }
}
