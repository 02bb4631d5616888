<?php

declare(strict_types=1);

namespace Bench;

use Closure;
use Lokum\Facet\Counter;
use Lokum\Facet\Question;
use Lokum\Facet\Scope;
use PDO;
use Symfony\Component\Process\ExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * All counts of a page with two filters picked, on variants, with and without columns, against a columnar engine and one SQL GROUP BY
 * a filter over the same data, and the counts compared one by one. Reading what is stored is part of the time.
 */
final class Facets implements Benchmark
{
    private const TIMES = 9;

    public function run(int $products, callable $say): array
    {
        $file = tempnam(sys_get_temp_dir(), 'lokum-bench').'.csv';
        $pdo = new PDO(
            'sqlite:'.tempnam(sys_get_temp_dir(), 'lokum-bench'),
            options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $pdo->exec(
            'PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF; PRAGMA cache_size = -400000; PRAGMA mmap_size = 4000000000',
        );
        $page = new PickedPage($products, $pdo, $file, Closure::fromCallable($say));
        $say('counting by columns and sets');
        [$counts, $columns, $read, $memory] = $this->counted($page);
        $say('counting by sets alone');
        $page->hasColumns = false;
        [$bySets, $sets] = $this->counted($page);
        $say('counting in a columnar engine');
        [$byEngine, $engine, $way] = $this->engine($page, $file);
        $say('counting by SQL');
        [$bySql, $sql] = $this->sql($pdo, $page->questions);
        unlink($file);

        return [
            'products' => $products,
            'variants' => $page->layout->variants(),
            'terms' => $page->terms(),
            'columns_ms' => round($columns, 2),
            'read_mb' => round($read / 1e6, 1),
            'memory_mb' => round($memory / 1e6, 1),
            'sets_ms' => round($sets, 2),
            'engine_ms' => $engine === null ? 'not installed' : round($engine, 1),
            'engine_way' => $way,
            'sql_ms' => round($sql, 1),
            'ratio' => round($sql / $columns, 1),
            'ratio_to_engine' => $engine === null ? 'not measured' : round($engine / $columns, 1),
            'counts_equal' => $counts === $bySets && $counts === $bySql && ($byEngine === null || $counts === $byEngine),
        ];
    }

    /**
     * @return array{0: array<string, array<int, int>>, 1: float, 2: int, 3: int} counts, milliseconds, bytes read, and bytes of memory
     *         beyond the data
     */
    private function counted(PickedPage $page): array
    {
        $best = INF;
        $counts = [];
        $before = memory_get_usage();
        memory_reset_peak_usage();
        for ($i = 0; $i < self::TIMES; $i++) {
            $page->read = 0;
            $start = hrtime(true);
            $counts = (new Counter(Scope::listing($page->layout, $page->layout->allProducts()), $page->questions, $page))->counts();
            $best = min($best, (hrtime(true) - $start) / 1e6);
        }

        return [$counts, $best, $page->read, memory_get_peak_usage() - $before];
    }

    /**
     * The best of its ways and times; nothing where it is not installed.
     *
     * @return array{0: array<string, array<int, int>>|null, 1: float|null, 2: string}
     */
    private function engine(PickedPage $page, string $file): array
    {
        $node = (new ExecutableFinder())->find('node');
        if ($node === null || ! is_dir(base_path('node_modules/@duckdb/node-api'))) {
            return [null, null, 'run "npm install" first'];
        }
        $picks = array_map(fn (Question $question): array => $question->picks, $page->questions);
        $process = new Process(
            [$node, base_path('bench/columnar.mjs'), $file, (string) json_encode((object) $picks), (string) self::TIMES],
            timeout: null,
        );
        /** @var array{best: float, way: string, counts: list<array{0: int, 1: int, 2: int}>} $answer */
        $answer = json_decode($process->mustRun()->getOutput(), true);
        $counts = $this->none($page->questions);
        foreach ($answer['counts'] as [$filter, $term, $products]) {
            $counts["f{$filter}"][$term] = $products;
        }

        return [$counts, $answer['best'], $answer['way']];
    }

    /**
     * One GROUP BY for each filter: products by term, among the variants that pass the other filters' picks.
     *
     * @param  list<Question>  $questions
     * @return array{0: array<string, array<int, int>>, 1: float}
     */
    private function sql(PDO $pdo, array $questions): array
    {
        $best = INF;
        $counts = $this->none($questions);
        // Once more where that takes no minutes.
        for ($i = 0; $i === 0 || ($i === 1 && $best < 5000); $i++) {
            $start = hrtime(true);
            foreach ($questions as $f => $question) {
                $where = '';
                foreach ($questions as $g => $other) {
                    if ($g !== $f && $other->picks !== []) {
                        $where .=
                            " AND EXISTS (SELECT 1 FROM assignments p WHERE p.variant = a.variant AND p.filter = {$g} AND p.term IN (".
                            implode(',', $other->picks).
                            '))';
                    }
                }
                foreach (
                    $pdo->query(
                        "SELECT a.term, COUNT(DISTINCT a.product) FROM assignments a WHERE a.filter = {$f}{$where} GROUP BY a.term",
                    ) ?:
                    [] as $row
                ) {
                    $counts[$question->name][(int) $row[0]] = (int) $row[1];
                }
            }
            $best = min($best, (hrtime(true) - $start) / 1e6);
        }

        return [$counts, $best];
    }

    /**
     * @param  list<Question>  $questions
     * @return array<string, array<int, int>> none of any term
     */
    private function none(array $questions): array
    {
        $counts = [];
        foreach ($questions as $question) {
            $counts[$question->name] = array_fill_keys($question->terms, 0);
        }

        return $counts;
    }
}
