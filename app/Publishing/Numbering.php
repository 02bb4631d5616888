<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\ManyRows;
use App\Data\Rows;
use App\Models\Item;
use Lokum\Facet\Layout;
use Lokum\Vocabulary\Level;
use PDO;

/**
 * The number and lane of every product and variant in an edition: products by falling number of variants. Those that are to be copied
 * into its file stand in two temporary tables as well.
 */
final class Numbering
{
    private const NONE = -1;

    private const NO_TABLES = 'DROP TABLE IF EXISTS temp.numbered; DROP TABLE IF EXISTS temp.placed';

    /** numbered: products; placed: variants, and products that are their own; both in the order of the edition. */
    private const TABLES = '
        CREATE TEMP TABLE numbered (number INTEGER PRIMARY KEY, id INTEGER NOT NULL);
        CREATE TEMP TABLE placed (id INTEGER NOT NULL, product INTEGER NOT NULL, lane INTEGER NOT NULL,
            PRIMARY KEY (product, lane)) WITHOUT ROWID;';

    private const PRODUCTS = 'SELECT id, MAX(variant_count, 1) FROM items WHERE parent_id IS NULL AND out_since IS NULL ORDER BY id';

    private const VARIANTS = 'SELECT id, parent_id FROM items WHERE parent_id IS NOT NULL AND out_since IS NULL ORDER BY id';

    /** Those that have variants are no variants themselves. */
    private const OWN_VARIANTS = 'SELECT id FROM items WHERE parent_id IS NULL AND variant_count = 0 AND out_since IS NULL';

    /** @var array<int, int> number of the product, by item id; only products have one */
    private array $numbers;

    /** @var array<int, int> number of the product that is shown, by id of a variant or of a product that is its own */
    private array $shown;

    /** @var array<int, int> bit of a variant (or of a product that is its own), by item id */
    private array $bits;

    /** @param  TakenOver|null  $before  the edition whose numbers it has; read when the first is asked for */
    private function __construct(public readonly Layout $layout, private readonly ?TakenOver $before)
    {
    }

    /** Where only line-ups were touched, none is asked for. */
    private function read(): void
    {
        if (isset($this->numbers)) {
            return;
        }
        $this->numbers = $this->bits = $this->shown = self::nobody();
        foreach ($this->before?->numbered() ?? [] as [$id, $number]) {
            $this->numbers[$id] = $number;
        }
        foreach ($this->before?->placed() ?? [] as [$id, $product, $lane]) {
            $this->place($id, $product, $lane);
        }
    }

    private function place(int $id, int $product, int $lane): void
    {
        $this->shown[$id] = $product;
        $this->bits[$id] = $this->layout->bit($lane, $product);
    }

    /** @return array<int, int> by item id */
    private static function nobody(): array
    {
        return array_fill(0, (int) Item::table()->max('id') + 1, self::NONE);
    }

    public static function afresh(PDO $pdo): self
    {
        $byLanes = [];
        foreach (Rows::from($pdo, self::PRODUCTS) as [$id, $lanes]) {
            $byLanes[$lanes][] = $id;
        }
        krsort($byLanes);
        $numbers = self::nobody();
        $number = 0;
        $sizes = [];
        foreach ($byLanes as $lanes => $products) {
            foreach ($products as $id) {
                $numbers[$id] = $number++;
            }
            // Products with more variants stand before those with fewer.
            for ($lane = 0; $lane < $lanes; $lane++) {
                $sizes[$lane] = $number;
            }
        }
        $self = new self(new Layout(array_values($sizes)), null);
        $self->numbers = $numbers;
        $self->bits = $self->shown = self::nobody();
        $taken = [];
        foreach (Rows::from($pdo, self::VARIANTS) as [$id, $product]) {
            if ($numbers[$product] !== self::NONE) {
                $taken[$product] = ($taken[$product] ?? -1) + 1;
                $self->place($id, $numbers[$product], $taken[$product]);
            }
        }
        foreach (Rows::from($pdo, self::OWN_VARIANTS) as [$id]) {
            $self->place($id, $numbers[$id], 0);
        }

        return $self;
    }

