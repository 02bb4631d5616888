<?php

declare(strict_types=1);

namespace App\Publishing;

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

    /** numbered: products by item; placed: variants, and products that are their own, by item, with the number of their product. */
    private const TABLES = '
        CREATE TEMP TABLE numbered (id INTEGER PRIMARY KEY, number INTEGER NOT NULL, lanes INTEGER NOT NULL);
        CREATE TEMP TABLE placed (id INTEGER PRIMARY KEY, product INTEGER NOT NULL, lane INTEGER NOT NULL);';

    private const ALL = '
        INSERT INTO temp.numbered
            SELECT id, ROW_NUMBER() OVER (ORDER BY MAX(variant_count, 1) DESC, id) - 1, MAX(variant_count, 1)
            FROM items WHERE parent_id IS NULL AND out_since IS NULL;
        INSERT INTO temp.placed
            SELECT v.id, n.number, v.lane FROM (
                SELECT id, parent_id, ROW_NUMBER() OVER (PARTITION BY parent_id ORDER BY id) - 1 AS lane
                FROM items WHERE parent_id IS NOT NULL AND out_since IS NULL) v
            JOIN temp.numbered n ON n.id = v.parent_id;
        INSERT INTO temp.placed
            SELECT n.id, n.number, 0 FROM temp.numbered n JOIN items i ON i.id = n.id WHERE i.variant_count = 0;';

    /** @var array<int, int> number of the product, by item id; only products have one */
    private array $numbers;

    /** @var array<int, int> number of the product that is shown, by id of a variant or of a product that is its own */
    private array $shown;

    /** @var array<int, int> bit of a variant (or of a product that is its own), by item id */
    private array $bits;

    /**
     * @param  iterable<list<mixed>>  $numbered  item and number of each product
     * @param  iterable<list<mixed>>  $placed  item, number of the product and lane of each variant
     */
    private function __construct(public readonly Layout $layout, private readonly iterable $numbered, private readonly iterable $placed)
    {
    }

    /** Numbers are read when the first is asked for: where only line-ups were touched, none is. */
    private function read(): void
    {
        if (isset($this->numbers)) {
            return;
        }
        $this->numbers = $this->bits = $this->shown = array_fill(0, (int) Item::table()->max('id') + 1, self::NONE);
        foreach ($this->numbered as [$id, $number]) {
            $this->numbers[$id] = $number;
        }
        foreach ($this->placed as [$id, $product, $lane]) {
            $this->shown[$id] = $product;
            $this->bits[$id] = $this->layout->bit($lane, $product);
        }
    }

    public static function afresh(PDO $pdo): self
    {
        $pdo->exec(self::NO_TABLES);
        $pdo->exec(self::TABLES);
        $pdo->exec(self::ALL);
        $sizes = [];
        // Products with more variants stand before those with fewer.
        $steps = 'SELECT lanes, MAX(number) + 1 FROM temp.numbered GROUP BY lanes ORDER BY lanes DESC';
        foreach (Rows::from($pdo, $steps) as [$lanes, $size]) {
            for ($lane = 0; $lane < $lanes; $lane++) {
                $sizes[$lane] = (int) $size;
            }
        }

        return new self(
            new Layout(array_values($sizes)),
            Rows::from($pdo, 'SELECT id, number FROM temp.numbered'),
            Rows::from($pdo, 'SELECT id, product, lane FROM temp.placed'),
        );
    }

    /** As the edition before has it; what is to be copied anew are the products of which something was touched. */
    public static function takenOver(TakenOver $before, PDO $pdo): self
    {
        $self = new self($before->edition->layout, $before->numbered(), $before->placed());
        $pdo->exec(self::NO_TABLES);
        $pdo->exec(self::TABLES);
        $items = $before->touched->items();
        if ($items !== []) {
            self::copyAnew($before, $items, $pdo);
        }

        return $self;
    }

    /** @param  list<int>  $items */
    private static function copyAnew(TakenOver $before, array $items, PDO $pdo): void
    {
        [$products, $variants] = $before->placesOf($items);
        $numbered = $pdo->prepare('INSERT INTO temp.numbered VALUES (?, ?, 0)');
        foreach ($products as $item => $number) {
            $numbered->execute([$item, $number]);
        }
        $placed = $pdo->prepare('INSERT INTO temp.placed VALUES (?, ?, ?)');
        foreach ($variants as $item => [$product, $lane]) {
            $placed->execute([$item, $product, $lane]);
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
        $products = [];
        foreach ($items as $id) {
            $products[$this->shown[$id] === self::NONE ? $this->numbers[$id] : $this->shown[$id]] = true;
        }
        unset($products[self::NONE]);

        return $products;
    }

    /** The bit of an item in a bitmap of products or of variants; null for one whose data of that level does not count. */
    public function bit(int $id, Level $level): ?int
    {
        $this->read();
        $bit = $level === Level::Product ? $this->numbers[$id] : $this->bits[$id];

        return $bit === self::NONE ? null : $bit;
    }

    /**
     * The same for many items, without those that do not count.
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
