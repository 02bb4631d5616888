<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Item;
use App\Publishing\PriceRow;
use App\Publishing\Publish;
use App\Publishing\SayPrices;
use App\Vocabulary\MergeValues;
use Illuminate\Support\Facades\DB;

/**
 * Publishes a catalog with about three variants each, beside one plain SQL count of every attribute's terms over the same data; and again
 * after a filter went, two values were merged, and a hundred prices were said, when most is taken over.
 */
final readonly class Publishing implements Benchmark
{
    private const PRICES = 100;

    public function __construct(
        private ReadFeed $read,
        private Publish $publish,
        private EditLineup $edit,
        private MergeValues $merge,
        private SayPrices $prices,
    ) {
    }

    public function run(int $products, callable $say): array
    {
        $say('reading '.number_format($products).' products');
        Catalog::readIn($this->read, (new Catalog($products))->variantRows());
        DB::statement('UPDATE definitions SET state = ?', ['accepted']);
        $this->edit->several([...array_keys(Catalog::ATTRIBUTES), 'price', 'stock']);
        $say('publishing');
        memory_reset_peak_usage();
        $edition = ($this->publish)(fn () => null);
        $memory = memory_get_peak_usage() / 1e6;
        $say('baseline: one GROUP BY an attribute');
        $start = hrtime(true);
        foreach (DB::table('definitions')->pluck('id') as $definition) {
            DB::select(
                'SELECT s.value_id, COUNT(DISTINCT COALESCE(i.parent_id, i.id)) FROM spellings s
                    JOIN assignments a ON a.spelling_id = s.id JOIN items i ON i.id = a.item_id WHERE s.definition_id = ?
                    GROUP BY s.value_id',
                [$definition],
            );
        }
        $baseline = (hrtime(true) - $start) / 1e9;

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
                'prices' => fn () => ($this->prices)('A shop', array_map(
                    fn (mixed $sku, int $i): PriceRow => PriceRow::from(['sku' => (string) $sku, 'price' => 1.5 + $i]),
                    $skus,
                    array_keys($skus),
                )),
            ] as $what => $act
        ) {
            $act();
            $say("publishing after: {$what}");
            $seconds["after_{$what}_seconds"] = ($this->publish)(fn () => null)->seconds;
        }

        return $seconds;
    }
}
