<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use Symfony\Component\Process\Process;

/** How long a command takes that has little to do, as somebody types it; beside the same command of a PHP that keeps nothing. */
final readonly class Starting implements Benchmark
{
    use Timed;

    private const RUNS = 15;

    /** One that asks the catalog a small question. */
    private const COMMAND = ['values', 'finish', '--json'];

    public function __construct(private ReadFeed $read)
    {
    }

    public function run(int $products, callable $say): array
    {
        $products = min($products, 1_000);
        $say("reading {$products} products");
        Catalog::readIn($this->read, (new Catalog($products))->flatRows());
        $say('typed '.self::RUNS.' times');
        $typed = $this->median([base_path('bin/lokum')], []);
        $say('baseline: nothing kept of what was compiled');
        $plain = $this->median([PHP_BINARY, base_path('bin/console.php')], ['PHP_INI_SCAN_DIR' => false]);

        return [
            'products' => $products,
            'typed_ms' => round($typed * 1000),
            'baseline_ms' => round($plain * 1000),
            'times_baseline' => round($typed / $plain, 2),
        ];
    }

    /**
     * @param  list<string>  $program
     * @param  array<string, false>  $without  environment that it does not get
     * @return float seconds
     */
    private function median(array $program, array $without): float
    {
        $environment = ['LOKUM_DATA' => (string) config('lokum.data')] + $without;
        $ask = fn () => (new Process([...$program, ...self::COMMAND], null, $environment))->mustRun();
        // What can be kept is, from here on.
        $ask();
        $runs = array_map(fn (): float => $this->time($ask)[0], range(1, self::RUNS));
        sort($runs);

        return $runs[intdiv(self::RUNS, 2)];
    }
}
