<?php

declare(strict_types=1);

use Lokum\Text\WordForms;

test('names that differ in letters, spaces, spelling or plural have one key', function (string $one, string $other): void {
    expect(WordForms::key($one))->toBe(WordForms::key($other));
})->with([
    ['Colour', ' color '],
    ['Colours', 'Color'],
    ['Paper weight', 'paperweight'],
    ['Fibre', 'Fibers'],
    ['Light-fastness', 'lightfastness'],
    ['Categories', 'Category'],
    ['Brushes', 'brush'],
    ['Organiser', 'Organizer'],
    ['Grey scale', 'Grayscale'],
]);

test('names that mean something else have not', function (string $one, string $other): void {
    expect(WordForms::key($one))->not->toBe(WordForms::key($other));
})->with([
    ['Color', 'Colorless'],
    ['Glass', 'Gla'],
    ['Size', 'Sizes 2'],
    ['Turquoise', 'Turquoize'],
    ['Gloss', 'Glos'],
    ['Status', 'Statu'],
]);
