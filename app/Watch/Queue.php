<?php

declare(strict_types=1);

namespace App\Watch;

use Illuminate\Support\Facades\DB;

/** What waits for the worker. */
final readonly class Queue
{
    /**
     * @param  int  $jobs  that wait or are at work
     * @param  int  $oldest  seconds that the oldest of them waits
     */
    private function __construct(public int $jobs, public int $oldest)
    {
    }

    public static function now(): self
    {
        $jobs = DB::connection('runtime')->table('jobs');
        $since = (clone $jobs)->min('available_at');

        return new self($jobs->count(), $since === null ? 0 : max(0, time() - (int) $since));
    }
}
