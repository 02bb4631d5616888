<?php

declare(strict_types=1);

use App\Support\Cube;
use Lokum\Color\Contrast;
use Lokum\Vocabulary\Look;
use Symfony\Component\Process\Process;

// Source: culori (npm), wcagContrast, which follows WCAG 2.2.
test('contrast is that of culori', function (): void {
    mt_srand(3);
    $pairs = [];
    for ($i = 0; $i < 200; $i++) {
        $pairs[] = [sprintf('#%06x', mt_rand(0, 0xFFFFFF)), sprintf('#%06x', mt_rand(0, 0xFFFFFF))];
    }
    $script =
        'import { wcagContrast } from "culori"; let text = ""; for await (const part of process.stdin) text += part; '.
        'console.log(JSON.stringify(JSON.parse(text).map(([a, b]) => wcagContrast(a, b))))';
    $there = json_decode(
        (new Process(['node', '--input-type=module', '-e', $script], dirname(__DIR__, 2), input: (string) json_encode($pairs)))
            ->mustRun()
            ->getOutput(),
        true,
    );
    expect($there)->toHaveCount(200);
    foreach ($pairs as $i => [$one, $other]) {
        expect(Contrast::of($one, $other))->toEqualWithDelta($there[$i], 1e-3, "{$one} {$other}");
    }
});

// Source: WCAG 2.2, contrast ratio: from 1:1 to 21:1. The grey is a well-known border case (from memory).
test('contrast has the values that everybody knows', function (string $one, string $other, float $ratio): void {
    expect(Contrast::of($one, $other))
        ->toEqualWithDelta($ratio, 0.005)
        ->and(Contrast::of($other, $one))
        ->toBe(Contrast::of($one, $other));
})->with([['#000000', '#ffffff', 21.0], ['#a8325a', '#a8325a', 1.0], ['#767676', '#ffffff', 4.54], ['#777777', '#ffffff', 4.48]]);

// WCAG 2.2, success criteria 1.4.3 and 1.4.11, over the tokens themselves.
test('text and edges of both color schemes can be seen', function (): void {
    preg_match_all(
        '/--([a-z-]+): (#[0-9a-f]{6});/',
        (string) file_get_contents(dirname(__DIR__, 2).'/resources/css/tokens.css'),
        $found,
        PREG_SET_ORDER,
    );
    $schemes = [[], []];
    foreach ($found as [, $name, $color]) {
        $schemes[isset($schemes[0][$name]) ? 1 : 0][$name] = $color;
    }
    foreach ([$schemes[0], $schemes[1] + $schemes[0]] as $scheme) {
        foreach (['ink', 'soft', 'rose', 'brick', 'pistachio-ink', 'saffron-ink'] as $text) {
            foreach (['paper', 'raised'] as $ground) {
                expect(Contrast::of($scheme[$text], $scheme[$ground]))->toBeGreaterThanOrEqual(4.5, "{$text} on {$ground}");
            }
        }
        expect(Contrast::of($scheme['on-rose'], $scheme['rose']))->toBeGreaterThanOrEqual(4.5);
    }
});

test('a cube that the page would swallow has an edge', function (): void {
    $edge = fn (string ...$colors): string => preg_match(
        '/stroke-opacity="([.\d]+)"\/><\/svg>$/',
        Cube::picture('x', new Look(array_values($colors))),
        $found,
    ) === 1
        ? $found[1]
        : '';
    expect($edge('#ffffff'))
        ->toBe('.6')
        ->and($edge('#1e1820'))
        ->toBe('.6')
        ->and($edge('#a8325a'))
        ->toBe('.25')
        ->and($edge('#a8325a', '#fffdf9'))
        ->toBe('.6');
});
