<?php

declare(strict_types=1);

use App\Lineups\EditLineup;

/* Whatever stands in an address, a page answers: with itself, with a reason, or with "there is nothing here", and never with a failure. */

const STRANGE = [
    '',
    '..',
    '1e400',
    '-1',
    '99999999999999999999',
    "'",
    '<script>',
    "\0",
    'é',
    '🎨',
    'color:',
    'color:nosuch',
    'price:',
    'price:a..b',
    'price:5..1',
    'missing:nosuch',
    'gap:color',
    'feed:x',
    'changed:2026-13-45',
    'origin:color=x',
    'category:nosuch',
    'volume:..',
    'x=y',
    '1..2..3',
];

const PLACES = [
    '/products' => ['where[]', 'where', 'sort', 'cursor', 'columns[]', 'view', 'q', 'page', 'give', 'pick[]'],
    '/values/color' => ['q', 'sort', 'pick[]', 'page', 'value', 'keep', 'under', 'spelling'],
    '/values/color/flow' => ['q', 'pick[]', 'value', 'more'],
    '/values/color/map' => ['pick[]', 'q'],
    '/values/color/look-alikes' => ['pick[]', 'keep', 'later', 'batch'],
    '/line-ups' => ['page', 'at', 'filter', 'propose', 'compare'],
    '/definitions' => ['open', 'q'],
    '/expected' => ['category'],
    '/rules' => ['rule', 'definition', 'source', 'scope[]'],
    '/history' => ['q', 'room', 'cursor', 'entry'],
    '/publishing' => ['edition'],
    '/shop' => ['color', 'color[]', 'price', 'price[from]', 'sort', 'page', 'sold-out'],
    '/shop/c/paint' => ['volume', 'page'],
    '/shop/search' => ['q', 'color'],
];

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,category,price,stock,Color,Volume,Notes\nP,,Paint > Oil,,,,,\nP-1,P,,5,3,Red,37 ml,\n".
        "P-2,P,,9,0,Blue|red,60 ml,\nQ,,Brushes,4,2,Green,,soft\n",
        '{"columns": {"Color": {"kind": "choice", "multiple": true, "level": "variant"}, "Volume": {"kind": "number", "unit": '.
        '"ml"}, "Notes": {"kind": "text"}}}',
    );
    array_map(app(EditLineup::class)->add(...), ['color', 'price', 'volume', 'notes', 'stock']);
    $this->publish();
    $this->actingAs($this->person());
});

test('no address breaks a page', function (string $path, array $names): void {
    foreach ($names as $name) {
        foreach (STRANGE as $text) {
            $address = "{$path}?{$name}=".rawurlencode($text);
            expect($this->get($address)->getStatusCode())->toBeLessThan(500, $address);
        }
    }
})->with(array_map(fn (string $path, array $names): array => [$path, $names], array_keys(PLACES), PLACES));

test('no fill rule that is typed half breaks its page', function (string $source): void {
    // Each text in each field, and each definition with every text and every field.
    $definitions = ['color', 'volume', 'notes', 'nosuch'];
    foreach (['branch', 'field', 'bands', 'table', 'value', 'lines', 'from'] as $i => $name) {
        foreach (['', 'abc', '..', '1..', 'a: b', ":\n:", '🎨', 'paint', 'price'] as $j => $text) {
            $address = '/rules?'.http_build_query(
                ['definition' => $definitions[($i + $j) % 4], 'source' => $source, $name => $text],
            );
            expect($this->get($address)->getStatusCode())->toBeLessThan(500, $address);
        }
    }
})->with(['category', 'words', 'number', 'definition', 'fixed']);

test('no bulk change that is typed half breaks its page', function (string $mode): void {
    foreach (['color', 'volume', 'notes'] as $give) {
        foreach (['', 'abc', '1e400', '5', '-3', '0', 'x|y'] as $text) {
            $address =
                '/products?'.
                http_build_query([
                    'all' => 1,
                    'give' => $give,
                    'mode' => $mode,
                    'value' => [$text],
                    'amount' => $text,
                    'find' => $text,
                    'replace' => '',
                    'source' => $text,
                ]);
            expect($this->get($address)->getStatusCode())->toBeLessThan(500, $address);
        }
    }
})->with(['set', 'add', 'remove', 'clear', 'copy', 'replace', 'raise', 'percent', 'round', 'no such mode']);
