<?php

declare(strict_types=1);

use Lokum\Facet\Combine;
use Lokum\Facet\Counter;
use Lokum\Facet\Layout;
use Lokum\Facet\MixedLevels;
use Lokum\Facet\ProductSet;
use Lokum\Facet\Question;
use Lokum\Facet\Scope;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\Steps;
use Lokum\Facet\StoredBits;
use Tests\Support\Terms;

test('stored bits come back, sparse and dense', function (int $count): void {
    $layout = new Layout([5000, 3000, 10]);
    mt_srand($count);
    $bits = [];
    while (count($bits) < $count) {
        $lane = mt_rand(0, 2);
        $product = mt_rand(0, $layout->sizes[$lane] - 1);
        $bits[$layout->bit($lane, $product)] = [$lane, $product];
    }
    $stored = StoredBits::encode(array_keys($bits), $layout->bytes);
    $set = StoredBits::variants($stored, $layout);
    $found = array_sum(array_map(gmp_popcount(...), $set->lanes));
    expect($found)
        ->toBe($count)
        ->and($stored[0])
        ->toBe($count < 10 ? 'l' : 'b');
    foreach ($bits as [$lane, $product]) {
        expect(gmp_testbit($set->lanes[$lane], $product))->toBeTrue();
    }
})->with([0, 1, 50, 3000]);

test('lanes never grow', fn () => new Layout([3, 4]))->throws(InvalidArgumentException::class);

test('products and variants are not mixed by accident', function (): void {
    $layout = new Layout([2, 1]);
    (new ReflectionMethod(ProductSet::class, 'and'))->invoke($layout->allProducts(), $layout->allVariants());
})->throws(MixedLevels::class);

/*
 * Three products: 0 has variants (red 30), (blue 60); 1 has (red 60), (blue 30); 2 is its own variant, red and blue, 60.
 * Terms: 1 red, 2 blue, 3 "30", 4 "60" on variants; 5 and 6 on products: 5 on 0 and 2, 6 on 1.
 */
function threeProducts(Question ...$questions): Counter
{
    $layout = new Layout([3, 2]);
    $terms = new Terms(
        $layout,
        [
            1 => [[0, 0], [0, 1], [0, 2]],
            2 => [[1, 0], [1, 1], [0, 2]],
            3 => [[0, 0], [1, 1]],
            4 => [[1, 0], [0, 1], [0, 2]],
        ],
        [5 => [0, 2], 6 => [1]],
    );

    return new Counter(Scope::listing($layout, $layout->allProducts()), array_values($questions), $terms);
}

test('all filters are asked of one and the same variant', function (): void {
    $counter = threeProducts(new Question('color', [1, 2], [1]), new Question('size', [3, 4], [4]), new Question('kind', [5, 6]));
    expect($counter->matching()->matching->count())
        ->toBe(2)
        ->and($counter->counts())
        ->toBe(['color' => [1 => 2, 2 => 2], 'size' => [3 => 1, 4 => 2], 'kind' => [5 => 1, 6 => 1]]);
});

// Common practice, no source: red + blue shows only products that have both with "all", any of them with "any".
test('all wants every pick on one variant, any wants one of them', function (
    Combine $combine,
    int $products,
    array $counts,
): void {
    $counter = threeProducts(new Question('color', [1, 2], [1, 2], $combine), new Question('size', [3, 4]));
    expect($counter->matching()->matching->count())
        ->toBe($products)
        ->and($counter->counts())
        ->toBe($counts);
})->with([
    [Combine::Any, 3, ['color' => [1 => 3, 2 => 3], 'size' => [3 => 2, 4 => 3]]],
    [Combine::All, 1, ['color' => [1 => 1, 2 => 1], 'size' => [3 => 0, 4 => 1]]],
]);

test('a single choice is replaced, so the others keep their counts', function (): void {
    $counter = threeProducts(new Question('kind', [5, 6], [6], Combine::One), new Question('color', [1, 2]));
    expect($counter->counts())->toBe(['kind' => [5 => 2, 6 => 1], 'color' => [1 => 1, 2 => 1]]);
});

test('product-level picks belong to every variant', function (): void {
    $counter = threeProducts(new Question('kind', [5, 6], [5]), new Question('size', [3, 4], [3]), new Question('color', [1, 2]));
    expect($counter->counts())->toBe(['kind' => [5 => 1, 6 => 1], 'size' => [3 => 1, 4 => 2], 'color' => [1 => 1, 2 => 0]]);
});

