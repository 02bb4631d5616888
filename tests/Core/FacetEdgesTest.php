<?php

declare(strict_types=1);

use Lokum\Facet\BitWriter;
use Lokum\Facet\Blocks;
use Lokum\Facet\ByteMask;
use Lokum\Facet\Layout;
use Lokum\Facet\ProductSet;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\Steps;
use Lokum\Facet\StoredBits;
use Lokum\Facet\VariantSet;

/* Where counting begins and ends: the first and the last of a block, a word, a list, a scale. */

test('lanes stand on borders of eight bytes', function (int $products, int $bytes): void {
    $layout = new Layout([$products, 1]);
    expect([$layout->productBytes(), $layout->starts, $layout->bytes, $layout->bit(1, 0)])
        ->toBe([$bytes, [0, $bytes], $bytes + 8, 8 * $bytes]);
})->with([[1, 8], [63, 8], [64, 8], [65, 16], [128, 16], [129, 24]]);

test('a shop without products has no lanes', function (): void {
    $layout = new Layout([]);
    expect([$layout->products(), $layout->variants(), $layout->bytes, $layout->productBytes()])
        ->toBe([0, 0, 0, 0])
        ->and($layout->allProducts()->isEmpty())
        ->toBeTrue()
        ->and((new Blocks($layout, true))->count())
        ->toBe(0)
        ->and((new Blocks($layout, false))->count())
        ->toBe(0);
});

test('lanes are as long as those before, and never empty', function (): void {
    expect((new Layout([4, 4]))->variants())
        ->toBe(8)
        ->and(fn () => new Layout([4, 0]))
        ->toThrow(InvalidArgumentException::class, 'Lane sizes are at least 1 and never rise.');
});

test('a block holds 65,536 products', function (int $products, array $lengths): void {
    $blocks = new Blocks(new Layout([$products]), true);
    expect(array_map(fn (int $block): array => $blocks->lengths($block), range(0, $blocks->count() - 1)))->toBe($lengths);
})->with([
    [1, [[1]]],
    [65_536, [[65_536]]],
    [65_537, [[65_536], [1]]],
    [131_072, [[65_536], [65_536]]],
]);

test('of lanes that end before a block none reaches into it', function (): void {
    $blocks = new Blocks(new Layout([65_537, 65_536, 2]), false);
    expect([$blocks->count(), $blocks->bytes()])
        ->toBe([2, 131_075])
        ->and($blocks->lengths(1))
        ->toBe([1])
        ->and($blocks->starts(0))
        ->toBe([0, 65_536, 131_072]);
});

// 8 bytes for 64 products: less than one in 64 bits, so of 128 bytes one bit is a list and two are a bitmap.
test('few bits are a list, more are a bitmap, and either says the same', function (int $bits, int $bytes, string $kind): void {
    $set = $bits === 0 ? [] : array_map(fn (int $i): int => $i * 7, range(0, $bits - 1));
    $stored = StoredBits::encode($set, $bytes);
    $bitmap = StoredBits::bitmap($set, $bytes);
    expect($stored[0])
        ->toBe($kind)
        ->and(StoredBits::ofBitmap($bitmap))
        ->toBe($stored)
        ->and(StoredBits::asBitmap($stored, $bytes))
        ->toBe($bitmap);
    $writer = new BitWriter($bytes);
    array_map(fn (int $bit) => $writer->set([$bit]), array_reverse($set));
    expect($writer->stored())->toBe($stored);
})->with([[0, 64, 'l'], [1, 64, 'b'], [1, 72, 'l'], [1, 128, 'l'], [2, 128, 'b'], [2, 136, 'l'], [30, 1928, 'l'], [31, 1984, 'b']]);

test('sets are stored as wide as their lanes, whatever they hold', function (): void {
    $layout = new Layout([130, 70]);
    $set = new VariantSet([gmp_init(5), gmp_pow(2, 69)]);
    $stored = StoredBits::ofVariants($set, $layout);
    $empty = new VariantSet([gmp_init(0), gmp_init(0)]);
    expect(strlen($stored))
        ->toBe(1 + 24 + 16)
        ->and(array_map(gmp_strval(...), StoredBits::variants($stored, $layout)->lanes))
        ->toBe(array_map(gmp_strval(...), $set->lanes))
        ->and(StoredBits::ofVariants($empty, $layout))
        ->toBe('l')
        ->and(StoredBits::carriers('l', new Layout([]), true)->isEmpty())
        ->toBeTrue();
});

