<?php

declare(strict_types=1);

use Lokum\Feed\CategoryPath;
use Lokum\Feed\Column;
use Lokum\Feed\CsvWriter;
use Lokum\Feed\ReadRow;
use Lokum\Feed\Row;
use Lokum\Feed\RowReader;
use Lokum\Feed\UnreadableFile;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;

/* What a row says, field by field, and how long each may be. */

/**
 * A row with an sku and one more cell.
 *
 * @param  list<string>  $empty
 */
function rowOf(Column|string|null $target, string $cell, array $empty = []): ReadRow
{
    return (new RowReader(['Art', 'X'], ['sku', $target], $empty))->read(new Row(7, ['A', $cell]));
}

test('each field is as long as it may be, in characters, and no longer', function (Column|string $target, int $most): void {
    // A letter of two bytes counts once.
    expect(rowOf($target, str_repeat('ü', $most))->refusal)
        ->toBeNull()
        ->and(rowOf($target, str_repeat('ü', $most + 1))->refusal)
        ->toBe([
            'column' => 'X',
            'reason' => number_format($most + 1).' characters; at most '.number_format($most).' are taken here',
        ]);
})->with([
    ['parent_sku', 200],
    ['name', 1000],
    ['brand', 500],
    ['currency', 10],
    ['description', 65536],
    ['image', 2000],
    ['category', 2000],
    [new Column('note', 'Note', Kind::Text), 65536],
    [new Column('color', 'Color'), 500],
    [new Column('width', 'Width', Kind::Number), 500],
]);

test('an sku is as long as it may be', function (): void {
    $reader = new RowReader(['sku'], ['sku']);
    expect($reader->read(new Row(2, [str_repeat('ü', 200)]))->sku)->toBe(str_repeat('ü', 200));
    $refused = $reader->read(new Row(2, [str_repeat('ü', 201)]));
    expect($refused->refusal)
        ->toBe(['column' => 'sku', 'reason' => '201 characters; at most 200 are taken here'])
        ->and(mb_strlen($refused->sku))
        ->toBe(200);
});

test('a row says its fields and its spellings', function (): void {
    $reader = new RowReader(
        ['name', 'sku', 'Color', 'price', 'stock', 'left', 'category', 'more', 'parent'],
        ['name', 'sku', new Column('color', 'Color', multiple: true), 'price', 'stock', null, 'category', 'category', 'parent_sku'],
        ['n/a'],
    );
    $row = $reader->read(new Row(12, [' Tea tin ', ' A-1 ', 'red| blue', '12,50', '3', 'x', 'Paint > Oil', 'Gifts | Paint', 'A']));
    expect([$row->line, $row->sku, $row->parent, $row->cells, $row->refusal])
        ->toBe([12, 'A-1', 'A', [2 => ['red', 'blue']], null])
        ->and(array_keys($row->fields))
        ->toBe(['name', 'price', 'stock', 'category'])
        ->and([$row->fields['name'], $row->fields['price'], $row->fields['stock']])
        ->toBe(['Tea tin', 12.5, 3])
        ->and($row->fields['category'])
        ->toEqual(CategoryPath::several('Paint > Oil | Gifts | Paint'));
    // What is missing is missing, however it is said.
    $empty = $reader->read(new Row(13, ['n/a', 'n/a', '', ' n/a ', '', '', 'n/a', ' ']));
    expect([$empty->sku, $empty->parent, $empty->cells, $empty->refusal])
        ->toBe(['n/a', null, [2 => []], null])
        ->and(array_filter($empty->fields))
        ->toBe([])
        ->and(array_keys($empty->fields))
        ->toBe(['name', 'price', 'stock', 'category']);
});

test('a cell that cannot be taken names its column, the first one', function (): void {
    $reader = new RowReader(['Art', 'Preis', 'Bestand', 'Kategorie'], ['sku', 'price', 'stock', 'category']);
    $why = fn (string ...$cells): ?array => $reader->read(new Row(3, array_values($cells)))->refusal;
    expect($why('A', 'x', 'y'))
        ->toBe(['column' => 'Preis', 'reason' => '"x" is not a price; write it as 12.50'])
        ->and($why('A', '1', 'y'))
        ->toBe(['column' => 'Bestand', 'reason' => '"y" is not a stock level; write a whole number'])
        ->and($why('A', '1', '1', 'Paint > '))
        ->toBe(['column' => 'Kategorie', 'reason' => '"Paint > " has an empty part; write Paint > Watercolor'])
        ->and($why('', '1'))
        ->toBe(['column' => 'Art', 'reason' => 'the sku is missing'])
        ->and($why('A', '1', '', '', ' ', "\u{A0}"))
        ->toBeNull()
        ->and($why('A', '1', '', '', '', 'z'.str_repeat('y', 60)))
        ->toBe(['column' => '', 'reason' => '6 cells under 4 headings; cell 6 holds "z'.str_repeat('y', 38).'…"']);
});

