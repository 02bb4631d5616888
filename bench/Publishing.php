<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Item;
use App\Publishing\PriceRow;
use App\Publishing\SayPrices;
use App\Vocabulary\MergeValues;

/**
 * Publishes a catalog with about three variants each, beside one plain SQL count of every attribute's terms over the same data; and again
 * after a filter went, two values were merged, a delivery came and a hundred prices were said, when most is taken over.
 */
final readonly class Publishing implements Benchmark
{
    private const PRICES = 100;

    public function __construct(
        private Shop $shop,
        private EditLineup $edit,
        private MergeValues $merge,
        private SayPrices $prices,
        private ReadFeed $read,
    ) {
    }

    public function run(int $products, callable $say): array
    {
        $edition = $this->shop->open($products, true, $say);
        $memory = memory_get_peak_usage() / 1e6;
        $baseline = $this->shop->oneCount($say);

        return [
            'products' => $edition->products,
            'variants' => $edition->variants,
            'terms' => $edition->terms,
            'seconds' => $edition->seconds,
            'peak_mb' => round($memory),
            'file_mb' => round((int) filesize(\App\Models\Edition::directory().'/'.$edition->file) / 1e6, 1),
            'baseline_seconds' => round($baseline, 2),
            'times_one_count' => round($edition->seconds / $baseline, 1),
        ] + $this->again($say);
    }

    /**
     * @param  callable(string): void  $say
     * @return array<string, float> seconds
     */
    private function again(callable $say): array
    {
        $seconds = [];
        $color = Definition::query()->where('slug', 'color')->sole();
        [$stays, $goes] = array_map(intval(...), $color->values()->orderBy('id')->limit(2)->pluck('id')->all());
        $skus = Item::query()->where('variant_count', 0)->orderBy('id')->limit(self::PRICES)->pluck('sku')->all();
        foreach (
            [
                'line_up' => fn () => $this->edit->drop('grade'),
                'merge' => fn () => ($this->merge)($color, $this->merge->plan($color, $stays, [$goes])),
                // With colors and prices of a hundred variants.
                'delivery' => fn () => Catalog::readIn($this->read, [
                    ['sku', 'color', 'price'],
                    ...array_map(fn (mixed $sku, int $i): array => [(string) $sku, 'color '.$i % 60, "{$i}.25"], $skus, array_keys($skus)),
                ]),
                'prices' => fn () => ($this->prices)('A shop', array_map(
                    fn (mixed $sku, int $i): PriceRow => PriceRow::from(['sku' => (string) $sku, 'price' => 1.5 + $i]),
                    $skus,
                    array_keys($skus),
                )),
            ] as $what => $act
        ) {
            $act();
            $say("after: {$what}");
            $seconds["after_{$what}_seconds"] = $this->shop->publish($say)->seconds;
        }

        return $seconds;
    }
}