test('masks of bytes are empty where there is nothing', function (): void {
    expect(gmp_strval(ByteMask::bits('')))
        ->toBe('0')
        ->and(gmp_strval(ByteMask::bits("\0\x01\xff\0"), 2))
        ->toBe('110')
        ->and(ByteMask::holding("\x00\x01\xff\x02", [255, 1]))
        ->toBe("\0\xff\xff\0")
        ->and(ByteMask::equal("\x00\x01\xff\x02", "\x00\x02\xff\x01"))
        ->toBe("\xff\0\xff\0");
});

test('a product is in a set of products in whichever lane', function (): void {
    $set = new ProductSet(gmp_init(4));
    expect([$set->has(2), $set->has(2, 5), $set->has(1), $set->has(0)])->toBe([true, true, false, false]);
});

test('a range is everybody with a number, some, or nobody', function (?float $from, ?float $to, bool $holdsTo, ?string $who): void {
    // Product 0 has 10, 1 has 20, 2 has 30, 3 has none; ranks 0, 1, 2 in two binary digits.
    $numbers = new SlicedNumbers(
        [10.0, 20.0, 30.0],
        new ProductSet(gmp_init(0b0111)),
        [new ProductSet(gmp_init(0b0010)), new ProductSet(gmp_init(0b0100))],
    );
    $found = $numbers->within($from, $to, $holdsTo);
    expect($found === null ? null : gmp_strval($found->bits, 2))->toBe($who);
})->with([
    [null, null, true, '111'],
    [10.0, 30.0, true, '111'],
    [10.0, 30.0, false, '11'],
    [null, 29.0, true, '11'],
    [null, 10.0, true, '1'],
    [null, 10.0, false, null],
    [30.0, null, true, '100'],
    [30.0, 30.0, true, '100'],
    [31.0, null, true, null],
    [20.0, 20.0, true, '10'],
    [21.0, 29.0, true, null],
]);

test('a scale has ends and a step that are numbers', function (float $min, float $max, float $step): void {
    expect(fn () => new Steps($min, $max, $step))->toThrow(InvalidArgumentException::class, 'A scale needs a step above zero');
})->with([[-INF, 1, 1], [0, INF, 1], [0, 1, INF], [NAN, 1, 1], [0, NAN, 1], [0, 1, NAN], [0, 1, -1], [1, 0.5, 1]]);

// Worked out by hand from the rule: 1, or where the numbers lie closer than four the power of ten that leaves ten steps.
test('the step that nobody has said', function (float $span, float $step): void {
    expect(Steps::fitting($span))->toEqualWithDelta($step, 1e-12);
})->with([[0, 1], [-1, 1], [4, 1], [3.99, 0.1], [1, 0.1], [0.999, 0.01], [0.1, 0.01], [0.0099, 0.0001]]);

test('numbers snap to the nearest stop, halfway up, and stay within the ends', function (float $number, float $stop): void {
    expect((new Steps(1.0, 2.05, 0.1))->snap($number))->toBe($stop);
})->with([[0.2, 1.0], [1.0, 1.0], [1.0499, 1.0], [1.05, 1.1], [1.26, 1.3], [1.99, 2.0], [2.04, 2.0], [9, 2.0]]);

test('a scale around numbers goes from stop to stop', function (float $low, float $high, float $step, array $ends): void {
    $steps = Steps::around($low, $high, $step);
    expect([$steps->min, $steps->max])->toBe($ends);
})->with([
    [0.3, 0.7, 0.1, [0.3, 0.7]],
    [0.31, 0.69, 0.1, [0.3, 0.7]],
    [7, 23, 5, [5.0, 25.0]],
    [-7, -3, 5, [-10.0, 0.0]],
]);

test('stops are listed to the last that fits, up to a thousand', function (): void {
    expect((new Steps(0.0, 0.5, 0.1))->stops())
        ->toBe([0.0, 0.1, 0.2, 0.3, 0.4, 0.5])
        ->and((new Steps(0.0, 0.59, 0.1))->stops())
        ->toBe([0.0, 0.1, 0.2, 0.3, 0.4, 0.5])
        ->and((new Steps(0.0, 5000.0, 1.0))->stops())
        ->toHaveCount(1000)
        ->and((new Steps(0.0, 9.0, 1.0))->stops(3))
        ->toBe([0.0, 1.0, 2.0])
        ->and((new Steps(0.0, 0.0000000003, 0.0000000001))->stops())
        ->toBe([0.0, 0.0000000001, 0.0000000002, 0.0000000003]);
});
