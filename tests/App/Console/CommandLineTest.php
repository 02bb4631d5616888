<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* The command line as scripts use it: one JSON document, exit status, nothing half-done. */

/** @return array<mixed> */
function lokum(string $data, string ...$arguments): array
{
    $process = new Process([PHP_BINARY, base_path('bin/console.php'), ...$arguments], null, ['LOKUM_DATA' => $data]);
    $process->run();

    return [$process->getExitCode(), json_decode($process->getOutput(), true), $process->getErrorOutput()];
}

test('a catalog from a file to counts, by commands alone', function (): void {
    $data = $this->data().'/fresh';
    $csv = $this->data().'/feed.csv';
    file_put_contents(
        $csv,
        "sku,parent_sku,name,category,price,stock,Colour,Volume\nP,,Paint,Paint > Oil,,,,\nP1,P,,,4.50,1,Red ,10\n".
        "P2,P,,,6,0,Blue,20\nQ,,Ink,Ink,5,2,RED,10\nX,,Bad,Ink,abc,2,Red,10\n",
    );
    $map = $this->data().'/map.json';
    file_put_contents(
        $map,
        '{"columns": {"Colour": {"attribute": "color", "label": "Color", "kind": "choice", "multiple": false, "separator": "|", '.
        '"level": "variant", "unit": null}}}',
    );

    [$status, $answer] = lokum($data, 'define', 'volume', '--kind=number', '--label=Volume', '--unit=ml', '--json');
    expect($status)
        ->toBe(0)
        ->and($answer)
        ->toMatchArray([
            'attribute' => 'volume',
            'kind' => 'number',
            'unit' => 'ml',
            'level' => 'variant',
        ]);
    [$status, $check] = lokum($data, 'feed:read', $csv, "--map={$map}", '--check', '--json');
    [, $read] = lokum($data, 'feed:read', $csv, "--map={$map}", '--json');
    expect($status)
        ->toBe(0)
        ->and($read)
        ->toBe($check)
        ->and($read['rows'])
        ->toBe(5)
        ->and($read['refused'])
        ->toBe([['line' => 6, 'column' => 'price', 'reason' => '"abc" is not a price; write it as 12.50']]);
    [, $values] = lokum($data, 'values', 'color', '--json');
    expect($values)->toBe([
        [
            'label' => 'Blue',
            'slug' => 'blue',
            'products' => 1,
            'umbrella' => null,
            'spellings' => [['text' => 'Blue', 'products' => 1]],
        ],
        [
            'label' => 'Red',
            'slug' => 'red',
            'products' => 2,
            'umbrella' => null,
            'spellings' => [['text' => 'Red ', 'products' => 1], ['text' => 'RED', 'products' => 1]],
        ],
    ]);
    [, $edition] = lokum($data, 'publish', '--json');
    expect($edition)->toMatchArray([
        'edition' => 1,
        'products' => 2,
        'variants' => 3,
        'terms' => 2,
    ]);
    [, $counts] = lokum($data, 'counts', '--pick=color:blue', '--range=volume:10..', '--json');
    expect($counts)->toBe([
        'products' => 1,
        'filters' => [
            [
                'attribute' => 'color',
                'terms' => [
                    ['label' => 'Blue', 'slug' => 'blue', 'count' => 1],
                    ['label' => 'Red', 'slug' => 'red', 'count' => 2],
                ],
            ],
            ['attribute' => 'price', 'min' => 6, 'max' => 6],
            ['attribute' => 'stock', 'min' => 0, 'max' => 0],
            [
                'attribute' => 'volume',
                'min' => 20,
                'max' => 20,
            ],
        ],
    ]);
    [, $counts] = lokum($data, 'counts', '--category=ink', '--pick=color:blue', '--json');
    expect($counts['products'])
        ->toBe(0)
        ->and($counts['filters'][0]['terms'])
        ->toBe([['label' => 'Blue', 'slug' => 'blue', 'count' => 0], ['label' => 'Red', 'slug' => 'red', 'count' => 1]])
        ->and($counts['filters'][1])
        ->toBe(['attribute' => 'price', 'min' => null, 'max' => null]);
    [, $merge] = lokum($data, 'merge', 'color', '--keep=Red', 'Blue', '--check', '--json');
    expect($merge)->toMatchArray(['keep' => 'Red', 'products' => 1, 'change' => null]);
    lokum($data, 'merge', 'color', '--keep=Red', 'Blue', '--json');
    expect(lokum($data, 'drift', '--json')[1]['terms']['gone'][0]['label'])->toBe('Blue');
    expect(lokum($data, 'undo', '--json')[1]['took_back']['summary'])
        ->toBe('Merged Blue into Red (Color)')
        ->and(lokum($data, 'drift', '--json')[1]['differences'])
        ->toBe(0);
});

