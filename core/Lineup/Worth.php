<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/**
 * What a filter is worth on a page (C12). Coverage is the share of the listing that carries it; narrowing the expected share of the
 * listing that one pick removes when picks follow the counts; overlap how much one filter says about another: mutual information
 * over the smaller entropy (C. E. Shannon, "A mathematical theory of communication", 1948).
 */
final class Worth
{
    /** Times that an answer has to come on average before two filters are compared. */
    private const LEAST_EACH = 5;

    /** Products that share a term, and products of a page from which on they have to. */
    private const SHARED = 3;

    private const FEW = 60;

    /**
     * 1 − Σpᵢ² / Σpᵢ, with pᵢ the share of the listing beside term i.
     *
     * @param  array<int|string, int>  $counts  products by term
     * @param  int  $products  of the listing
     * @return float from 0 to 1; 0 where there is nothing to pick
     */
    public static function narrowing(array $counts, int $products): float
    {
        $sum = array_sum($counts);

        return $sum === 0 || $products === 0
            ? 0.0
            // Whole numbers, so that it is the same in whatever order terms come.
            : max(0.0, 1 - array_sum(array_map(fn (int $n): int => $n * $n, $counts)) / ($sum * $products));
    }

    /**
     * @param  array<int|string, int>  $counts
     * @return float bits
     */
    public static function entropy(array $counts): float
    {
        $total = array_sum($counts);
        $bits = 0.0;
        foreach ($counts as $n) {
            if ($n > 0) {
                $bits -= ($n / $total) * log($n / $total, 2);
            }
        }

        return $bits;
    }

    /**
     * @param  array<int|string, array<int|string, int>>  $joint  how often each answer to one comes with each answer to the other
     * @return float bits
     */
    public static function mutualInformation(array $joint): float
    {
        $columns = [];
        $cells = [];
        foreach ($joint as $row) {
            foreach ($row as $column => $n) {
                $columns[$column] = ($columns[$column] ?? 0) + $n;
                $cells[] = $n;
            }
        }

        return max(0.0, self::entropy(array_map(array_sum(...), $joint)) + self::entropy($columns) - self::entropy($cells));
    }

    /**
     * @param  array<int|string, array<int|string, int>>  $joint
     * @return float from 0 (nothing in common) to 1 (one says all that the other does); 0 where one of them says nothing
     */
    public static function overlap(array $joint): float
    {
        $columns = [];
        foreach ($joint as $row) {
            foreach ($row as $column => $n) {
                $columns[$column] = ($columns[$column] ?? 0) + $n;
            }
        }
        $smaller = min(self::entropy(array_map(array_sum(...), $joint)), self::entropy($columns));

        return $smaller < 1e-9 ? 0.0 : min(1.0, self::mutualInformation($joint) / $smaller);
    }

    /**
     * The same, less what chance alone would give: where answers are many and products few, anything seems to say everything. The
     * expected mutual information of independent answers is about (r − 1)(c − 1) / 2n (G. A. Miller, "Note on the bias of information
     * estimates", 1955); what is left of it is measured as N. X. Vinh, J. Epps and J. Bailey do ("Information theoretic measures for
     * clusterings comparison", 2010).
     *
     * @param  array<int|string, array<int|string, int>>  $joint
     * @return float from 0 to 1; 0 where an answer comes less than five times on average, since then there is nothing to tell
     */
    public static function overlapBeyondChance(array $joint): float
    {
        $columns = [];
        foreach ($joint as $row) {
            foreach ($row as $column => $n) {
                $columns[$column] = ($columns[$column] ?? 0) + $n;
            }
        }
        $rows = array_map(array_sum(...), $joint);
        $total = array_sum($rows);
        if (! self::canTell($total, max(count($rows), count($columns)))) {
            return 0.0;
        }
        $chance = ((count($rows) - 1) * (count($columns) - 1)) / (2 * max(1, $total) * M_LN2);
        $most = min(self::entropy($rows), self::entropy($columns)) - $chance;

        return $most < 1e-9 ? 0.0 : min(1.0, max(0.0, self::mutualInformation($joint) - $chance) / $most);
    }

    /**
     * Whether answers to two questions can be compared at all.
     *
     * @param  int  $total  of those who answer both
     * @param  int  $answers  different ones to the question that has more
     */
    public static function canTell(int $total, int $answers): bool
    {
        return $total >= self::LEAST_EACH * $answers;
    }

    /**
     * The share of what is picked from that lies in terms which several products share: a list with a term for each product narrows
     * to one, and helps nobody to choose.
     *
     * @param  array<int|string, int>  $counts  products by term
     * @param  int  $products  of the listing
     * @return float from 0 to 1; 1 on a page of few products
     */
    public static function shared(array $counts, int $products): float
    {
        $sum = array_sum($counts);
        if ($sum === 0 || $products < self::FEW) {
            return 1.0;
        }

        return array_sum(array_filter($counts, fn (int $n): bool => $n >= self::SHARED)) / $sum;
    }

    /**
     * Puts filters in the order of what they earn: coverage times narrowing, less what those before have said already.
     *
     * @param  array<int|string, float>  $earns  coverage × narrowing by key
     * @param  callable(string, string): float  $overlap  of two keys, from 0 to 1
     * @return list<string> the most worth first
     */
    public static function ranked(array $earns, callable $overlap): array
    {
        $order = [];
        $said = array_fill_keys(array_keys($earns), 0.0);
        while ($earns !== []) {
            $best = null;
            foreach ($earns as $key => $worth) {
                $left = $worth * (1 - $said[$key]);
                $best = $best === null || $left > $best[1] + 1e-12 ? [(string) $key, $left] : $best;
            }
            $order[] = $best[0];
            unset($earns[$best[0]]);
            foreach (array_keys($earns) as $key) {
                $said[$key] = max($said[$key], $overlap($best[0], (string) $key));
            }
        }

        return $order;
    }
}
