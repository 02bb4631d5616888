<?php

declare(strict_types=1);

use Lokum\Color\BasicColor;
use Lokum\Color\Lab;
use Symfony\Component\Process\Process;

// Source: culori (npm), sRGB to Lab with D65 and CIEDE2000, over random colors.
test('Lab and differences equal those of culori', function (): void {
    mt_srand(11);
    $pairs = array_map(
        fn (): array => [sprintf('#%06x', mt_rand(0, 0xFFFFFF)), sprintf('#%06x', mt_rand(0, 0xFFFFFF))],
        range(1, 300),
    );
    $script = 'import { converter, differenceCiede2000 } from "culori"; import { readFileSync } from "node:fs"; const lab = '.
        'converter("lab65"); const diff = differenceCiede2000();
        console.log(JSON.stringify(JSON.parse(readFileSync(0, "utf8")).map(([a, b]) => { const one = lab(a); return [one.l, '.
            'one.a, one.b, diff(a, b)]; })));';
    $there = json_decode(
        (new Process(['node', '--input-type=module', '-e', $script], dirname(__DIR__, 2), input: (string) json_encode($pairs)))
            ->mustRun()
            ->getOutput(),
        true,
    );
    foreach ($pairs as $i => [$one, $other]) {
        $lab = Lab::ofHex($one);
        expect([$lab->lightness, $lab->a, $lab->b])
            ->each(fn ($part) => $part->toBeFloat())
            ->and(max(abs($lab->lightness - $there[$i][0]), abs($lab->a - $there[$i][1]), abs($lab->b - $there[$i][2])))
            ->toBeLessThan(1e-4, $one)
            ->and($lab->difference(Lab::ofHex($other)))
            ->toEqualWithDelta($there[$i][3], 1e-4, "{$one} {$other}");
    }
});

// Berlin and Kay 1969 name the eleven terms; which color bears which is common practice, no source.
test('colors are called by their basic color', function (string $hex, string $name): void {
    expect(BasicColor::of($hex))->toBe($name);
})->with([
    ['#ff0000', 'Red'],
    ['#00ff00', 'Green'],
    ['#0000ff', 'Blue'],
    ['#ffff00', 'Yellow'],
    ['#ffa500', 'Orange'],
    ['#800080', 'Purple'],
    ['#ffc0cb', 'Pink'],
    ['#8b4513', 'Brown'],
    ['#000000', 'Black'],
    ['#ffffff', 'White'],
    ['#808080', 'Gray'],
    ['#9cab86', 'Green'],
    ['#000080', 'Blue'],
    ['#800000', 'Red'],
]);
