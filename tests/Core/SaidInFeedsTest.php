<?php

declare(strict_types=1);

use Lokum\Feed\BadCell;
use Lokum\Feed\BadMap;
use Lokum\Feed\CategoryPath;
use Lokum\Feed\Column;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\ColumnWish;
use Lokum\Feed\Money;
use Lokum\Feed\Separator;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/* What suppliers write of categories, prices and stock, and what people say of columns. */

test('a path is read from the top down, blank or whole', function (): void {
    expect(CategoryPath::read('  '))
        ->toBeNull()
        ->and(CategoryPath::read(' Paint >Watercolor > Half pans')?->names)
        ->toBe(['Paint', 'Watercolor', 'Half pans'])
        ->and(CategoryPath::read('PAINT > Watercolor')?->key())
        ->toBe(CategoryPath::read('Paint>watercolor')?->key())
        ->and(CategoryPath::read(implode('>', range(1, 12)))?->names)
        ->toHaveCount(12)
        ->and(array_map(fn (CategoryPath $path): string => $path->key(), CategoryPath::several('Paint > Oil | Gifts | | paint>OIL')))
        ->toBe(['paint > oil', 'gifts'])
        ->and(CategoryPath::several(''))
        ->toBe([]);
});

test('a path with an empty part, or without end, is refused', function (string $cell, string $why): void {
    expect(fn () => CategoryPath::several($cell))->toThrow(BadCell::class, $why);
})->with([
    ['Paint >> Oil', 'has an empty part; write Paint > Watercolor'],
    ['> Oil', 'has an empty part'],
    ['Paint > ', 'has an empty part'],
    [implode('>', range(1, 13)), 'has more than 12 steps'],
]);

test('prices', function (string $cell, ?float $price): void {
    expect(Money::price($cell))->toBe($price);
})->with([
    ['12.50', 12.5],
    [' 12,5 ', 12.5],
    ['0', 0.0],
    ['1250', 1250.0],
    ['1.2345', 1.2345],
    ['999999999999.99', 999_999_999_999.99],
    ['', null],
    ["\u{00A0}", null],
]);

test('bad prices have a reason', function (string $cell, string $reason): void {
    expect(fn () => Money::price($cell))->toThrow(BadCell::class, $reason);
})->with([
    ['12,50 €', 'carries a currency'],
    ['EUR 5', 'carries a currency'],
    ['abc', 'is not a price'],
    ['-1', 'is negative'],
    ['1e400', 'exponent'],
    ['1,250', 'thousands'],
    ['1 250', 'thousands'],
    ['1000000000000', 'too large'],
    ['12,345', 'thousands'],
    ['12,5 zl', 'is not a price'],
    ["\u{2212}5", 'is negative'],
    ['5-', 'is not a price'],
    ['5 -', 'is not a price'],
    ['5 EUR', 'carries a currency'],
    ['5EUR', 'carries a currency'],
    ['EUR5', 'carries a currency'],
    ['5 eur', 'is not a price'],
    ['1e5', 'exponent'],
    ['1.5E+5', 'exponent'],
    ['1e-5', 'exponent'],
    ['e5', 'is not a price'],
    ["1'250.00", 'thousands'],
    ['1.250,00', 'thousands'],
    [',5', 'is not a price'],
    ['5,', 'thousands'],
]);

test('stock is a whole number, also of what is owed', function (string $cell, ?int $stock): void {
    expect(Money::stock($cell))->toBe($stock);
})->with([['', null], [' 12 ', 12], ['-3', -3], ['+4', 4], ['7.00', 7], ['0', 0], ['999999999999', 999_999_999_999]]);

test('what is no stock level is refused', function (string $cell): void {
    expect(fn () => Money::stock($cell))->toThrow(BadCell::class, 'is not a stock level; write a whole number');
})->with(['plenty', '1.5', '1,000', '1234567890123', '12.', "5\n6"]);

test('a map says what columns lead to', function (): void {
    $map = ColumnMap::fromJson('{"empty": ["n/a"], "columns": {
        "Farbe": {"label": "Color", "kind": "choice", "multiple": true, "separator": "/", "empty": ["-"]},
        "Breite": {"attribute": "width", "kind": "number", "unit": "mm", "level": "product"},
        "Preis": "price",
        "Intern": null
    }}');
    expect($map->for('Farbe'))
        ->toEqual(new Column('color', 'Color', Kind::Choice, true, '/', Level::Variant, null, ['n/a', '-']))
        ->and($map->for(' Farbe '))
        ->toEqual($map->for('Farbe'))
        ->and($map->for('Breite'))
        ->toEqual(new Column('width', 'Breite', Kind::Number, false, '|', Level::Product, 'mm', ['n/a']))
        ->and($map->for('Preis'))
        ->toBe('price')
        ->and($map->describes('Intern'))
        ->toBeTrue()
        ->and($map->for('Intern'))
        ->toBeNull()
        ->and($map->describes('Anderes'))
        ->toBeFalse()
        ->and($map->isOwn('Farbe'))
        ->toBeFalse()
        ->and((new ColumnMap(own: ['Farbe']))->isOwn('Farbe'))
        ->toBeTrue()
        ->and($map->alsoEmpty('?', 'n/a')->empty)
        ->toBe(['n/a', '?'])
        ->and(ColumnMap::fromJson('{}'))
        ->toEqual(new ColumnMap())
        ->and(ColumnMap::fromJson('[]'))
        ->toEqual(new ColumnMap());
});

