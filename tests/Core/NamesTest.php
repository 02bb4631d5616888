<?php

declare(strict_types=1);

use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Names;

/* What the lists of names say holds together: two lines that lead to each other would never let their names meet. */

/** @return list<string> all names of a file, as keys */
function namesIn(string $file): array
{
    $names = [];
    foreach (file(dirname(__DIR__, 2)."/core/LookAlike/data/names/{$file}", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
        if (! str_starts_with($line, '#')) {
            array_push($names, ...array_map(fn (string $name): string => rtrim($name, '!%'), explode(' = ', $line)));
        }
    }

    return array_values(array_unique($names));
}

test('what a name is read as is read as itself', function (string $file): void {
    $settled = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Synonym->value] ?? $name;
    $names = namesIn($file);
    $moving = array_filter($names, fn (string $name): bool => $settled($settled($name)) !== $settled($name));
    expect($names)->not->toBe([])->and(array_values($moving))->toBe([]);
})->with(['words.txt', 'colors-by-number.txt']);

test('what a standard calls a thing is called nothing else by it', function (): void {
    $said = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Standard->value] ?? $name;
    $moving = array_filter(namesIn('standards.txt'), fn (string $name): bool => $said($said($name)) !== $said($name));
    expect(array_values($moving))->toBe([]);
});

test('names that two lines lead to meet', function (string $one, string $other): void {
    $said = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Synonym->value] ?? $name;
    expect($said($one))->toBe($said($other));
})->with([
    ['uhd', 'ultra hd'],
    ['vest', 'waistcoat'],
    ['allen key', 'hexagonal wrench'],
    ['pram', 'buggy'],
    ['hex head', 'hexagonal head'],
]);
