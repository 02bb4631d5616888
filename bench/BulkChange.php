<?php

declare(strict_types=1);

namespace Bench;

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Feeds\ReadFeed;
use App\History\TakeBack;
use App\Models\Definition;
use Illuminate\Support\Facades\DB;

/** Sets a value on half of the products with its entry in History, and takes it back; beside one plain UPDATE of as many rows. */
final readonly class BulkChange implements Benchmark
{
    use Timed;

    public function __construct(private ReadFeed $read, private ChangeCells $change, private TakeBack $takeBack)
    {
    }

    public function run(int $products, callable $say): array
    {
        $say('reading '.number_format($products).' products');
        Catalog::readIn($this->read, (new Catalog($products))->flatRows());
        $finish = Definition::query()->where('slug', 'finish')->firstOrFail();
        $half = Chosen::all(Narrowing::where(['price:..50.5']));
        $wanted = CellChange::set($finish, ['finish 1']);
        $say('consequences');
        [$check, $figures] = $this->time(fn () => $this->change->consequences($half, $wanted));
        $say('setting');
        [$set, $change] = $this->time(fn () => ($this->change)($half, $wanted));
        $say('taking back');
        [$back] = $this->time(fn () => ($this->takeBack)($change));
        $say('baseline: one UPDATE');
        [$baseline] = $this->time(
            fn () => DB::transaction(fn () => DB::update('UPDATE items SET version = version + 1 WHERE price <= 50.5')),
        );

        return [
            'products' => $products,
            'changed' => $figures->change,
            'check_seconds' => round($check, 2),
            'set_seconds' => round($set, 2),
            'take_back_seconds' => round($back, 2),
            'peak_mb' => round(memory_get_peak_usage() / 1e6),
            'baseline_seconds' => round($baseline, 2),
            'times_one_update' => round($set / $baseline, 1),
        ];
    }
}
