<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* The command line as scripts use it: one JSON document, exit status, nothing half-done. */

function lokum(string $data, string ...$arguments): array
{
    $process = new Process([PHP_BINARY, base_path('bin/console.php'), ...$arguments], null, ['LOKUM_DATA' => $data]);
    $process->run();

    return [$process->getExitCode(), json_decode($process->getOutput(), true), $process->getErrorOutput()];
}

test('a catalog from a file to counts, by commands alone', function (): void {
    $data = $this->data().'/fresh';
    $csv = $this->data().'/feed.csv';
    file_put_contents($csv, "sku,parent_sku,name,category,price,stock,Colour,Volume\nP,,Paint,Paint > Oil,,,,\nP1,P,,,4.50,1,Red ,10\nP2,P,,,6,0,Blue,20\nQ,,Ink,Ink,5,2,RED,10\nX,,Bad,Ink,abc,2,Red,10\n");
    $map = $this->data().'/map.json';
    file_put_contents($map, '{"columns": {"Colour": {"attribute": "color", "label": "Color", "kind": "choice", "multiple": false, "separator": "|", "level": "variant", "unit": null}}}');

    [$status, $answer] = lokum($data, 'define', 'volume', '--kind=number', '--label=Volume', '--unit=ml', '--json');
    expect($status)->toBe(0)->and($answer)->toMatchArray(['attribute' => 'volume', 'kind' => 'number', 'unit' => 'ml', 'level' => 'variant']);
    [$status, $check] = lokum($data, 'feed:read', $csv, "--map={$map}", '--check', '--json');
    [, $read] = lokum($data, 'feed:read', $csv, "--map={$map}", '--json');
    expect($status)->toBe(0)->and($read)->toBe($check)->and($read['rows'])->toBe(5)->and($read['refused'])->toBe([['line' => 6, 'column' => 'price', 'reason' => '"abc" is not a price; write it as 12.50']]);
    [, $values] = lokum($data, 'values', 'color', '--json');
    expect($values)->toBe([['label' => 'Blue', 'slug' => 'blue', 'products' => 1, 'umbrella' => null, 'spellings' => [['text' => 'Blue', 'products' => 1]]],
        ['label' => 'Red', 'slug' => 'red', 'products' => 2, 'umbrella' => null, 'spellings' => [['text' => 'Red ', 'products' => 1], ['text' => 'RED', 'products' => 1]]]]);
    [, $edition] = lokum($data, 'publish', '--json');
    expect($edition)->toMatchArray(['edition' => 1, 'products' => 2, 'variants' => 3, 'terms' => 2]);
    [, $counts] = lokum($data, 'counts', '--pick=color:blue', '--range=volume:10..', '--json');
    expect($counts)->toBe(['products' => 1, 'filters' => [['attribute' => 'color', 'terms' => [['label' => 'Blue', 'slug' => 'blue', 'count' => 1], ['label' => 'Red', 'slug' => 'red', 'count' => 2]]],
        ['attribute' => 'price', 'min' => 6, 'max' => 6], ['attribute' => 'stock', 'min' => 0, 'max' => 0], ['attribute' => 'volume', 'min' => 20, 'max' => 20]]]);
    [, $counts] = lokum($data, 'counts', '--category=ink', '--pick=color:blue', '--json');
    expect($counts['products'])->toBe(0)->and($counts['filters'][0]['terms'])->toBe([['label' => 'Blue', 'slug' => 'blue', 'count' => 0], ['label' => 'Red', 'slug' => 'red', 'count' => 1]])->and($counts['filters'][1])->toBe(['attribute' => 'price', 'min' => null, 'max' => null]);
    [, $merge] = lokum($data, 'merge', 'color', '--keep=Red', 'Blue', '--check', '--json');
    expect($merge)->toMatchArray(['keep' => 'Red', 'products' => 1, 'change' => null]);
    lokum($data, 'merge', 'color', '--keep=Red', 'Blue', '--json');
    expect(lokum($data, 'drift', '--json')[1]['terms']['gone'][0]['label'])->toBe('Blue');
    expect(lokum($data, 'undo', '--json')[1]['took_back']['summary'])->toBe('Merged Blue into Red (Color)')->and(lokum($data, 'drift', '--json')[1]['differences'])->toBe(0);
});

test('what is refused says why, with status 1; wrong usage has status 2', function (array $arguments, int $status, string $message): void {
    [$code, $answer, $errors] = lokum($this->data(), ...$arguments);
    expect($code)->toBe($status)->and($errors)->toContain($message);
    if (in_array('--json', $arguments, true)) {
        expect($answer['error'])->toContain($message);
    }
})->with([
    [['feed:read', '/nowhere.csv', '--json'], 1, 'cannot be opened'], [['values', 'nothing', '--json'], 1, 'There is no attribute "nothing"'], [['counts', '--json'], 1, 'There is no edition yet'], [['publish', '--json'], 1, 'no products'],
    [['undo', '--json'], 1, 'nothing that can be taken back'], [['define', 'x', '--json'], 2, '--kind'], [['define', 'x', '--kind=color', '--json'], 1, 'The kind is one of'], [['merge', 'color'], 2, 'values'], [['frobnicate'], 2, 'not defined'], [['values'], 2, 'attribute'], [['values', 'x', '--nope'], 2, '--nope'],
]);

test('every command has help', function (string $command): void {
    expect(lokum($this->data(), $command, '--help')[0])->toBe(0);
})->with(['demo', 'serve', 'feed:read', 'define', 'values', 'merge', 'undo', 'publish', 'drift', 'counts', 'bench']);