test('what is refused says why, with status 1; wrong usage has status 2', function (
    array $arguments,
    int $status,
    string $message,
): void {
    [$code, $answer, $errors] = lokum($this->data(), ...$arguments);
    expect($code)->toBe($status)->and($errors)->toContain($message);
    if (in_array('--json', $arguments, true)) {
        expect($answer['error'])->toContain($message);
    }
})->with([
    [['feed:read', '/nowhere.csv', '--json'], 1, 'cannot be opened'],
    [['values', 'nothing', '--json'], 1, 'There is no attribute "nothing"'],
    [['counts', '--json'], 1, 'There is no edition yet'],
    [['publish', '--json'], 1, 'no products'],
    [['undo', '--json'], 1, 'nothing that can be taken back'],
    [['define', 'x', '--json'], 2, '--kind'],
    [['define', 'x', '--kind=color', '--json'], 1, 'The kind is one of'],
    [['merge', 'color'], 2, 'values'],
    [['frobnicate'], 2, 'not defined'],
    [['set', 'nothing', 'x', '--json'], 1, 'no attribute "nothing"'],
    [['set', 'nothing', '--json'], 2, 'Say which value'],
    [['set', 'x', 'y', '--add', '--clear'], 2, 'Choose one of'],
    [['fill:run', '7', '--json'], 1, 'no fill rule "7"'],
    [['fill:check', '--rule=nonsense', '--json'], 2, 'JSON object'],
    [['quantity', 'half pan', '--json'], 1, 'is not a number'],
    [['quantity', '5 lb', '--to=cm', '--json'], 1, 'cannot be turned into cm'],
    [['lookalikes', '--json'], 2, '--stdin'],
    [['lookalikes', 'color', '--attribute=Color', '--json'], 2, 'goes with --stdin'],
    [['lookalikes', 'nothing', '--json'], 1, 'no attribute'],
    [['gather', 'nothing', 'a', '--under=b', '--json'], 1, 'no attribute'],
    [['vocabulary:export', 'x', '--format=xml'], 1, 'no attribute'],
    [['values'], 2, 'attribute'],
    [['values', 'x', '--nope'], 2, '--nope'],
]);

test('every command has help', function (string $command): void {
    expect(lokum($this->data(), $command, '--help')[0])->toBe(0);
})->with([
    'demo',
    'serve',
    'feed:read',
    'define',
    'values',
    'merge',
    'undo',
    'publish',
    'drift',
    'counts',
    'bench',
    'set',
    'fill:check',
    'fill:run',
    'quantity',
    'lookalikes',
    'gather',
    'apart',
    'vocabulary:export',
    'vocabulary:import',
]);

