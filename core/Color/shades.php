<?php

declare(strict_types=1);

/*
 * By word: share of the way to white, share of the lightness that is kept, share of the chroma that is kept (common practice, set by
 * eye, no source).
 */
return [
    'light' => [0.4, 1.0, 0.8],
    'lighter' => [0.4, 1.0, 0.8],
    'pale' => [0.6, 1.0, 0.5],
    'pastel' => [0.55, 1.0, 0.5],
    'baby' => [0.55, 1.0, 0.55],
    'powder' => [0.55, 1.0, 0.4],
    'icy' => [0.7, 1.0, 0.35],
    'soft' => [0.3, 1.0, 0.65],
    'dusty' => [0.15, 1.0, 0.5],
    'muted' => [0.05, 1.0, 0.5],
    'dull' => [0.0, 0.95, 0.5],
    'smoky' => [0.0, 0.85, 0.4],
    'grayish' => [0.05, 1.0, 0.35],
    'bright' => [0.1, 1.0, 1.25],
    'vivid' => [0.0, 1.0, 1.3],
    'hot' => [0.0, 1.0, 1.35],
    'electric' => [0.05, 1.0, 1.3],
    'neon' => [0.15, 1.0, 1.5],
    'fluorescent' => [0.15, 1.0, 1.5],
    'rich' => [0.0, 0.9, 1.1],
    'deep' => [0.0, 0.7, 1.0],
    'dark' => [0.0, 0.6, 0.8],
    'darker' => [0.0, 0.6, 0.8],
    'midnight' => [0.0, 0.35, 0.7],
];
