<?php

declare(strict_types=1);

use App\Cells\Narrowing;
use Lokum\Feed\CsvWriter;

/* Reference: a plain search over what was written into the feed, by the words of docs/commands.md ("Narrowing") and nothing else. */

const NARROW_CATEGORIES = ['Paint', 'Paint > Oil', 'Paint > Oil > Tubes', 'Paper', ''];

/** @return array{0: string, 1: list<array<string, mixed>>} the feed, and its products with their variants */
function randomShop(): array
{
    $csv = CsvWriter::line([
        'sku',
        'parent_sku',
        'name',
        'category',
        'brand',
        'price',
        'stock',
        'Color',
        'Finish',
        'Volume',
        'Notes',
    ]);
    $products = [];
    $maybe = fn (array $of): string => $of[mt_rand(0, count($of) - 1)];
    for ($i = 0; $i < 50; $i++) {
        $product = [
            'sku' => "P{$i}",
            'name' => $maybe(['Studio red', 'Fine brush', 'Oil 5%', 'a_b']),
            'category' => $maybe(NARROW_CATEGORIES),
            'brand' => $maybe(['Ostrelle', 'Velda', '']),
            'finish' => $maybe(['Gloss', 'Matt', '']),
            'notes' => $maybe(['old stock', 'Soft', '']),
            'variants' => [],
        ];
        $many = mt_rand(0, 3);
        for ($v = 0; $v < max(1, $many); $v++) {
            $product['variants'][] = [
                'sku' => $many === 0 ? "P{$i}" : "P{$i}-{$v}",
                'price' => $maybe(['', '4', '5', '9.5', '20']),
                'stock' => $maybe(['', '0', '3']),
                'color' => $maybe(['Red', 'Blue', 'Red|Blue', '']),
                'volume' => $maybe(['', '37', '60', '200']),
            ];
        }
        $own = fn (array $variant): array => [$variant['price'], $variant['stock'], $variant['color']];
        $first = $many === 0 ? $product['variants'][0] : [
            'price' => '',
            'stock' => '',
            'color' => '',
            'volume' => '',
        ];
        $csv .= CsvWriter::line([
            $product['sku'],
            '',
            $product['name'],
            $product['category'],
            $product['brand'],
            ...$own($first),
            $product['finish'],
            $first['volume'],
            $product['notes'],
        ]);
        foreach ($many === 0 ? [] : $product['variants'] as $variant) {
            $csv .= CsvWriter::line([
                $variant['sku'],
                $product['sku'],
                '',
                '',
                '',
                ...$own($variant),
                '',
                $variant['volume'],
                '',
            ]);
        }
        $products[] = $product;
    }

    return [$csv, $products];
}

/**
 * @return list<array{0: string, 1: Closure(array<string, mixed>): bool}> conditions as they are written, and what they say
 */
function conditions(): array
{
    $some = fn (array $product, Closure $of): bool => array_filter($product['variants'], $of) !== [];
    $between = fn (string $number, ?float $from, ?float $to): bool => $number !== '' &&
        ($from === null || (float) $number >= $from) &&
        ($to === null || (float) $number <= $to);

    return [
        ['category:oil', fn (array $p): bool => str_starts_with($p['category'].' > ', 'Paint > Oil > ')],
        ['category:paint', fn (array $p): bool => str_starts_with($p['category'].' > ', 'Paint > ')],
        ['words:red studio', fn (array $p): bool => $p['name'] === 'Studio red'],
        ['words:5%', fn (array $p): bool => $p['name'] === 'Oil 5%'],
        ['words:a_b', fn (array $p): bool => $p['name'] === 'a_b'],
        ['words:-1', fn (array $p): bool => $some($p, fn (array $v): bool => str_contains($v['sku'], '-1'))],
        ['sku:P7', fn (array $p): bool => $p['sku'] === 'P7'],
        ['brand:velda', fn (array $p): bool => $p['brand'] === 'Velda'],
        ['color:red', fn (array $p): bool => $some($p, fn (array $v): bool => str_contains($v['color'], 'Red'))],
        ['color:Blue', fn (array $p): bool => $some($p, fn (array $v): bool => str_contains($v['color'], 'Blue'))],
        ['finish:gloss', fn (array $p): bool => $p['finish'] === 'Gloss'],
        ['missing:color', fn (array $p): bool => ! $some($p, fn (array $v): bool => $v['color'] !== '')],
        ['missing:finish', fn (array $p): bool => $p['finish'] === ''],
        ['missing:volume', fn (array $p): bool => ! $some($p, fn (array $v): bool => $v['volume'] !== '')],
        ['price:5..10', fn (array $p): bool => $some($p, fn (array $v): bool => $between($v['price'], 5, 10))],
        ['price:..4', fn (array $p): bool => $some($p, fn (array $v): bool => $between($v['price'], null, 4))],
        ['stock:1..', fn (array $p): bool => $some($p, fn (array $v): bool => $between($v['stock'], 1, null))],
        ['volume:60', fn (array $p): bool => $some($p, fn (array $v): bool => $v['volume'] === '60')],
        ['volume:50..', fn (array $p): bool => $some($p, fn (array $v): bool => $between($v['volume'], 50, null))],
        ['notes:stock', fn (array $p): bool => $p['notes'] === 'old stock'],
        ['origin:finish=feed', fn (array $p): bool => $p['finish'] !== ''],
        ['origin:finish=hand', fn (array $p): bool => false],
        ['feed:Test', fn (array $p): bool => true],
    ];
}

