<?php

declare(strict_types=1);

use App\Draft\FilterFacts;
use Lokum\Lineup\Band;

test('bands hold each product once, whatever it has', function (): void {
    mt_srand(12);
    for ($round = 0; $round < 40; $round++) {
        $own = $numbers = [];
        for ($product = 1; $product <= 60; $product++) {
            // In half of the rounds nobody has two.
            $own[$product] = array_values(array_unique(array_map(
                fn (): int => mt_rand(0, 15),
                range(1, $round % 2 === 0 ? 1 : mt_rand(1, 3)),
            )));
            foreach ($own[$product] as $number) {
                $numbers[$number] = ($numbers[$number] ?? 0) + 1;
            }
        }
        ksort($numbers);
        $carriers = '';
        foreach ($round % 2 === 0 ? [] : array_keys($numbers) as $number) {
            $carriers .= pack('V*', ...array_keys(array_filter($own, fn (array $all): bool => in_array($number, $all, true))));
        }
        $texts = array_combine(array_map(fn (int $number): string => "{$number}.0", array_keys($numbers)), $numbers);
        $facts = new FilterFacts(80, 60, [], $texts, $carriers);
        $ends = [[null, 5.0], [3.0, 9.0], [9.0, 9.0], [12.0, null], [90.0, null]];
        $bands = array_map(fn (array $pair): Band => new Band(...$pair), $ends);
        $wanted = array_map(
            fn (Band $band): int => count(array_filter(
                $own,
                fn (array $all): bool => array_filter($all, fn (int $number): bool => $band->holds((float) $number)) !== [],
            )),
            $bands,
        );
        expect(array_map($facts->holding(...), $bands))->toBe($wanted);
    }
});