test('what cannot be taken is quoted, up to sixty characters of it', function (string $cell, string $quoted): void {
    expect(rowOf('price', $cell)->refusal['reason'] ?? '')->toBe("\"{$quoted}\" is not a price; write it as 12.50");
})->with([
    'a letter' => ['x', 'x'],
    'sixty' => [str_repeat('x', 60), str_repeat('x', 60)],
    'one more' => [str_repeat('x', 61), str_repeat('x', 59).'…'],
    'half a character' => ["a\xC3", 'a?'],
]);

test('a column leads to a choice of one value for each variant, and takes what is written', function (): void {
    $column = new Column('color', 'Color', empty: ['n/a', '-']);
    expect([$column->kind, $column->multiple, $column->separator, $column->level, $column->unit, $column->dayOrder])
        ->toBe([Kind::Choice, false, '|', Level::Variant, null, null])
        ->and($column->spellings('red|blue'))
        ->toBe(['red|blue'])
        ->and($column->spellings(' n/a '))
        ->toBe([])
        ->and((new Column('color', 'Color', multiple: true, empty: ['-']))->spellings('-| red ||blue'))
        ->toBe(['red', 'blue']);
});

test('a row with a problem of its own says that, with its line', function (): void {
    $reader = new RowReader(['sku'], ['sku']);
    $row = new Row(9, ['A'], 'a NUL byte in cell 1');
    expect($reader->sku($row))
        ->toBe('')
        ->and($reader->read($row))
        ->toEqual(new ReadRow(9, '', null, [], [], ['column' => '', 'reason' => 'a NUL byte in cell 1']))
        ->and($reader->sku(new Row(1, [' A '])))
        ->toBe('A')
        ->and($reader->sku(new Row(1, [])))
        ->toBe('');
});

test('two columns of one field, or none of the sku, are refused before any row', function (): void {
    expect(fn () => new RowReader(['a', 'b', 'c'], ['sku', 'price', 'price']))
        ->toThrow(UnreadableFile::class, 'Two columns lead to "price"; map only one of them to it.')
        ->and(fn () => new RowReader(['a', 'b'], [null, 'price']))
        ->toThrow(UnreadableFile::class, 'No column holds the sku. The headings are: a, b.')
        ->and(fn () => new RowReader(range('a', 'z'), []))
        ->toThrow(UnreadableFile::class, 'r, s, t. Name one of them')
        ->and((new RowReader(['a', 'b', 'c'], ['category', 'category', 'sku']))->sku(new Row(1, ['x', 'y', 'z'])))
        ->toBe('z');
});

test('one spelling may be longer than a cell of several', function (): void {
    $several = new Column('color', 'Color', multiple: true);
    $long = str_repeat('x', 500);
    expect(rowOf($several, "{$long}|{$long}")->cells[1])
        ->toBe([$long, $long])
        ->and(rowOf($several, "red|{$long}y")->refusal['reason'] ?? '')
        ->toStartWith('501 characters')
        ->and(rowOf($several, str_repeat(' ', 600))->refusal['reason'] ?? '')
        ->toStartWith('600 characters')
        ->and(rowOf($several, str_repeat(' ', 500))->cells[1])
        ->toBe([]);
});

test('a line of CSV has quotes where it needs them, and no formulas', function (array $cells, string $delimiter, string $line): void {
    expect(CsvWriter::line(array_values($cells), $delimiter))->toBe("{$line}\r\n");
})->with([
    [['a', 'b c', ''], ',', 'a,b c,'],
    [['a,b', 'c"d', "e\nf", "g\rh"], ',', "\"a,b\",\"c\"\"d\",\"e\nf\",\"g\rh\""],
    [['a,b', 'c;d'], ';', 'a,b;"c;d"'],
    [[''], ',', '""'],
    [['=1+1', '+a', '-b', '@c', "\td"], ',', "'=1+1,'+a,'-b,'@c,'\td"],
    [['-5', '+5', '-1.5e3'], ',', '-5,+5,-1.5e3'],
    [["'=x", "'-", "''x", "'tis"], ',', "''=x,''-,'''x,'tis"],
    [["\r="], ',', "\"'\r=\""],
]);

test('what was made safe is meant as it was', function (string $cell, string $meant): void {
    expect(CsvWriter::meant($cell))->toBe($meant);
})->with([
    ["'=1", '=1'],
    ["'+1", '+1'],
    ["'-x", '-x'],
    ["'@x", '@x'],
    ["'\tx", "\tx"],
    ["'\rx", "\rx"],
    ["''=1", "'=1"],
    ["'tis", "'tis"],
    ['=1', '=1'],
    ["x'=1", "x'=1"],
]);