/**
 * @param  array<mixed>  $numbers
 * @return array{0: SlicedNumbers<ProductSet>, 1: Layout} product i holds $numbers[i]; null: none
 */
function sliced(array $numbers): array
{
    $layout = new Layout([count($numbers)]);
    $distinct = array_values(array_unique(array_filter($numbers, fn (?float $n): bool => $n !== null)));
    sort($distinct);
    $set = fn (callable $holds): ProductSet => StoredBits::products(
        StoredBits::encode(
            array_keys(array_filter($numbers, fn (?float $n): bool => $n !== null && $holds(array_search($n, $distinct, true)))),
            $layout->productBytes(),
        ),
        $layout,
    );
    $slices = [];
    for ($digit = 0; (count($distinct) - 1) >> $digit > 0; $digit++) {
        $slices[] = $set(fn (int $rank): bool => (($rank >> $digit) & 1) === 1);
    }

    return [new SlicedNumbers($distinct, $set(fn (): bool => true), $slices), $layout];
}

// Common practice, no source: 1 to 23 leaves out 25; a maximum of 91 includes 90; a missing number is not zero.
test('ranges hold their ends, and no missing number', function (?float $from, ?float $to, int $count): void {
    [$numbers] = sliced([25.0, 1.0, 23.0, null, 90.0, 12.5, 0.0, 23.0]);
    expect($numbers->within($from, $to)?->count() ?? 0)->toBe($count);
})->with([
    [1.0, 23.0, 4],
    [null, 91.0, 7],
    [0.0, 0.0, 1],
    [null, null, 7],
    [90.1, null, 0],
    [23.0, 25.0, 3],
    [24.0, 24.5, 0],
    [null, -1.0, 0],
    [12.5, null, 5],
]);

test('an end that is open leaves out who has that number', function (): void {
    [$numbers] = sliced([25.0, 1.0, 23.0, null, 90.0, 23.0]);
    expect($numbers->within(23.0, null, true, false)?->count())
        ->toBe(2)
        ->and($numbers->within(1.0, 23.0, false, false)?->count() ?? 0)
        ->toBe(0)
        ->and($numbers->within(1.0, 23.0, true, false)?->count())
        ->toBe(2);
});

test('a scale for which nobody has said a step goes as finely as its numbers', function (float $span, float $step): void {
    expect(Steps::fitting($span))->toBe($step);
})->with([[0.0, 1.0], [0.95, 0.01], [3.99, 0.1], [4.0, 1.0], [5000.0, 1.0], [0.004, 0.0001]]);

test('ranges and ends equal those of a plain search', function (): void {
    mt_srand(5);
    $plain = array_map(fn (): ?float => mt_rand(0, 4) === 0 ? null : mt_rand(-50, 400) / 4, range(1, 700));
    [$numbers, $layout] = sliced($plain);
    for ($i = 0; $i < 200; $i++) {
        [$from, $to] = [mt_rand(-60, 60) / 2, mt_rand(-20, 220) / 2];
        $expected = array_filter($plain, fn (?float $n): bool => $n !== null && $n >= $from && $n <= $to);
        $found = $numbers->within($from, $to);
        expect($found?->count() ?? 0)->toBe(count($expected));
        if ($found !== null && $expected !== []) {
            expect($numbers->ends($found))->toBe([min($expected), max($expected)]);
        }
    }
    expect($numbers->ends(new ProductSet(gmp_init(0))))->toBeNull();
});

// Common practice, no source.
test('steps count from the minimum', function (): void {
    expect((new Steps(1, 20, 5))->stops())
        ->toBe([1.0, 6.0, 11.0, 16.0])
        ->and((new Steps(0, 100, 5))->stops(5))
        ->toBe([0.0, 5.0, 10.0, 15.0, 20.0])

        ->and((new Steps(1, 20, 5))->snap(8.4))
        ->toBe(6.0)
        ->and((new Steps(1, 20, 5))->snap(99))
        ->toBe(16.0)
        ->and((new Steps(0, 1, 0.1))->snap(0.3000001))
        ->toBe(0.3)
        ->and(Steps::around(2.4, 61, 5)->stops(1))
        ->toBe([0.0])
        ->and(Steps::around(2.4, 61, 5)->max)
        ->toBe(65.0);
});

test('a step of nothing is refused', fn () => new Steps(0, 10, 0.0))->throws(InvalidArgumentException::class);
