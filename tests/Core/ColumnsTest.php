<?php

declare(strict_types=1);

use Lokum\Facet\Blocks;
use Lokum\Facet\ColumnCutter;
use Lokum\Facet\Combine;
use Lokum\Facet\Counter;
use Lokum\Facet\Layout;
use Lokum\Facet\Question;
use Lokum\Facet\Scope;
use Lokum\Facet\StoredBits;
use Lokum\Facet\TermColumn;
use Tests\Support\Terms;

/**
 * Terms for a part of all carriers, the first ones more often than the last.
 *
 * @param  list<int>  $sizes  products by lane
 * @return array<int, list<array{0: int, 1: int}>> lane and product by term
 */
function carried(array $sizes, int $first, int $terms, int $values, bool $same): array
{
    $carried = array_fill_keys(range($first, $first + $terms - 1), []);
    for ($product = 0; $product < $sizes[0]; $product++) {
        $usual = $first + (int) floor($terms * (mt_rand(0, 999) / 1000) ** 2);
        foreach ($sizes as $lane => $size) {
            $mine = [];
            for ($i = 0; $product < $size && $i < mt_rand(0, $values); $i++) {
                $mine[$same ? $usual : $first + (int) floor($terms * (mt_rand(0, 999) / 1000) ** 2)] = true;
            }
            foreach (array_keys($mine) as $term) {
                $carried[$term][] = [$lane, $product];
            }
        }
    }

    return $carried;
}

/**
 * @param  list<int>  $terms
 * @return list<int>
 */
function somePicks(array $terms): array
{
    return array_slice($terms, mt_rand(0, 6), mt_rand(0, 3));
}

test('columns give the counts that sets give', function (int $seed): void {
    mt_srand($seed);
    $sizes = [mt_rand(200, 3000)];
    while (mt_rand(0, 3) > 0 && end($sizes) > 20) {
        $sizes[] = mt_rand(10, end($sizes));
    }
    $layout = new Layout($sizes);
    $onVariants = carried($sizes, 1, [12, 40, 300, 700][mt_rand(0, 3)], mt_rand(1, 3), mt_rand(0, 3) === 0);
    $onProducts = array_map(
        fn (array $places): array => array_column($places, 1),
        carried([$sizes[0]], 1001, [12, 40, 300][mt_rand(0, 2)], mt_rand(1, 2), false),
    );
    $variantTerms = array_keys($onVariants);
    $productTerms = array_keys($onProducts);
    $combine = fn (): Combine => [Combine::Any, Combine::Any, Combine::All, Combine::One][mt_rand(0, 3)];
    $questions = [
        new Question('v', $variantTerms, somePicks($variantTerms), $combine()),
        new Question('w', $variantTerms, somePicks($variantTerms), $combine()),
        new Question('p', $productTerms, somePicks($productTerms), $combine()),
        new Question('q', array_slice($productTerms, 2, mt_rand(3, 30)), [], $combine()),
    ];
    $listing = mt_rand(0, 2) > 0
        ? $layout->allProducts()
        : StoredBits::products(StoredBits::encode(range(0, mt_rand(1, $sizes[0] - 1)), $layout->productBytes()), $layout);
    $count = fn (bool $cut): array => (new Counter(
        Scope::listing($layout, $listing),
        $questions,
        new Terms($layout, $onVariants, $onProducts, $cut),
    ))->counts();
    expect($count(true))->toBe($count(false));
})->with(range(1, 60));

test('columns go on behind the first block', function (): void {
    mt_srand(3);
    $sizes = [Blocks::PRODUCTS * 2 + 5, Blocks::PRODUCTS + 3, 40];
    $layout = new Layout($sizes);
    $terms = carried($sizes, 1, 40, 1, false);
    foreach ([[1], [30, 31], []] as $picks) {
        $questions = [new Question('a', [1, 2, 3, 30, 31], $picks), new Question('b', array_keys($terms))];
        $count = fn (bool $cut): array => (new Counter(
            Scope::listing($layout, $layout->allProducts()),
            $questions,
            new Terms($layout, $terms, cut: $cut),
        ))->counts();
        expect($count(true))->toBe($count(false));
    }
});

test('terms that meet on one carrier stand in different columns, and what finds no place in six is left to sets', function (): void {
    $layout = new Layout([9]);
    $columns = (new ColumnCutter($layout, true))->cut(array_fill_keys(range(1, 9), [0, 4]));
    expect(array_map(fn (TermColumn $column): array => $column->terms, $columns))
        ->toBe([[1 => 1], [1 => 2], [1 => 3], [1 => 4], [1 => 5], [1 => 6]])
        ->and($columns[0]->part(0))
        ->toBe("\1\0\0\0\1\0\0\0\0");
});

test('variants that repeat an earlier one of their product are known', function (): void {
    $layout = new Layout([3, 3, 2]);
    $terms = array_fill_keys(range(1, 8), []);
    $terms[1] = [$layout->bit(0, 0), $layout->bit(1, 0), $layout->bit(2, 1)];
    $terms[2] = [$layout->bit(0, 1), $layout->bit(1, 1), $layout->bit(2, 0)];
    [$column] = (new ColumnCutter($layout, false))->cut($terms);
    $repeats = StoredBits::variants(StoredBits::ofVariants($column->repeats ?? $layout->allVariants(), $layout), $layout);
    expect(array_map(gmp_strval(...), $repeats->lanes))->toBe(['0', '3', '0']);
});
