<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\Rows;
use App\Models\Item;
use Lokum\Facet\Layout;
use Lokum\Vocabulary\Level;

/** The number and lane of every product and variant in an edition: products by falling number of variants. */
final class Numbering
{
    private const NONE = -1;

    public readonly Layout $layout;

    /** @var array<int, int> number of the product, by item id; only products have one */
    private array $numbers;

    /** @var array<int, int> number of the product that is shown, by id of a variant or of a product that is its own */
    private array $shown;

    /** @var array<int, int> bit of a variant (or of a product that is its own), by item id */
    private array $bits;

    public function __construct()
    {
        $size = (int) Item::table()->max('id') + 1;
        $this->numbers = $this->bits = $this->shown = array_fill(0, $size, self::NONE);
        $sizes = [];
        $number = 0;
        foreach (
            Rows::of('SELECT id, MAX(variant_count, 1) AS lanes FROM items WHERE parent_id IS NULL AND out_since IS NULL
                ORDER BY lanes DESC, id') as [$id, $lanes]
        ) {
            $this->numbers[$id] = $number++;
            for ($lane = 0; $lane < $lanes; $lane++) {
                $sizes[$lane] = $number;
            }
        }
        $this->layout = new Layout(array_values($sizes));
        $lane = 0;
        $last = 0;
        foreach (
            Rows::of('SELECT id, COALESCE(parent_id, id) AS product FROM items WHERE variant_count = 0 AND out_since IS NULL
                ORDER BY product, id') as [$id, $product]
        ) {
            if ($this->numbers[$product] === self::NONE) {
                continue;
            }
            $lane = $product === $last ? $lane + 1 : 0;
            $last = $product;
            $this->shown[$id] = $this->numbers[$product];
            $this->bits[$id] = $this->layout->bit($lane, $this->shown[$id]);
        }
    }

    public function product(int $id): int
    {
        return $this->numbers[$id];
    }

    /** The bit of an item in a bitmap of products or of variants; null for one whose data of that level does not count. */
    public function bit(int $id, Level $level): ?int
    {
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
}
