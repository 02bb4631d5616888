<?php

declare(strict_types=1);

namespace App\Watch;

use App\Data\FileLock;

/**
 * How many requests were answered and how long they took. Each process keeps a file of its own, so that none waits for another; what
 * ended ones have counted is gathered when somebody asks.
 */
final class RequestTally
{
    /** Seconds up to which a request is counted in a step of the histogram; the last step is all of them. */
    public const STEPS = [0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1.0, 2.5, 5.0, 10.0];

    /**
     * @param  string  $area  shop, api or desk
     * @param  int  $status  of HTTP
     */
    public static function add(string $area, int $status, float $seconds): void
    {
        $file = self::directory().'/'.getmypid();
        if (! is_dir(self::directory())) {
            @mkdir(self::directory(), 0700);
        }
        $counted = self::read($file);
        $name = $area.' '.intdiv($status, 100).'xx';
        $one = $counted[$name] ?? ['seconds' => 0.0, 'steps' => array_fill(0, count(self::STEPS) + 1, 0)];
        $one['seconds'] += $seconds;
        foreach ([...self::STEPS, INF] as $i => $most) {
            $one['steps'][$i] += $seconds <= $most ? 1 : 0;
        }
        // Where the disk is full nobody is kept from the page that was asked for.
        if (@file_put_contents("{$file}.part", (string) json_encode([$name => $one] + $counted)) !== false) {
            @rename("{$file}.part", $file);
        }
    }

    /** @return array<string, array{seconds: float, steps: list<int>}> by area and class of status; steps hold those before them */
    public static function all(): array
    {
        $lock = is_dir(self::directory()) ? FileLock::tryHold(self::directory().'/lock') : null;
        $all = [];
        foreach (preg_grep('~/(\d+|ended)$~D', glob(self::directory().'/*') ?: []) ?: [] as $file) {
            $pid = (int) basename($file);
            $counted = self::read($file);
            $all = self::sum($all, $counted);
            if ($lock !== null && $pid > 0 && ! posix_kill($pid, 0) && posix_get_last_error() === 3) {
                $past = self::directory().'/ended';
                if (@file_put_contents($past, (string) json_encode(self::sum(self::read($past), $counted))) !== false) {
                    @unlink($file);
                }
            }
        }
        $lock?->release();
        ksort($all);

        return $all;
    }

    /**
     * @param  array<string, array{seconds: float, steps: list<int>}>  $all
     * @param  array<string, array{seconds: float, steps: list<int>}>  $more
     * @return array<string, array{seconds: float, steps: list<int>}>
     */
    private static function sum(array $all, array $more): array
    {
        foreach ($more as $name => $one) {
            $known = $all[$name] ?? ['seconds' => 0.0, 'steps' => array_fill(0, count(self::STEPS) + 1, 0)];
            $all[$name] = [
                'seconds' => $known['seconds'] + $one['seconds'],
                'steps' => array_map(fn (int $a, int $b): int => $a + $b, $known['steps'], $one['steps']),
            ];
        }

        return $all;
    }

    /** @return array<string, array{seconds: float, steps: list<int>}> */
    private static function read(string $file): array
    {
        $counted = is_file($file) ? json_decode((string) @file_get_contents($file), true) : [];

        /** @var array<string, array{seconds: float, steps: list<int>}> */
        return is_array($counted) ? $counted : [];
    }

    private static function directory(): string
    {
        return config('lokum.data').'/metrics';
    }
}
