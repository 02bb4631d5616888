<?php

declare(strict_types=1);

namespace Bench;

/** Shoppers who ask for page after page, so many at once. */
final class Crowd
{
    /**
     * @param  list<string>  $addresses  asked for in turn
     * @param  callable(): bool  $goesOn
     * @param  callable(int, string): mixed  $answered  gets status and page of each answer
     */
    public static function ask(int $shoppers, array $addresses, callable $goesOn, callable $answered): void
    {
        $all = curl_multi_init();
        $next = 0;
        $add = function () use ($all, $addresses, &$next): void {
            $one = curl_init($addresses[$next++ % count($addresses)]);
            curl_setopt_array($one, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 30]);
            curl_multi_add_handle($all, $one);
        };
        for ($i = 0; $i < $shoppers; $i++) {
            $add();
        }
        while ($goesOn()) {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.05);
            while (($done = curl_multi_info_read($all)) !== false) {
                $answered(
                    (int) curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE),
                    (string) curl_multi_getcontent($done['handle']),
                );
                curl_multi_remove_handle($all, $done['handle']);
                $add();
            }
        }
    }

    /**
     * @param  list<string>  $addresses
     * @return float answers a second
     */
    public static function throughput(int $shoppers, array $addresses, float $seconds): float
    {
        $answers = 0;
        $until = microtime(true) + $seconds;
        self::ask($shoppers, $addresses, fn (): bool => microtime(true) < $until, function (int $status) use (&$answers): void {
            $answers += $status === 200 ? 1 : throw new \RuntimeException("A page answers {$status}.");
        });

        return round($answers / $seconds, 1);
    }
}
