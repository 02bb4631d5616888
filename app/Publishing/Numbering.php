<?php

declare(strict_types=1);

namespace App\Publishing;

use Illuminate\Support\Facades\DB;
use Lokum\Facet\Layout;
use SplFixedArray;

/** The number and lane of every product and variant in an edition: products by falling number of variants. */
final class Numbering
{
    public readonly Layout $layout;

    /** @var SplFixedArray<int> number of the product, by item id; only products have one */
    private SplFixedArray $numbers;

    /** @var SplFixedArray<int> number of the product that is shown, by id of a variant or of a product that is its own */
    private SplFixedArray $shown;

    /** @var SplFixedArray<int> bit of a variant (or of a product that is its own), by item id; -1 for products with variants */
    private SplFixedArray $bits;

    public function __construct()
    {
        $size = (int) DB::table('items')->max('id') + 1;
        $this->numbers = new SplFixedArray($size);
        $this->bits = new SplFixedArray($size);
        $this->shown = new SplFixedArray($size);
        $sizes = [];
        $number = 0;
        foreach ($this->stream('SELECT id, MAX(variant_count, 1) AS lanes FROM items WHERE parent_id IS NULL ORDER BY lanes DESC, id') as [$id, $lanes]) {
            $this->numbers[$id] = $number++;
            for ($lane = 0; $lane < $lanes; $lane++) {
                $sizes[$lane] = $number;
            }
        }
        $this->layout = new Layout($sizes);
        $lane = 0;
        $last = 0;
        foreach ($this->stream('SELECT id, COALESCE(parent_id, id) AS product FROM items WHERE variant_count = 0 ORDER BY product, id') as [$id, $product]) {
            $lane = $product === $last ? $lane + 1 : 0;
            $last = $product;
            $this->shown[$id] = $this->numbers[$product];
            $this->bits[$id] = $this->layout->bit($lane, (int) $this->shown[$id]);
        }
    }

    public function product(int $id): int
    {
        return (int) $this->numbers[$id];
    }

    /** The number of a variant's product. */
    public function productOf(int $id): int
    {
        return (int) $this->shown[$id];
    }

    public function variant(int $id): int
    {
        return (int) $this->bits[$id];
    }

    /** @return iterable<array{0: int, 1: int}> */
    private function stream(string $sql): iterable
    {
        $statement = DB::connection()->getPdo()->query($sql);
        while ($statement !== false && ($row = $statement->fetch(\PDO::FETCH_NUM)) !== false) {
            yield $row;
        }
    }
}
