<?php

declare(strict_types=1);

use Lokum\Color\BasicColor;
use Lokum\Color\ColorNames;
use Lokum\Color\Lab;
use Lokum\Color\Shade;

/*
 * Sources: the color survey of xkcd (CC0), what 222,500 people called colors on their screens, and the ISCC–NBS system of color
 * designation (Kelly and Judd, NBS Circular 553), both as the npm package color-name-lists has them.
 */

/** @return list<array{0: string, 1: string}> names in small letters, with their color */
function publishedNames(string $list): array
{
    $file = dirname(__DIR__, 2).'/node_modules/color-name-lists/dist/colorlists.json';
    /** @var array{lists: array<string, list<array{name: string, hex: string}>>} $known */
    $known = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);

    return array_map(fn (array $one): array => [strtolower($one['name']), $one['hex']], $known['lists'][$list]);
}

test('the basic color of a color is what people call it', function (): void {
    $basic = ['black', 'white', 'gray', 'red', 'orange', 'yellow', 'green', 'blue', 'purple', 'pink', 'brown'];
    $called = $agreed = 0;
    foreach (publishedNames('xkcd') as [$name, $hex]) {
        $words = explode(' ', str_replace('grey', 'gray', $name));
        $last = array_pop($words);
        // "Blue green" and "reddish brown" are between two of them.
        $isBetween = array_filter($words, fn (string $word): bool => preg_match('/(?:ish|ey|ly|ny|dy)$/', $word) === 1) !== [] ||
            array_intersect($words, $basic) !== [];
        if (in_array($last, $basic, true) && ! $isBetween) {
            $called++;
            $agreed += strtolower(BasicColor::of($hex)) === $last ? 1 : 0;
        }
    }
    expect($called)->toBeGreaterThan(300)->and($agreed / $called)->toBeGreaterThan(0.94);
});

test('brown is not red, beige is not white', function (string $name, string $not): void {
    expect(BasicColor::of(ColorNames::in($name)[0]))->not->toBe($not);
})->with([
    ['Brown', 'Red'],
    ['Saddle brown', 'Red'],
    ['Chocolate', 'Red'],
    ['Mocha', 'Red'],
    ['Beige brown', 'White'],
    ['Camel', 'White'],
    ['Sand', 'White'],
    ['Taupe', 'White'],
    ['Anthracite', 'Blue'],
]);

test('a word that shades a name comes nearer to what is meant than the name alone', function (string $list, int $least): void {
    $with = $without = 0.0;
    $named = 0;
    foreach (publishedNames($list) as [$name, $hex]) {
        [$shade, $color] = explode(' ', $name) + [1 => ''];
        [$shaded, $plain] = [ColorNames::in($name), ColorNames::in($color)];
        if (substr_count($name, ' ') !== 1 || ! Shade::knows($shade) || count($shaded) !== 1 || count($plain) !== 1) {
            continue;
        }
        $named++;
        $meant = Lab::ofHex($hex);
        $with += Lab::ofHex($shaded[0])->difference($meant);
        $without += Lab::ofHex($plain[0])->difference($meant);
    }
    expect($named)->toBeGreaterThan($least)->and($with / $without)->toBeLessThan(0.75);
})->with([['xkcd', 150], ['nbsIscc', 40]]);

test('a color goes to Lab and back unchanged', function (): void {
    foreach (publishedNames('xkcd') as [, $hex]) {
        expect(Lab::ofHex($hex)->hex())->toBe(strtolower($hex));
    }
});
