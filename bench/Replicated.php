<?php

declare(strict_types=1);

namespace Bench;

use App\Models\Token;

/**
 * Picked listings a second from one, two and three replicas, beside the machine with the catalog alone; each of them has one core of
 * this machine, in turn. And how long a new edition takes to all of them.
 */
final readonly class Replicated implements Benchmark
{
    private const SHOPPERS = 8;

    private const SECONDS = 10.0;

    private const REPLICAS = 3;

    private const CORES = 2;

    public function __construct(private Shop $shop)
    {
    }

    public function run(int $products, callable $say): array
    {
        $edition = $this->shop->open($products, false, $say);
        Manager::make();
        $token = Token::issue('A replica', copies: true);
        $data = (string) config('lokum.data');
        $catalog = new Running(['serve'], $data, 0);
        $page = '/shop?color=color-1&grade=grade-1';
        $say('baseline: the machine with the catalog alone');
        $alone = Crowd::throughput(self::SHOPPERS, [$catalog->address.$page], self::SECONDS);
        $figures = ['products' => $edition->products, 'file_mb' => round($edition->bytes / 1e6, 1), 'alone_a_second' => $alone];
        $replicas = [];
        try {
            for ($i = 1; $i <= self::REPLICAS; $i++) {
                $say("{$i} of ".self::REPLICAS.' replicas');
                $start = microtime(true);
                $replicas[] = new Running(
                    ['replica', "--from={$catalog->address}", "--token={$token}", '--every=1'],
                    "{$data}/replica-{$i}",
                    $i % self::CORES,
                );
                $this->waitFor($replicas[$i - 1], $edition->id);
                $figures["start_seconds_{$i}"] = round(microtime(true) - $start, 2);
                $figures["replicas_{$i}_a_second"] = Crowd::throughput(
                    self::SHOPPERS,
                    array_map(fn (Running $replica): string => $replica->address.$page, $replicas),
                    self::SECONDS,
                );
            }
            $next = $this->shop->publish($say);
            $start = microtime(true);
            array_walk($replicas, fn (Running $replica) => $this->waitFor($replica, $next->id));
            $figures['all_follow_seconds'] = round(microtime(true) - $start, 2);
        } finally {
            array_map(fn (Running $server) => $server->stop(), [...$replicas, $catalog]);
        }

        return $figures;
    }

    private function waitFor(Running $replica, int $edition): void
    {
        for ($end = microtime(true) + 300; microtime(true) < $end; usleep(50_000)) {
            $said = json_decode((string) @file_get_contents("{$replica->address}/health"), true);
            if (is_array($said) && ($said['edition'] ?? null) === $edition) {
                return;
            }
        }
        throw new \RuntimeException("{$replica->address} does not come to edition {$edition}.");
    }
}
