<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\Cache;

/** How far a piece of work in the background is. Kept beside the catalog, so that telling it never waits for a writer. */
final class Progress
{
    private const KEPT = 7200;

    private float $told = 0.0;

    public function __construct(private readonly string $work)
    {
    }

    /** The work was asked for and has not begun. */
    public function begin(): void
    {
        Cache::put($this->key(), [
            'what' => 'Waiting for the worker',
            'count' => 0,
            'share' => 0.0,
            'at' => time(),
        ], self::KEPT);
    }

    /** @param  float  $share  of what is being done, 0 to 1 */
    public function report(string $what, int $count, float $share): void
    {
        if (microtime(true) - $this->told > 0.2) {
            $this->told = microtime(true);
            Cache::put($this->key(), [
                'what' => $what,
                'count' => $count,
                'share' => $share,
                'at' => time(),
            ], self::KEPT);
        }
    }

    public function end(): void
    {
        Cache::forget($this->key());
    }

    public function stop(string $message): void
    {
        Cache::put($this->key(), ['stopped' => $message], self::KEPT);
    }

    /** @return array{what: string, count: int, share: float, at: int}|array{stopped: string}|null null when nothing is under way */
    public function now(): ?array
    {
        return Cache::get($this->key());
    }

    private function key(): string
    {
        return 'progress:'.$this->work;
    }
}