test('values are given, filled, gathered, kept apart and sent on, by commands alone', function (): void {
    $data = $this->data().'/work';
    $csv = $this->data().'/shop.csv';
    file_put_contents(
        $csv,
        "sku,name,category,price,Color,Finish\nA,Sap green oil,Paint > Oil,5,Sage,Gloss\n".
        "B,Glossy olive oil,Paint > Oil,9,Olive,\nC,Brush,Brushes,3,,\nD,Red ink,Ink,4,\"Green, sage\",\nE,Ink,Ink,4,Sage green,\n",
    );
    file_put_contents(
        $map = $this->data().'/shop.json',
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": "product"}}}',
    );
    lokum($data, 'feed:read', $csv, "--map={$map}", '--json');
    expect(
        lokum($data, 'set', 'finish', 'Satin', '--where=category:paint', '--where=missing:finish', '--check', '--json')[1],
    )->toMatchArray([
        'items' => 1,
        'changed' => 1,
        'by_hand' => 0,
        'new_values' => ['Satin'],
        'change' => null,
    ]);
    expect(lokum($data, 'set', 'finish', 'Matt', '--where=price:..3', '--json')[1])
        ->toMatchArray(['changed' => 1, 'samples' => [['item' => 'C', 'before' => '', 'after' => 'Matt']]])
        ->and(lokum($data, 'set', 'finish', '--clear', '--where=sku:C', '--json')[1])
        ->toMatchArray(['changed' => 1, 'by_hand' => 1]);
    $rule =
        '{"definition": "finish", "source": "words", "in": ["name"], "lines": [{"value": "Gloss", "any": ["glossy"]}], "scope": '.
        '["category:paint"]}';
    expect(lokum($data, 'fill:check', "--rule={$rule}", '--json')[1]['rules'][0])->toMatchArray([
        'rule' => 0,
        'fits' => 1,
        'filled' => 1,
        'hits' => [[
            'item' => 'B',
            'value' => 'Gloss',
            'before' => '',
            'words' => 'Glossy',
            'behind' => ' olive oil',
        ]],
    ]);
    expect(lokum($data, 'fill:run', "--rule={$rule}", '--json')[1]['rules'][0])
        ->toMatchArray(['rule' => 1, 'attribute' => 'finish', 'filled' => 1])
        ->and(lokum($data, 'fill:run', '--json')[1]['rules'][0])
        ->toMatchArray(['filled' => 0, 'unchanged' => 1]);
    $groups = lokum($data, 'lookalikes', 'color', '--json')[1]['groups'];
    expect($groups)
        ->toHaveCount(1)
        ->and($groups[0]['members'])
        ->toEqualCanonicalizing(['Green, sage', 'Sage green'])
        ->and($groups[0]['confidence'])
        ->toBeGreaterThan(0.9);
    expect(lokum($data, 'apart', 'color', 'Green, sage', 'Sage green', '--json')[1]['apart'])
        ->toBe(['Green, sage', 'Sage green'])
        ->and(lokum($data, 'lookalikes', 'color', '--json')[1])
        ->toBe(['groups' => []]);
    expect(lokum($data, 'gather', 'color', 'Sage', 'Olive', '--under=Green', '--json')[1])->toMatchArray([
        'umbrella' => 'Green',
        'new' => true,
        'products' => 2,
        'terms' => ['before' => 4, 'after' => 3],
    ]);
    lokum($data, 'publish', '--json');
    expect(array_column(lokum($data, 'counts', '--json')[1]['filters'][0]['terms'], 'count', 'slug'))->toBe([
        'green' => 2,
        'green-sage' => 1,
        'sage-green' => 1,
    ]);
    $list = $this->data().'/list.csv';
    lokum($data, 'vocabulary:export', 'color', $list);
    expect(file_get_contents($list))
        ->toContain('Olive,Green,Olive')
        ->and(lokum($data, 'vocabulary:import', 'finish', $list, '--check', '--json')[1])
        ->toMatchArray(['values' => 4, 'umbrellas' => 1, 'change' => null]);
    expect(lokum($data, 'quantity', '12 in', '--to=cm', '--json')[1])
        ->toBe(['value' => 30.48, 'unit' => 'cm', 'ucum' => 'cm'])
        ->and(lokum($data, 'quantity', '10-12 mm', '--json')[1]['value'])
        ->toBe(['from' => 10, 'to' => 12])
        ->and(lokum($data, 'quantity', '20 x 30 in', '--to=cm', '--json')[1]['value'])
        ->toBe([50.8, 76.2]);
    expect(lokum($data, 'undo', '--json')[1]['took_back']['summary'])
        ->toStartWith('Gathered')
        ->and(lokum($data, 'undo', '--json')[1]['took_back']['summary'])
        ->toStartWith('Kept apart');
});

test('a feed without a source cannot be looked at, a bound that is none is not kept, and both are failures', function (): void {
    $data = $this->data().'/fresh';
    expect(lokum($data, 'feed:source', 'Leaf', '--hand')[0])->toBe(0);
    [$status, , $said] = lokum($data, 'feed:run', 'Leaf');
    expect([$status, $said])->toBe([1, "lokum: Leaf has no source: somebody brings its files.\n"]);
    foreach (['{"new": "many"}' => 'whole number from 0', '{"nwe": 3}' => 'called "nwe"'] as $bounds => $words) {
        [$status, , $said] = lokum($data, 'feed:source', 'Leaf', '--inbox=leaf*', "--bounds={$bounds}");
        expect([$status, str_contains($said, $words)])->toBe([1, true]);
    }
    [, $list] = lokum($data, 'feed:list', '--json');
    expect($list['feeds'][0]['source'])->toBeNull();
    expect(lokum($data, 'feed:source', 'Leaf', '--inbox=leaf*')[0])->toBe(0);
    [$status, $answer] = lokum($data, 'feed:run', 'Leaf', '--json');
    expect([$status, $answer['runs'][0]['state']])->toBe([0, 'nothing']);
});
