<?php

declare(strict_types=1);

use Lokum\Color\ColorNames;

/* Source: the named colors of CSS Color 4, through css-color-names (npm). */

test('all 148 named colors are known', function (): void {
    $names = json_decode(
        (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/css-color-names/css-color-names.json'),
        true,
    );
    expect($names)->toHaveCount(148);
    // Where artists mean another color by the same word, the artists' color is the shop's.
    $artists = require dirname(__DIR__, 2).'/core/Color/pigment-names.php';
    foreach (array_diff_key($names, $artists) as $name => $color) {
        expect(ColorNames::in((string) $name))->toBe([strtolower($color)], (string) $name);
    }
});
