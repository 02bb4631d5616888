<?php

declare(strict_types=1);

namespace Bench;

/** Measures one thing beside a baseline of the same run. */
interface Benchmark
{
    /**
     * @param  int  $products  size of the catalog
     * @param  callable(string): void  $say  what is being done
     * @return array<string, int|float|string|bool> the figures; "ratio" is how many times faster than the baseline
     */
    public function run(int $products, callable $say): array;
}
