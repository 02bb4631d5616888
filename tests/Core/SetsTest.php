<?php

declare(strict_types=1);

use Lokum\Facet\Carriers;
use Lokum\Facet\LaidOverNumbers;
use Lokum\Facet\Layout;
use Lokum\Facet\MixedLevels;
use Lokum\Facet\ProductSet;
use Lokum\Facet\RankedNumbers;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Facet\VariantSet;

/* Sets of products and of variants, beside plain arrays of their members. */

/** @param  list<int>  $products */
function productSet(array $products): ProductSet
{
    $bits = gmp_init(0);
    foreach ($products as $product) {
        gmp_setbit($bits, $product);
    }

    return new ProductSet($bits);
}

/** @param  list<array{0: int, 1: int}>  $variants  product and lane */
function variantSet(array $variants): VariantSet
{
    $lanes = [gmp_init(0), gmp_init(0), gmp_init(0)];
    foreach ($variants as [$product, $lane]) {
        gmp_setbit($lanes[$lane], $product);
    }

    return new VariantSet($lanes);
}

test('sets of products are what arrays are', function (): void {
    mt_srand(8);
    for ($round = 0; $round < 50; $round++) {
        [$a, $b] = array_map(
            fn (): array => array_values(array_unique(array_map(fn (): int => mt_rand(0, 90), range(1, mt_rand(1, 40))))),
            [0, 1],
        );
        [$one, $other] = [productSet($a), productSet($b)];
        $numbers = function (array $of): array {
            sort($of);

            return $of;
        };
        expect([...$one->and($other)->numbers()])
            ->toBe($numbers(array_intersect($a, $b)))
            ->and([...$one->or($other)->numbers()])
            ->toBe($numbers(array_unique([...$a, ...$b])))
            ->and([...$one->without($other)->numbers()])
            ->toBe($numbers(array_diff($a, $b)))
            ->and($one->count())
            ->toBe(count($a))
            ->and($one->has($a[0]))
            ->toBeTrue()
            ->and($one->has(91))
            ->toBeFalse()
            ->and($one->isEmpty())
            ->toBeFalse()
            ->and($one->without($one)->isEmpty())
            ->toBeTrue();
    }
});

test('sets of variants are what arrays are, lane by lane', function (): void {
    mt_srand(9);
    for ($round = 0; $round < 50; $round++) {
        $some = function (): array {
            $found = [];
            for ($i = mt_rand(1, 25); $i > 0; $i--) {
                [$product, $lane] = [mt_rand(0, 30), mt_rand(0, 2)];
                $found["{$product} {$lane}"] = [$product, $lane];
            }

            return $found;
        };
        [$a, $b] = [$some(), $some()];
        [$one, $other] = [variantSet(array_values($a)), variantSet(array_values($b))];
        $both = array_intersect_key($a, $b);
        $products = fn (array $of): array => (function (array $numbers): array {
            $numbers = array_values(array_unique($numbers));
            sort($numbers);

            return $numbers;
        })(array_column($of, 0));
        expect($one->and($other))
            ->toEqual(variantSet(array_values($both)))
            ->and($one->or($other))
            ->toEqual(variantSet(array_values($a + $b)))
            ->and($one->without($other))
            ->toEqual(variantSet(array_values(array_diff_key($a, $b))))
            ->and([...$one->products()->numbers()])
            ->toBe($products($a))
            ->and([...$one->sharedProducts($other)->numbers()])
            ->toBe($products($both))
            ->and($one->isEmpty())
            ->toBeFalse()
            ->and($one->without($one)->isEmpty())
            ->toBeTrue();
        foreach ($a as [$product, $lane]) {
            expect($one->has($product, $lane))->toBeTrue()->and($one->has($product, 3))->toBeFalse();
        }
        $ofFew = array_filter($a, fn (array $variant): bool => in_array($variant[0], [1, 5, 9], true));
        expect($one->of(productSet([1, 5, 9])))->toEqual(variantSet(array_values($ofFew)));
    }
});

