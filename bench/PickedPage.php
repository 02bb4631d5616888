<?php

declare(strict_types=1);

namespace Bench;

use Closure;
use Lokum\Facet\Blocks;
use Lokum\Facet\Carriers;
use Lokum\Facet\ColumnCutter;
use Lokum\Facet\Combine;
use Lokum\Facet\Layout;
use Lokum\Facet\Question;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermColumn;
use Lokum\Facet\TermSource;
use PDO;

/**
 * A page with two of ten filters picked, over variants: stored as an edition stores it, as rows of a database, and as a text file for
 * a columnar engine.
 */
final class PickedPage implements TermSource
{
    public readonly Layout $layout;

    /** @var list<Question> */
    public array $questions = [];

    /** @var array<int, string> bitmaps by term, as they are stored */
    private array $stored = [];

    /** @var list<list<array{terms: array<int, int>, repeats: string, parts: list<string>}>> stored columns by filter */
    private array $columns = [];

    /** @var array<int, int> filter by term */
    private array $filters = [];

    /** Bytes that were read since this was last set to none. */
    public int $read = 0;

    public bool $hasColumns = true;

    /** @param  Closure(string): void  $say */
    public function __construct(int $products, private readonly PDO $pdo, private readonly string $file, Closure $say)
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
        $this->layout = new Layout(array_values($sizes));
        $this->pdo->exec('CREATE TABLE assignments (filter INTEGER, term INTEGER, variant INTEGER, product INTEGER)');
        mt_srand(11);
        $flat = [];
        $first = 0;
        foreach (array_values(Catalog::ATTRIBUTES) as $filter => $terms) {
            $say('filter '.($filter + 1).' of '.count(Catalog::ATTRIBUTES));
            $flat[] = $this->fill($filter, $first, $terms, $lanes);
            $first += $terms;
        }
        $say('writing rows');
        $this->write($flat);
    }

    public function terms(): int
    {
        return count($this->stored);
    }

    public function carriers(int $term): Carriers
    {
        $this->read += strlen($this->stored[$term]);

        return StoredBits::variants($this->stored[$term], $this->layout);
    }

    public function columns(int $term): array
    {
        return array_map(
            fn (array $column): TermColumn => new TermColumn(
                new Blocks($this->layout, false),
                $column['terms'],
                StoredBits::variants($column['repeats'], $this->layout),
                function (int $block) use ($column): string {
                    $this->read += strlen($column['parts'][$block]);

                    // A copy, as reading it from a file is one.
                    return str_pad($column['parts'][$block], strlen($column['parts'][$block]) + 1, "\0");
                },
            ),
            $this->hasColumns ? $this->columns[$this->filters[$term]] : [],
        );
    }

    /**
     * @param  list<int>  $lanes
     * @return string a byte for each bit of the layout: the term's place in the filter, from 1
     */
    private function fill(int $filter, int $first, int $terms, array $lanes): string
    {
        $bits = array_fill($first, $terms, []);
        $flat = str_repeat("\0", $this->layout->bytes * 8);
        foreach ($lanes as $number => $variants) {
            for ($lane = 0; $lane < $variants; $lane++) {
                if (mt_rand(0, 9) >= 3) {
                    $term = Catalog::term($terms);
                    $bits[$first + $term][] = $bit = $this->layout->bit($lane, $number);
                    $flat[$bit] = chr($term + 1);
                }
            }
        }
        foreach ($bits as $term => $set) {
            $this->stored[$term] = StoredBits::encode($set, $this->layout->bytes);
            $this->filters[$term] = $filter;
        }
        $this->columns[$filter] = array_map(
            fn (TermColumn $column): array => [
                'terms' => $column->terms,
                'repeats' => StoredBits::ofVariants($column->repeats ?? $this->layout->allVariants(), $this->layout),
                'parts' => array_map($column->part(...), range(0, $column->blocks->count() - 1)),
            ],
            (new ColumnCutter($this->layout, false))->cut($bits),
        );
        $this->questions[] = new Question(
            "f{$filter}",
            range($first, $first + $terms - 1),
            $filter < 2 ? [$first + 1, $first + 3] : [],
            Combine::Any,
        );

        return $flat;
    }

    /**
     * The same as rows: one for each term of a variant in the database, one for each variant in the file.
     *
     * @param  list<string>  $flat  by filter
     */
    private function write(array $flat): void
    {
        $file = fopen($this->file, 'wb') ?: throw new \RuntimeException("{$this->file} cannot be written.");
        $insert = $this->pdo->prepare('INSERT INTO assignments VALUES (?, ?, ?, ?)');
        $this->pdo->beginTransaction();
        foreach ($this->layout->sizes as $lane => $size) {
            for ($product = 0; $product < $size; $product++) {
                $bit = $this->layout->bit($lane, $product);
                $row = [(string) $product];
                foreach ($flat as $filter => $column) {
                    $place = ord($column[$bit]);
                    $term = $place === 0 ? '' : $this->questions[$filter]->terms[$place - 1];
                    $row[] = (string) $term;
                    if ($place !== 0) {
                        $insert->execute([$filter, $term, $bit, $product]);
                    }
                }
                fwrite($file, implode(',', $row)."\n");
            }
        }
        $this->pdo->commit();
        fclose($file);
        $this->pdo->exec(
            'CREATE INDEX by_filter ON assignments(filter, term, variant, product); CREATE INDEX by_variant ON '.
            'assignments(variant, filter, term, product); ANALYZE',
        );
    }
}
