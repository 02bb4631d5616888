<?php

declare(strict_types=1);

/*
 * Names that catalogs use for colors and finishes: name => #rrggbb, words in lower case. The hues are common practice, approximated on
 * screen from memory, not measured.
 */
return [
    'anthracite' => '#383e42', 'slate' => '#5c6670', 'stone' => '#b8b0a2', 'taupe' => '#8b7d6e', 'mocha' => '#6b4f3f',
    'espresso' => '#3b2a20', 'brass' => '#b08d3e', 'teak' => '#8a5f3a', 'camel' => '#c19a6b', 'cognac' => '#9a5a2f',
    'caramel' => '#b5763a', 'toffee' => '#8f5f3c', 'cinnamon' => '#a5603a', 'ginger' => '#b5642e', 'honey' => '#dba43a',
    'amber' => '#e09a1f', 'apricot' => '#f3b27a', 'peach' => '#f7c3a0', 'salmon' => '#f28c78', 'coral' => '#ee6a57', 'blush' => '#eab8b4',
    'nude' => '#e3c4ae', 'champagne' => '#ecdcb8', 'vanilla' => '#f3e7c5', 'oatmeal' => '#ddd0ba', 'linen' => '#ece4d4',
    'ivory' => '#f6f1df', 'eggshell' => '#f0ead8', 'bone' => '#e3dac6', 'chalk' => '#f2f1ec', 'alabaster' => '#efece3',
    'greige' => '#b9afa0', 'mushroom' => '#a89a8b', 'truffle' => '#6a574a', 'clay' => '#b5794f', 'adobe' => '#b96a4b',
    'brick' => '#a0463a', 'rust' => '#a2522b', 'paprika' => '#b23a22', 'tomato' => '#dc4a35', 'cherry' => '#a8172f',
    'raspberry' => '#b81f4f', 'cranberry' => '#8f1f3a', 'plum' => '#5f2a4f', 'fig' => '#4f3342', 'mulberry' => '#7a2f55',
    'lavender' => '#b9aad6', 'periwinkle' => '#8f9bd8', 'heather' => '#a28fa8', 'fuchsia' => '#c9287f', 'magenta' => '#c2257d',
    'cerise' => '#c92f63', 'bordeaux' => '#5f1826', 'oxblood' => '#5a1a1c', 'merlot' => '#5d1f2d', 'navy' => '#1d2b4c',
    'cobalt' => '#2a57b0', 'azure' => '#2f8fd5', 'aqua' => '#4fc3cf', 'turquoise' => '#2fb5b0', 'teal' => '#1d7a78',
    'duck egg' => '#b4d3d0', 'seafoam' => '#9fd9bf', 'jade' => '#2f9b72', 'forest' => '#25502f', 'hunter' => '#2b5438',
    'olive' => '#6b6d2c', 'khaki' => '#a39a6a', 'army' => '#545b35', 'pistachio' => '#a9c77c', 'lime' => '#9ccc33',
    'chartreuse' => '#b5d335', 'avocado' => '#6d7f3b', 'fern' => '#5c8a4b', 'pine green' => '#1f4f3c', 'gunmetal' => '#4a4f54',
    'steel' => '#7d868c', 'pewter' => '#8d8f8c', 'ash' => '#b3b1ab', 'smoke' => '#a3a5a5', 'fog' => '#cdd0cf', 'dove' => '#b9b6b1',
    'platinum' => '#dcdcd8', 'nickel' => '#a5a39b', 'chrome' => '#c4c8ca', 'titanium' => '#8a8682', 'onyx' => '#1f1e20',
    'jet' => '#191819', 'ebony' => '#2c241f', 'wenge' => '#48362c', 'mahogany' => '#6a2f24', 'cherrywood' => '#7d3d28',
    'maple' => '#d8b27f', 'ash wood' => '#d5bd97', 'birch' => '#e3cfa9', 'bamboo' => '#d3b476', 'rattan' => '#c9a56b',
    'cork' => '#b98c5f', 'hazel' => '#8b6540', 'tan' => '#c8a272', 'fawn' => '#b89a73', 'rose gold' => '#c9887a',
    'antique brass' => '#8d7440', 'antique gold' => '#b08a3e', 'copper rose' => '#b06a5a', 'mustard' => '#c99c2b', 'saffron' => '#eaa41f',
    'sunflower' => '#f3b91f', 'banana' => '#f6e27a', 'canary' => '#f7e733', 'butter' => '#f4e3a0',
];
