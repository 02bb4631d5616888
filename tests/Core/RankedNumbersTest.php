<?php

declare(strict_types=1);

use Lokum\Facet\BitWriter;
use Lokum\Facet\ChangedRanks;
use Lokum\Facet\Layout;
use Lokum\Facet\RankedNumbers;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\StoredBits;

test('bits set some by some are stored as all at once', function (int $seed): void {
    mt_srand($seed);
    $bytes = 8 * mt_rand(1, 60);
    $writer = new BitWriter($bytes);
    $set = [];
    for ($i = mt_rand(0, $bytes); $i > 0; $i--) {
        $bits = array_map(fn (): int => mt_rand(0, $bytes * 8 - 1), range(1, mt_rand(1, 4)));
        $new = array_values(array_unique(array_filter($bits, fn (int $bit): bool => ! isset($set[$bit]))));
        expect($writer->set($bits))->toBe($new);
        $set += array_fill_keys($bits, true);
    }
    expect($writer->set([]))->toBe([]);
    ksort($set);
    $stored = StoredBits::encode(array_keys($set), $bytes);
    expect($writer->stored())->toBe($stored)->and(StoredBits::ofBitmap(StoredBits::asBitmap($stored, $bytes)))->toBe($stored);
})->with(range(1, 40));

test('every carrier has its smallest number, whichever way they come', function (int $seed): void {
    mt_srand($seed);
    $layout = new Layout([mt_rand(20, 200)]);
    $pairs = $wanted = [];
    for ($i = mt_rand(0, 150); $i > 0; $i--) {
        $bit = mt_rand(0, $layout->products() - 1);
        $number = [0.1 + 0.2, 0.3, -1.5, (float) mt_rand(0, 40), 1e-9][mt_rand(0, 4)];
        $pairs[] = [$bit, $number];
        $wanted[$bit] = min($wanted[$bit] ?? INF, $number);
    }
    usort($pairs, fn (array $one, array $other): int => $one[1] <=> $other[1]);
    $groups = array_map(fn (array $pair): array => [[$pair[0]], $pair[1]], $pairs);
    $byNumber = [];
    foreach ($pairs as [$bit, $number]) {
        $byNumber[var_export($number, true)][] = $bit;
    }
    $together = [];
    foreach ($byNumber as $number => $bits) {
        $together[] = [$bits, (float) $number];
    }
    expect(RankedNumbers::rising($together, $layout->bytes))->toEqual(RankedNumbers::rising($groups, $layout->bytes));
    foreach ([RankedNumbers::rising($groups, $layout->bytes), RankedNumbers::of($wanted, $layout->bytes)] as $ranked) {
        $read = fn (string $bits): mixed => StoredBits::variants($bits, $layout);
        $numbers = new SlicedNumbers($ranked->numbers, $read($ranked->present), array_map($read, $ranked->slices));
        for ($bit = 0; $bit < $layout->products(); $bit++) {
            expect($numbers->at($bit, 0))->toBe($wanted[$bit] ?? null);
        }
        $rising = $ranked->numbers;
        sort($rising);
        expect($ranked->numbers)->toBe(array_values(array_unique($rising, SORT_REGULAR)));
    }
})->with(range(1, 40));

test('numbers that are changed are what they are when all are ranked anew', function (int $seed): void {
    mt_srand($seed);
    $layout = new Layout([mt_rand(20, 200)]);
    $number = fn (): float => [0.1 + 0.2, 0.3, -1.5, (float) mt_rand(0, 12), mt_rand(0, 999) / 7][mt_rand(0, 4)];
    $has = [];
    for ($i = mt_rand(0, 90); $i > 0; $i--) {
        $has[mt_rand(0, $layout->products() - 1)] = $number();
    }
    for ($round = 0; $round < 4; $round++) {
        $before = RankedNumbers::of($has, $layout->bytes);
        $changes = [];
        for ($i = mt_rand(0, [3, 60][mt_rand(0, 1)]); $i > 0; $i--) {
            $changes[mt_rand(0, $layout->products() - 1)] = mt_rand(0, 2) === 0 ? null : $number();
        }
        $has = array_filter(array_replace($has, $changes), is_float(...));
        $after = (new ChangedRanks($before->numbers, $before->present, $before->slices, $layout->bytes))->with($changes);
        expect($after)->toEqual(RankedNumbers::of($has, $layout->bytes));
    }
})->with(range(1, 80));
