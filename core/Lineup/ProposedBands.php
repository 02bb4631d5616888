<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/**
 * Edges for bands over numbers (C7), always on round steps: 1, 2, 2.5 or 5 times a power of ten. The first band is open below,
 * the last above; each holds its lower edge and not its upper.
 */
final class ProposedBands
{
    /** How far a share may be from its equal part, for the sake of a round edge. */
    private const SLACK = 0.15;

    private const STEPS = [1.0, 2.0, 2.5, 5.0, 10.0];

    /**
     * Equal steps: the smallest round step that needs no more bands than wanted.
     *
     * @param  int  $most  bands, 2 or more
     * @return list<float> inner edges, rising; none where all numbers are one
     */
    public static function equalSteps(float $from, float $to, int $most = 6): array
    {
        if ($to <= $from) {
            return [];
        }
        for ($power = (int) floor(log10(($to - $from) / $most)); ; $power++) {
            foreach (self::STEPS as $times) {
                $step = $times * 10.0 ** $power;
                $edges = self::multiples($from, $to, $step);
                if (count($edges) + 1 <= $most) {
                    return $edges;
                }
            }
        }
    }

    /**
     * Equal shares of products: quantiles, each at the roundest number near it.
     *
     * @param  array<int|string, int>  $products  by number (as a numeric string)
     * @param  int  $wanted  bands, 2 or more
     * @return list<float> inner edges, rising; fewer than wanted where the numbers do not part so
     */
    public static function equalShares(array $products, int $wanted = 5): array
    {
        uksort($products, fn (int|string $a, int|string $b): int => (float) $a <=> (float) $b);
        $numbers = array_map(floatval(...), array_keys($products));
        if (count($numbers) < 2) {
            return [];
        }
        $edges = [];
        $total = array_sum($products);
        for ($cut = 1; $cut < $wanted; $cut++) {
            $below = self::quantile($products, ($total * ($cut - self::SLACK)) / $wanted);
            $upTo = self::quantile($products, ($total * ($cut + self::SLACK)) / $wanted);
            // Where one number holds the whole cut, the band begins at the next.
            $next = array_values(array_filter($numbers, fn (float $number): bool => $number > $below))[0] ?? null;
            if ($next !== null) {
                $edges[] = self::roundBetween(max($below, $edges[count($edges) - 1] ?? $below), max($upTo, $next));
            }
        }

        return array_values(array_unique($edges));
    }

    /** @param  array<int|string, int>  $products  by number, rising */
    private static function quantile(array $products, float $place): float
    {
        $seen = 0;
        foreach ($products as $number => $n) {
            $seen += $n;
            if ($seen >= $place) {
                return (float) $number;
            }
        }

        return (float) array_key_last($products);
    }

    /** The roundest number above one and up to the other. */
    private static function roundBetween(float $below, float $upTo): float
    {
        for ($power = (int) ceil(log10(max(abs($below), abs($upTo), 1e-12))); $power > -15; $power--) {
            foreach ([5.0, 2.5, 2.0, 1.0] as $times) {
                $step = $times * 10.0 ** $power;
                $edge = floor($upTo / $step + 1e-9) * $step;
                if ($edge > $below && $edge <= $upTo) {
                    return round($edge, 12);
                }
            }
        }

        return $upTo;
    }

    /** @return list<float> that lie between two numbers */
    private static function multiples(float $from, float $to, float $step): array
    {
        $edges = [];
        for ($n = floor($from / $step + 1e-9) + 1; $n * $step < $to - $step * 1e-9; $n++) {
            $edges[] = round($n * $step, 12);
        }

        return $edges;
    }
}