test('a column is called by its heading, without the spaces at its ends', function (): void {
    expect(ColumnMap::fromJson('{"columns": {" Farbe ": {}}}')->for(' Farbe '))->toEqual(new Column('farbe', 'Farbe'));
});

test('a map that cannot be used says where', function (string $json, string $why): void {
    expect(fn () => ColumnMap::fromJson($json))->toThrow(BadMap::class, $why);
})->with([
    ['{', 'The map is not a JSON object: Syntax error.'],
    ['"text"', 'it holds another kind of value'],
    ['[', 'not a JSON object'],
    ['[1]', 'it holds another kind of value'],
    ['{"rows":{}}', 'The map of the feed has an entry "rows" that is not known.'],
    ['{"empty":"n/a"}', 'The map of the feed: "empty" must be a list of texts.'],
    ['{"empty":[1]}', '"empty" must be a list of texts'],
    ['{"columns":"all"}', '"columns" must be an object of headings'],
    ['{"columns":{"A":"weight"}}', 'The map of column "A": "weight" must be one of sku, parent_sku'],
    ['{"columns":{"A":7}}', '"A" must be an object, the name of a known column, or null'],
    ['{"columns":{"A":{"type":"x"}}}', 'The map of column "A" has an entry "type" that is not known.'],
    ['{"columns":{"A":{"kind":"color"}}}', '"kind" must be choice, flag, number, text or date'],
    ['{"columns":{"A":{"level":"shop"}}}', '"level" must be product or variant'],
    ['{"columns":{"A":{"multiple":"yes"}}}', '"multiple" must be true or false'],
    ['{"columns":{"A":{"label":5}}}', '"label" must be a text'],
]);

test('a wish changes what was guessed, and keeps what its kind can have', function (): void {
    $guessed = new Column('width', 'Width', Kind::Number, true, ';', Level::Variant, 'mm', ['-'], null);
    $asNumber = (new ColumnWish('Breadth', null, Level::Product))->of($guessed);
    $asChoice = (new ColumnWish(kind: Kind::Choice))->of($guessed);
    expect($asNumber)
        ->toEqual(new Column('width', 'Breadth', Kind::Number, true, ';', Level::Product, 'mm', ['-'], null))
        ->and($asChoice)
        ->toEqual(new Column('width', 'Width', Kind::Choice, false, ';', Level::Variant, null, ['-'], null));
});

test('an order of days is kept where the column stays one of days', function (): void {
    $guessed = new Column('until', 'Until', Kind::Date, dayOrder: DayOrder::MonthFirst);
    expect((new ColumnWish('Best before'))->of($guessed)->dayOrder)
        ->toBe(DayOrder::MonthFirst)
        ->and((new ColumnWish(kind: Kind::Text))->of($guessed)->dayOrder)
        ->toBeNull()
        ->and((new ColumnWish())->of($guessed))
        ->toEqual($guessed);
});

test('what parts values in a cell is one text, or any of several', function (string $said, string $cell, array $parts, bool $stands): void {
    $separator = Separator::of($said === '' ? '|' : $said);
    expect([$separator->parts($cell), $separator->standsIn($cell)])->toBe([$parts, $stands]);
})->with([
    ['|', 'a | b|', ['a', 'b', ''], true],
    ['|', 'a', ['a'], false],
    ['; or ,', 'a;b,c', ['a', 'b', 'c'], true],
    ['; or ,', 'a,b', ['a', 'b'], true],
    [' or , or ;', 'a,b or c;d', ['a', 'b or c', 'd'], true],
    ['; or ', 'a,b;c', ['a,b', 'c'], true],
    ['or', 'red or blue', ['red', 'blue'], true],
]);

test('a category that a cell names twice is written as it was first', function (): void {
    $paths = CategoryPath::several('Paint > Oil | PAINT>oil | | Gifts');
    expect(array_map(fn (CategoryPath $path): array => $path->names, $paths))->toBe([['Paint', 'Oil'], ['Gifts']]);
});
