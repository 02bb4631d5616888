<?php

declare(strict_types=1);

namespace Bench;

trait Timed
{
    /** @return array{0: float, 1: mixed} seconds, and what the work gave */
    private function time(callable $work): array
    {
        $start = hrtime(true);
        $result = $work();

        return [(hrtime(true) - $start) / 1e9, $result];
    }
}
