<?php

declare(strict_types=1);

namespace Bench;

use Lokum\Facet\Carriers;
use Lokum\Facet\Combine;
use Lokum\Facet\Counter;
use Lokum\Facet\Layout;
use Lokum\Facet\Question;
use Lokum\Facet\Scope;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermSource;
use PDO;

/**
 * All counts of a page with two filters picked, on variants, against one SQL GROUP BY a filter over the same data, and the
 * counts compared one by one. Loading the bitmaps (from the bytes as an edition stores them) is measured by itself.
 */
final class Facets implements Benchmark
{
    private const TIMES = 7;

    public function run(int $products, callable $say): array
    {
        $say('making '.number_format($products).' products');
        $lanes = iterator_to_array((new Catalog($products))->variants(), false);
        rsort($lanes);
        $sizes = [];
        foreach ($lanes as $number => $variants) {
            for ($lane = 0; $lane < $variants; $lane++) {
                $sizes[$lane] = $number + 1;
            }
        }
        $layout = new Layout(array_values($sizes));
        $pdo = new PDO(
            'sqlite:'.tempnam(sys_get_temp_dir(), 'lokum-bench'),
            options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $pdo->exec(
            'PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF; PRAGMA cache_size = -400000; PRAGMA mmap_size = 4000000000',
        );
        [$stored, $questions] = $this->fill($layout, $lanes, $pdo, $say);
        $say('counting by bitmaps');
        [$counts, $computing, $loading] = $this->bitmaps($layout, $stored, $questions);
        $say('counting by SQL');
        [$expected, $sql] = $this->sql($pdo, $questions);
        $equal = $counts === $expected;

        return [
            'products' => $products,
            'variants' => $layout->variants(),
            'terms' => count($stored),
            'computing_ms' => round($computing, 2),
            'loading_ms' => round($loading, 2),
            'sql_ms' => round($sql, 1),
            'ratio' => round($sql / $computing, 1),
            'ratio_with_loading' => round($sql / ($computing + $loading), 1),
            'counts_equal' => $equal,
            'peak_mb' => round(memory_get_peak_usage() / 1e6),
        ];
    }

    /**
     * @param  list<int>  $lanes
     * @return array{0: array<int, string>, 1: list<Question>}
     */
    private function fill(Layout $layout, array $lanes, PDO $pdo, callable $say): array
    {
        $pdo->exec('CREATE TABLE assignments (filter INTEGER, term INTEGER, variant INTEGER, product INTEGER)');
        $stored = [];
        $questions = [];
        $first = 0;
        mt_srand(11);
        foreach (array_values(Catalog::ATTRIBUTES) as $filter => $terms) {
            $say('filter '.($filter + 1).' of '.count(Catalog::ATTRIBUTES));
            $bits = array_fill(0, $terms, []);
            $pdo->beginTransaction();
            $values = [];
            foreach ($lanes as $number => $variants) {
                for ($lane = 0; $lane < $variants; $lane++) {
                    if (mt_rand(0, 9) < 3) {
                        continue;
                    }
                    $term = Catalog::term($terms);
                    $bits[$term][] = $bit = $layout->bit($lane, $number);
                    $values[] = "({$filter},".($first + $term).",{$bit},{$number})";
                    if (count($values) === 500) {
                        $pdo->exec('INSERT INTO assignments VALUES '.implode(',', $values));
                        $values = [];
                    }
                }
            }
            if ($values !== []) {
                $pdo->exec('INSERT INTO assignments VALUES '.implode(',', $values));
            }
            $pdo->commit();
            foreach ($bits as $term => $set) {
                $stored[$first + $term] = StoredBits::encode($set, $layout->bytes);
            }
            $questions[] = new Question(
                "f{$filter}",
                range($first, $first + $terms - 1),
                $filter < 2 ? [$first + 1, $first + 3] : [],
                Combine::Any,
            );
            $first += $terms;
        }
        $say('indexing');
        $pdo->exec(
            'CREATE INDEX by_filter ON assignments(filter, term, variant, product); CREATE INDEX by_variant ON '.
            'assignments(variant, filter, term, product); ANALYZE',
        );

        return [$stored, $questions];
    }

    /**
     * @param  array<int, string>  $stored
     * @param  list<Question>  $questions
     * @return array{0: array<string, array<int, int>>, 1: float, 2: float} counts, milliseconds of computing, of loading
     */
    private function bitmaps(Layout $layout, array $stored, array $questions): array
    {
        $loading = $computing = INF;
        $counts = [];
        for ($i = 0; $i < self::TIMES; $i++) {
            $start = hrtime(true);
            $loaded = array_map(fn (string $bits): Carriers => StoredBits::variants($bits, $layout), $stored);
            $loading = min($loading, (hrtime(true) - $start) / 1e6);
            $source = new class($loaded) implements TermSource
            {
                /** @param  array<int, Carriers>  $loaded */
                public function __construct(private array $loaded)
                {
                }

                public function carriers(int $term): Carriers
                {
                    return $this->loaded[$term];
                }
            };
            $start = hrtime(true);
            $counts = (new Counter(Scope::listing($layout, $layout->allProducts()), $questions, $source))->counts();
            $computing = min($computing, (hrtime(true) - $start) / 1e6);
            unset($loaded, $source);
        }

        return [$counts, $computing, $loading];
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
        $counts = [];
        for ($i = 0; $i < 2; $i++) {
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
                $counts[$question->name] = array_fill_keys($question->terms, 0);
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
}