    /** As the edition before has it. */
    public static function takenOver(TakenOver $before): self
    {
        return new self($before->edition->layout, $before);
    }

    /** Puts those that are to be copied into temporary tables: all, or the products of which something was touched since. */
    public function intoTables(PDO $pdo): void
    {
        $pdo->exec(self::NO_TABLES);
        $pdo->exec(self::TABLES);
        $touched = $this->before?->touched->items();
        if ($touched === []) {
            return;
        }
        [$products, $variants] =
            $this->before === null ? [$this->products(), $this->variants()] : $this->before->placesOf((array) $touched);
        $numbered = new ManyRows($pdo, 'temp.numbered (number, id)');
        foreach ($products as $item => $number) {
            $numbered->add($number, $item);
        }
        $numbered->end();
        $placed = new ManyRows($pdo, 'temp.placed (id, product, lane)');
        foreach ($variants as $item => [$product, $lane]) {
            $placed->add($item, $product, $lane);
        }
        $placed->end();
    }

    /** @return iterable<int, int> numbers of all products by item, rising */
    private function products(): iterable
    {
        $items = array_fill(0, $this->layout->products(), self::NONE);
        foreach ($this->numbers as $item => $number) {
            if ($number !== self::NONE) {
                $items[$number] = $item;
            }
        }
        foreach ($items as $number => $item) {
            yield $item => $number;
        }
    }

    /** @return iterable<int, array{0: int, 1: int}> number of the product, and lane, of all variants, by item, in the order of these */
    private function variants(): iterable
    {
        $items = array_fill(0, $this->layout->bytes * 8, self::NONE);
        foreach ($this->bits as $item => $bit) {
            if ($bit !== self::NONE) {
                $items[$bit] = $item;
            }
        }
        $sizes = $this->layout->sizes;
        for ($product = 0; $product < $this->layout->products(); $product++) {
            for ($lane = 0; $product < ($sizes[$lane] ?? 0); $lane++) {
                yield $items[$this->layout->bit($lane, $product)] => [$product, $lane];
            }
        }
    }

    /** The temporary tables have done their work. */
    public static function forget(PDO $pdo): void
    {
        $pdo->exec(self::NO_TABLES);
    }

    public function product(int $id): int
    {
        $this->read();

        return $this->numbers[$id];
    }

    /**
     * The products that items are, or are variants of; without those that are not in the shop.
     *
     * @param  list<int>  $items
     * @return array<int, true> by number
     */
    public function productsOf(array $items): array
    {
        $this->read();
        [$shown, $numbers] = [$this->shown, $this->numbers];
        $products = [];
        foreach ($items as $id) {
            $products[$shown[$id] === self::NONE ? $numbers[$id] : $shown[$id]] = true;
        }
        unset($products[self::NONE]);

        return $products;
    }

    /**
     * The bits of items in a bitmap of products or of variants, without those whose data of that level does not count.
     *
     * @param  list<int>  $items
     * @return list<int>
     */
    public function bitsOf(array $items, Level $level): array
    {
        $this->read();
        $places = $level === Level::Product ? $this->numbers : $this->bits;
        $bits = [];
        foreach ($items as $id) {
            if ($places[$id] !== self::NONE) {
                $bits[] = $places[$id];
            }
        }

        return $bits;
    }

    /**
     * The same, with their products.
     *
     * @param  list<int>  $items
     * @return array{0: list<int>, 1: array<int, true>} bits, and the products that are shown with them
     */
    public function bits(array $items, Level $level): array
    {
        $this->read();
        [$numbers, $shown] = $level === Level::Product ? [$this->numbers, $this->numbers] : [$this->bits, $this->shown];
        $bits = $products = [];
        foreach ($items as $id) {
            if ($numbers[$id] !== self::NONE) {
                $bits[] = $numbers[$id];
                $products[$shown[$id]] = true;
            }
        }

        return [$bits, $products];
    }

    /** Bytes of a bitmap. */
    public function bytes(Level $level): int
    {
        return $level === Level::Product ? $this->layout->productBytes() : $this->layout->bytes;
    }
}
