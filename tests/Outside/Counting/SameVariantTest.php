<?php

declare(strict_types=1);

use App\Editions\Picks;
use Lokum\Facet\Combine;
use Lokum\Feed\CsvWriter;

/* Reference: brute force over products and variants, written down from the definition of C6 and from nothing else. */

test('counts on random catalogs equal those of a plain search over every variant', function (int $seed): void {
    mt_srand($seed);
    $attributes = [
        'color' => ['variant', 5, true],
        'size' => ['variant', 4, false],
        'material' => ['product', 4, true],
        'grade' => ['product', 3, false],
    ];
    $csv = CsvWriter::line(['sku', 'parent_sku', 'category', 'price', ...array_keys($attributes)]);
    $products = [];
    $values = fn (int $terms, bool $multiple): array => mt_rand(0, 4) === 0
        ? []
        : array_values(
            array_unique(array_map(fn (): string => 'v'.mt_rand(1, $terms), range(1, $multiple ? mt_rand(1, 3) : 1))),
        );
    $line = fn (string $sku, string $parent, string $category, ?float $price, array $held): string => CsvWriter::line([
        $sku,
        $parent,
        $category,
        $price === null ? '' : (string) $price,
        ...array_map(fn (string $name): string => implode('|', $held[$name] ?? []), array_keys($attributes)),
    ]);
    for ($p = 0; $p < 60; $p++) {
        $category = mt_rand(0, 2) === 0 ? 'A' : (mt_rand(0, 1) === 0 ? 'A > B' : 'C');
        $held = [];
        foreach ($attributes as $name => [$level, $terms, $multiple]) {
            if ($level === 'product') {
                $held[$name] = $values($terms, $multiple);
            }
        }
        $variants = [];
        for ($v = 0, $many = mt_rand(0, 4); $v < max(1, $many); $v++) {
            $variant = ['price' => mt_rand(0, 5) === 0 ? null : mt_rand(1, 20) / 2];
            foreach ($attributes as $name => [$level, $terms, $multiple]) {
                if ($level === 'variant') {
                    $variant[$name] = $values($terms, $multiple);
                }
            }
            $variants[] = $variant;
        }
        if ($many === 0) {
            $csv .= $line("P{$p}", '', $category, $variants[0]['price'], $held + $variants[0]);
        } else {
            // What stands in variant columns on the row of a product with variants does not count.
            $csv .= $line("P{$p}", '', $category, 99.0, $held + ['color' => ['v1'], 'size' => ['v2']]);
            foreach ($variants as $v => $variant) {
                $csv .= $line("P{$p}-{$v}", "P{$p}", '', $variant['price'], ['material' => ['v1'], 'grade' => ['v2']] + $variant);
            }
        }
        $products[] = [
            'category' => $category,
            'variants' => array_map(fn (array $variant): array => $held + $variant, $variants),
        ];
    }
    $columns = [];
    foreach ($attributes as $name => [$level, , $multiple]) {
        $columns[$name] = [
            'kind' => 'choice',
            'level' => $level,
            'multiple' => $multiple,
            'separator' => '|',
        ];
    }
    expect($this->read($csv, (string) json_encode(['columns' => $columns]))->refused)->toBe([]);
    $this->publish();

    $passes = function (array $variant, array $picks, array $combine, ?array $range): bool {
        foreach ($picks as $name => $wanted) {
            $met = array_intersect($wanted, $variant[$name]);
            if (($combine[$name] ?? null) === Combine::All ? count($met) < count($wanted) : $met === []) {
                return false;
            }
        }

        return $range === null ||
            ($variant['price'] !== null && $variant['price'] >= $range[0] && $variant['price'] <= $range[1]);
    };
    for ($q = 0; $q < 25; $q++) {
        $picks = $combine = [];
        foreach ($attributes as $name => [, $terms]) {
            $combine[$name] = [Combine::Any, Combine::All, Combine::One][mt_rand(0, 2)];
            if (mt_rand(0, 1) === 1) {
                $picks[$name] = array_values(
                    array_unique(
                        array_map(
                            fn (): string => 'v'.mt_rand(1, $terms),
                            range(1, $combine[$name] === Combine::One ? 1 : mt_rand(1, 2)),
                        ),
                    ),
                );
            }
        }
        $range = mt_rand(0, 2) === 0 ? [mt_rand(1, 8) / 2, mt_rand(9, 20) / 2] : null;
        $category = [null, 'a', 'b', 'c'][mt_rand(0, 3)];
        $count = fn (array $asked): int => count(
            array_filter(
                $products,
                fn (array $product): bool => ($category === null ||
                    in_array($category, explode(' > ', strtolower($product['category'])), true)) &&
                    array_filter(
                        $product['variants'],
                        fn (array $variant): bool => $passes($variant, $asked, $combine, $range),
                    ) !== [],
            ),
        );
        [$matching, $counts] = $this->counts(new Picks($picks, $combine, $range === null ? [] : ['price' => $range]), $category);
        expect($matching)->toBe($count($picks));
        foreach ($counts as $name => $terms) {
            if ($name === 'brand') {
                continue;
            }
            foreach ($terms as $slug => $found) {
                $kept = ($combine[$name] ?? null) === Combine::All ? $picks[$name] ?? [] : [];
                $expected = $count([$name => array_values(array_unique([...$kept, $slug]))] + $picks);
                expect($found)->toBe($expected, "seed {$seed}, question {$q}: {$name} {$slug}");
            }
        }
    }
})->with(range(1, 8));
