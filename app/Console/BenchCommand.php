<?php

declare(strict_types=1);

namespace App\Console;

use App\Data\Setup;
use App\Support\Refused;
use Bench\Benchmark;
use Bench\BulkChange;
use Bench\Desk;
use Bench\Facets;
use Bench\FeedReading;
use Bench\Filling;
use Bench\Grid;
use Bench\LookAlikeValues;
use Bench\Pages;
use Bench\Publishing;
use Bench\Replicated;
use Bench\SaidPrices;
use Bench\Starting;
use Illuminate\Support\Facades\DB;

final class BenchCommand extends Command
{
    private const BENCHMARKS = [
        'facets' => Facets::class,
        'feed' => FeedReading::class,
        'publish' => Publishing::class,
        'bulk' => BulkChange::class,
        'fill' => Filling::class,
        'grid' => Grid::class,
        'lookalikes' => LookAlikeValues::class,
        'pages' => Pages::class,
        'desk' => Desk::class,
        'prices' => SaidPrices::class,
        'replicas' => Replicated::class,
        'start' => Starting::class,
    ];

    protected $signature = 'bench {what=facets : facets, feed, publish, bulk, fill, grid, lookalikes, pages, desk, prices, '.
        'replicas or start} '.
        '{--products=100000 : size of the catalog} {--json : answer with one JSON document}';

    protected $description = 'Measures speed and memory beside a baseline in the same run';

    public function handle(): int
    {
        $what = $this->text('what');
        $class = self::BENCHMARKS[$what] ?? throw Refused::unknown('benchmark', $what);
        $products = (int) $this->option('products');
        if ($products < 1 || $products > 5_000_000) {
            throw new Refused('--products takes a number from 1 to 5000000.');
        }
        $data = sys_get_temp_dir().'/lokum-bench-'.bin2hex(random_bytes(6));
        ini_set('memory_limit', '8G');
        $this->onCatalog($data);
        try {
            /** @var Benchmark $benchmark */
            $benchmark = $this->laravel->make($class);
            $figures = $benchmark->run($products, fn (string $doing) => $this->option('json') ? null : $this->line("… {$doing}"));
        } finally {
            exec('rm -rf '.escapeshellarg($data));
        }
        $figures = ['benchmark' => $what] + $figures;

        return $this->answer(
            $figures,
            array_map(
                fn (string $name, mixed $figure): string => sprintf(
                    '%-20s %s',
                    $name,
                    is_bool($figure) ? ($figure ? 'yes' : 'NO') : $figure,
                ),
                array_keys($figures),
                $figures,
            ),
        );
    }

    /** Works on an empty catalog of its own, so that the user's is neither measured nor touched. */
    private function onCatalog(string $data): void
    {
        config([
            'lokum.data' => $data,
            'database.connections.catalog.database' => "{$data}/catalog.sqlite",
            'database.connections.runtime.database' => "{$data}/runtime.sqlite",
        ]);
        DB::purge('catalog');
        DB::purge('runtime');
        Setup::ensure();
    }
}
