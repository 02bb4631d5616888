<?php

declare(strict_types=1);

namespace Bench;

use App\Feeds\ReadFeed;
use Generator;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\CsvWriter;

/** Invented catalogs of any size: the same at every run for the same size. */
final readonly class Catalog
{
    public const ATTRIBUTES = [
        'color' => 200,
        'material' => 120,
        'finish' => 40,
        'size' => 60,
        'series' => 30,
        'origin' => 80,
        'occasion' => 50,
        'hair' => 30,
        'shape' => 20,
        'grade' => 20,
    ];

    public function __construct(private int $products, private int $seed = 7)
    {
    }

    /** @return Generator<int, int> number of variants of each product: 1 to 6, most have 2 or 3 */
    public function variants(): Generator
    {
        mt_srand($this->seed);
        for ($i = 0; $i < $this->products; $i++) {
            yield [1, 1, 2, 2, 2, 3, 3, 3, 4, 5, 6, 1][mt_rand(0, 11)];
        }
    }

    /** A term of an attribute, the first ones far more often than the last. */
    public static function term(int $terms): int
    {
        return (int) floor($terms * (mt_rand() / mt_getrandmax()) ** 2.2);
    }

    /**
     * Rows of a feed with ten attribute columns: one product without variants in each row.
     *
     * @return Generator<int, list<string>> the headings first
     */
    public function flatRows(): Generator
    {
        mt_srand($this->seed);
        yield ['sku', 'name', 'category', 'brand', 'price', 'stock', ...array_keys(self::ATTRIBUTES)];
        for ($i = 0; $i < $this->products; $i++) {
            $row = [
                "P{$i}",
                "Product {$i}",
                'Branch '.$i % 12 .' > Twig '.$i % 60,
                'Brand '.$i % 40,
                number_format(1 + mt_rand(0, 9999) / 100, 2, '.', ''),
                (string) mt_rand(0, 50),
            ];
            foreach (self::ATTRIBUTES as $name => $terms) {
                $row[] = mt_rand(0, 9) === 0 ? '' : "{$name} ".self::term($terms);
            }
            yield $row;
        }
    }

    /**
     * The same with more columns of numbers, so that there are thirty definitions.
     *
     * @return Generator<int, list<string>> the headings first
     */
    public function wideRows(): Generator
    {
        foreach ($this->flatRows() as $n => $row) {
            for ($i = 1; $i <= 20; $i++) {
                $row[] = $n === 0 ? "Measure {$i}" : (string) (($n * $i) % 97);
            }
            yield $row;
        }
    }

    /**
     * Rows of a feed with about three variants each; half the attributes on products, half on variants.
     *
     * @return Generator<int, list<string>> the headings first
     */
    public function variantRows(): Generator
    {
        $names = array_keys(self::ATTRIBUTES);
        yield ['sku', 'parent_sku', 'name', 'category', 'brand', 'price', 'stock', ...$names];
        foreach ($this->variants() as $i => $variants) {
            $row = ["P{$i}", '', "Product {$i}", 'Branch '.$i % 12 .' > Twig '.$i % 60, 'Brand '.$i % 40, '', ''];
            foreach ($names as $n => $name) {
                $row[] = $n % 2 === 0 ? '' : "{$name} ".self::term(self::ATTRIBUTES[$name]);
            }
            yield $row;
            for ($v = 0; $v < $variants; $v++) {
                $row = [
                    "P{$i}-{$v}",
                    "P{$i}",
                    '',
                    '',
                    '',
                    number_format(1 + mt_rand(0, 9999) / 100, 2, '.', ''),
                    (string) mt_rand(0, 50),
                ];
                foreach ($names as $n => $name) {
                    $row[] = $n % 2 === 0 ? "{$name} ".self::term(self::ATTRIBUTES[$name]) : '';
                }
                yield $row;
            }
        }
    }

    /** @param  iterable<list<string>>  $rows */
    public static function write(iterable $rows, string $path): void
    {
        $file = fopen($path, 'wb') ?: throw new \RuntimeException("{$path} cannot be written.");
        foreach ($rows as $row) {
            fwrite($file, CsvWriter::line($row));
        }
        fclose($file);
    }

    /**
     * Reads rows into the catalog, as a feed.
     *
     * @param  iterable<list<string>>  $rows
     */
    public static function readIn(ReadFeed $read, iterable $rows): void
    {
        $path = tempnam(sys_get_temp_dir(), 'lokum-bench').'.csv';
        self::write($rows, $path);
        $read(
            fopen($path, 'rb') ?: throw new \RuntimeException('The feed is gone.'),
            'Bench',
            new ColumnMap(),
            false,
            fn () => null,
        );
        unlink($path);
    }
}