test('every condition, and several together, find what a plain search finds', function (int $seed): void {
    mt_srand($seed);
    [$csv, $products] = randomShop();
    $this->read(
        $csv,
        '{"columns": {"Color": {"kind": "choice", "multiple": true, "separator": "|", "level": "variant"}, "Finish": {"kind": '.
        '"choice", "level": "product"},
        "Volume": {"kind": "number", "unit": "ml", "level": "variant"}, "Notes": {"kind": "text", "level": "product"}}}',
    );
    $conditions = conditions();
    $asked = array_map(fn (int $i): array => [$i], array_keys($conditions));
    for ($i = 0; $i < 60; $i++) {
        $asked[] = (array) array_rand($conditions, mt_rand(2, 3));
    }
    $found = 0;
    foreach ($asked as $some) {
        $lines = array_map(fn (int $i): string => $conditions[$i][0], $some);
        $wanted = array_filter(
            $products,
            fn (array $product): bool => array_filter($some, fn (int $i): bool => ! $conditions[$i][1]($product)) === [],
        );
        $skus = Narrowing::where($lines)->query()->pluck('sku')->all();
        sort($skus);
        $wanted = array_column($wanted, 'sku');
        sort($wanted);
        expect($skus)->toBe($wanted, implode(' and ', $lines));
        $found += count($skus);
    }
    expect($found)->toBeGreaterThan(100);
})->with([1, 2, 3, 4]);

test('an attribute may be called like a word of narrowings', function (): void {
    $this->read(
        "sku,Origin,Feed\nA,Italy,Hay\nB,Peru,Oats\nC,,\n",
        '{"columns": {"Origin": {"kind": "choice"}, "Feed": {"kind": "choice"}}}',
    );
    $found = fn (string ...$lines): array => Narrowing::where(array_values($lines))->query()->orderBy('sku')->pluck('sku')->all();
    expect($found('origin:italy'))
        ->toBe(['A'])
        ->and($found('origin:origin=feed'))
        ->toBe(['A', 'B'])
        ->and($found('feed:oats'))
        ->toBe(['B'])
        ->and($found('feed:Test'))
        ->toBe(['A', 'B', 'C'])
        ->and($found('missing:feed'))
        ->toBe(['C']);
});

test('words are found whatever their case, accented ones too', function (string $words, array $skus): void {
    $this->read("sku,name\nA,Étude in red\nB,ÉTUDE\nC,étude blanche\nD,Etude\nE,Ölfarbe 100%\n");
    expect(
        Narrowing::where(["words:{$words}"])
            ->query()
            ->orderBy('sku')
            ->pluck('sku')
            ->all(),
    )->toBe($skus);
})->with([
    ['étude', ['A', 'B', 'C']],
    ['ÉTUDE', ['A', 'B', 'C']],
    ['ETUDE', ['D']],
    ['ölfarbe', ['E']],
    ['étude RED', ['A']],
    ['100%', ['E']],
    ['_', []],
]);
