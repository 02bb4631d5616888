<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use Lokum\Feed\ColumnMap;
use PDO;

/** Reads rows with ten attribute columns, twice, beside prepared PDO inserts of the same rows in one transaction. */
final readonly class FeedReading implements Benchmark
{
    public function __construct(private ReadFeed $read)
    {
    }

    public function run(int $products, callable $say): array
    {
        $path = tempnam(sys_get_temp_dir(), 'lokum-bench').'.csv';
        Catalog::write((new Catalog($products))->flatRows(), $path);
        $say('baseline: prepared inserts');
        $baseline = $this->baseline($path);
        $times = [];
        foreach (['the first reading', 'the same file again'] as $what) {
            $say($what);
            $file = fopen($path, 'rb') ?: throw new \RuntimeException('The feed is gone.');
            memory_reset_peak_usage();
            $start = hrtime(true);
            $figures = ($this->read)($file, 'Bench', new ColumnMap(), false, fn () => null);
            $times[] = [(hrtime(true) - $start) / 1e9, memory_get_peak_usage() / 1e6, $figures];
        }
        unlink($path);
        [[$first, $memory, $read], [$again, , $unchanged]] = $times;

        return [
            'rows' => $read->rows,
            'seconds' => round($first, 2),
            'rows_per_second' => (int) round($products / $first),
            'peak_mb' => round($memory),
            'again_seconds' => round($again, 2),
            'again_unchanged' => $unchanged->products['unchanged'],
            'baseline_seconds' => round($baseline, 2),
            'ratio' => round($baseline / $first, 3),
            'again_faster' => round($first / $again, 1),
        ];
    }

    private function baseline(string $path): float
    {
        $database = tempnam(sys_get_temp_dir(), 'lokum-bench');
        $pdo = new PDO('sqlite:'.$database, options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $pdo->exec('PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL');
        $start = hrtime(true);
        $file = fopen($path, 'rb') ?: throw new \RuntimeException('The feed is gone.');
        $headings = array_map(strval(...), fgetcsv($file, escape: '') ?: []);
        $pdo->exec(
            'CREATE TABLE rows ('.
                implode(', ', array_map(fn (string $heading): string => "\"{$heading}\" TEXT", $headings)).
                ')',
        );
        $insert = $pdo->prepare('INSERT INTO rows VALUES ('.implode(', ', array_fill(0, count($headings), '?')).')');
        $pdo->beginTransaction();
        while (is_array($row = fgetcsv($file, escape: ''))) {
            $insert->execute($row);
        }
        $pdo->commit();
        $seconds = (hrtime(true) - $start) / 1e9;
        array_map(fn (string $name) => @unlink($name), glob($database.'*') ?: []);

        return $seconds;
    }
}
