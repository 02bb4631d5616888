<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use App\Publishing\Publish;
use Illuminate\Support\Facades\DB;

/** Publishes a catalog with about three variants each, beside one plain SQL count of every attribute's terms over the same data. */
final readonly class Publishing implements Benchmark
{
    public function __construct(private ReadFeed $read, private Publish $publish)
    {
    }

    public function run(int $products, callable $say): array
    {
        $say('reading '.number_format($products).' products');
        Catalog::readIn($this->read, (new Catalog($products))->variantRows());
        DB::statement('UPDATE definitions SET state = ?', ['accepted']);
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
        ];
    }
}
