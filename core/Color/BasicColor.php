<?php

declare(strict_types=1);

namespace Lokum\Color;

/**
 * The basic color that people would call a color by: the eleven terms of Berlin and Kay (1969). Each has several typical
 * colors (chosen by eye, no source); the nearest one by CIEDE2000 gives the name.
 */
final class BasicColor
{
    private const TYPICAL = [
        'Black' => ['#000000', '#1c1b1f', '#26221f'],
        'White' => ['#ffffff', '#fbf8f0', '#f4f1e8', '#eef0f2'],
        'Gray' => ['#808080', '#a9a9a9', '#5b5e63', '#c4c6c9', '#3f4348', '#8a8d8f', '#70707e', '#d8dcd6'],
        'Red' => ['#e02020', '#b01c1c', '#8c1d2c', '#d2302a', '#c8102e', '#7a1f2b'],
        'Orange' => ['#ff8c00', '#e8701a', '#f5a13c', '#d9601a'],
        'Yellow' => ['#ffe11a', '#f2c81e', '#f7e98a', '#e0b420', '#fff37a', '#f5dc9a', '#c8922a', '#e3a820', '#d8b04a'],
        'Green' => [
            '#228b22',
            '#6aa84f',
            '#0b6b3a',
            '#9cab86',
            '#5c6b2f',
            '#8db600',
            '#40826d',
            '#2e8b57',
            '#b5d3a0',
            '#6b7d3a',
            '#00a878',
        ],
        'Blue' => [
            '#1f4fd0',
            '#2a52be',
            '#87b5e5',
            '#0f3a6b',
            '#4682b4',
            '#00a0d2',
            '#1b1f6b',
            '#5b8bd0',
            '#30a8b8',
            '#0e4b5a',
            '#cfe6f7',
            '#d0f4fc',
            '#2016e0',
        ],
        'Purple' => ['#7b2d9b', '#5b2a86', '#9966cc', '#6a2c70', '#b19cd9', '#4b2560', '#8b5fbf', '#d8c8ee', '#bf77f6'],
        'Pink' => ['#ff9ec4', '#f4a6b8', '#e75480', '#ff69b4', '#d6337c', '#f7c6d0', '#c73a75', '#ffd1df', '#e8b8c0'],
        'Brown' => [
            '#8b4513',
            '#5c3a1e',
            '#a0662f',
            '#6f4e37',
            '#3f2a1a',
            '#b08040',
            '#7b3f20',
            '#9c5a30',
            '#c19a6b',
            '#d2b48c',
            '#41200c',
            '#e6d8b8',
        ],
    ];

    /** @param  string  $hex  #rrggbb */
    public static function of(string $hex): string
    {
        /** @var array<string, list<Lab>>|null $typical */
        static $typical = null;
        $typical ??= array_map(fn (array $colors): array => array_map(Lab::ofHex(...), $colors), self::TYPICAL);
        $color = Lab::ofHex($hex);
        $best = ['', INF];
        foreach ($typical as $name => $colors) {
            foreach ($colors as $one) {
                $difference = $color->difference($one);
                $best = $difference < $best[1] ? [$name, $difference] : $best;
            }
        }

        return $best[0];
    }
}