test('no variant has no product, and is shared by none', function (): void {
    $nothing = new VariantSet([]);
    expect($nothing->products()->isEmpty())
        ->toBeTrue()
        ->and($nothing->sharedProducts($nothing)->isEmpty())
        ->toBeTrue()
        ->and($nothing->isEmpty())
        ->toBeTrue();
});

/** Meets another set as nobody does who knows of which level both are. */
function met(string $how, Carriers $one, Carriers $other): void
{
    match ($how) {
        'and' => $one->and($other),
        'or' => $one->or($other),
        default => $one->without($other),
    };
}

test('products and variants do not meet', function (string $how): void {
    expect(fn () => met($how, productSet([1]), variantSet([[1, 0]])))
        ->toThrow(MixedLevels::class)
        ->and(fn () => met($how, variantSet([[1, 0]]), productSet([1])))
        ->toThrow(MixedLevels::class);
})->with(['and', 'or', 'without']);

test('numbers laid over others are what all of them would be, written anew', function (): void {
    mt_srand(10);
    $layout = new Layout([40, 25, 6]);
    $sliced = function (array $byBit) use ($layout): SlicedNumbers {
        $ranked = RankedNumbers::of($byBit, $layout->bytes);
        $carriers = fn (string $stored): VariantSet => StoredBits::variants($stored, $layout);

        return new SlicedNumbers($ranked->numbers, $carriers($ranked->present), array_map($carriers, $ranked->slices));
    };
    for ($round = 0; $round < 40; $round++) {
        $before = $changed = $now = [];
        foreach ($layout->sizes as $lane => $size) {
            for ($product = 0; $product < $size; $product++) {
                $bit = $layout->bit($lane, $product);
                if (mt_rand(0, 4) > 0) {
                    $before[$bit] = (float) mt_rand(0, 12);
                }
                if (mt_rand(0, 3) === 0) {
                    $changed[] = [$product, $lane];
                    // Some have none any more.
                    if (mt_rand(0, 2) > 0) {
                        $now[$bit] = (float) mt_rand(0, 12);
                    }
                }
            }
        }
        $bits = array_fill_keys(array_map(fn (array $one): int => $layout->bit($one[1], $one[0]), $changed), 0.0);
        $over = new LaidOverNumbers($sliced($before), variantSet($changed), $sliced($now));
        $whole = $now + array_diff_key($before, $bits);
        $anew = $sliced($whole);
        foreach ([[null, 5.0], [3.0, null], [2.0, 9.0], [7.0, 7.0], [13.0, null], [null, null]] as [$from, $to]) {
            foreach ([true, false] as $holdsTo) {
                expect($over->within($from, $to, $holdsTo, ! $holdsTo))->toEqual($anew->within($from, $to, $holdsTo, ! $holdsTo));
            }
        }
        $some = variantSet(array_map(fn (int $product): array => [$product, 0], range(0, 39, 3)));
        expect($over->ends($some))->toBe($anew->ends($some));
        foreach ([[0, 0], [7, 1], [3, 2], [39, 0]] as [$product, $lane]) {
            expect($over->at($product, $lane))->toBe($whole[$layout->bit($lane, $product)] ?? null);
        }
    }
});

test('where nothing was left, and nothing came, there are no ends', function (): void {
    $layout = new Layout([4]);
    $none = fn (): SlicedNumbers => new SlicedNumbers([], new VariantSet([gmp_init(0)]), []);
    $two = new SlicedNumbers([2.0], new VariantSet([gmp_init(1)]), []);
    $all = new VariantSet([gmp_init(15)]);
    expect((new LaidOverNumbers($none(), $all, $none()))->ends($all))
        ->toBeNull()
        ->and((new LaidOverNumbers($two, new VariantSet([gmp_init(0)]), $none()))->ends($all))
        ->toBe([2.0, 2.0])
        ->and((new LaidOverNumbers($none(), $all, $two))->ends($all))
        ->toBe([2.0, 2.0])
        ->and($layout->products())
        ->toBe(4);
});
