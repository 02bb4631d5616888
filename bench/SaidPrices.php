<?php

declare(strict_types=1);

namespace Bench;

use App\Models\Item;
use App\Publishing\PriceRow;
use App\Publishing\SayPrices;

/** Prices and stock that are said and seen at once, beside the whole publication that would have to be waited for. */
final readonly class SaidPrices implements Benchmark
{
    private const TIMES = 3;

    public function __construct(private Shop $shop, private SayPrices $say)
    {
    }

    public function run(int $products, callable $say): array
    {
        $edition = $this->shop->open($products, true, $say);
        $figures = ['products' => $edition->products, 'variants' => $edition->variants, 'publication_seconds' => $edition->seconds];
        mt_srand(9);
        foreach ([1, 100, 1000] as $rows) {
            $say("saying {$rows} at a time");
            $best = INF;
            for ($i = 0; $i < self::TIMES; $i++) {
                $said = $this->rows($rows);
                $start = hrtime(true);
                ($this->say)('Bench', $said);
                $best = min($best, (hrtime(true) - $start) / 1e6);
            }
            $figures["said_{$rows}_ms"] = round($best, 1);
        }
        $figures['ratio'] = round((1000 * $edition->seconds) / $figures['said_1000_ms'], 1);

        return $figures;
    }

    /** @return list<PriceRow> */
    private function rows(int $rows): array
    {
        $skus = Item::query()->where('variant_count', 0)->orderByRaw('id * 7919 % 104729')->limit($rows * 7)->pluck('sku')->all();
        shuffle($skus);

        return array_map(
            fn (string $sku): PriceRow => PriceRow::from(['sku' => $sku, 'price' => mt_rand(100, 9999) / 100, 'stock' => mt_rand(0, 5)]),
            array_slice($skus, 0, $rows),
        );
    }
}
