<?php

declare(strict_types=1);

/* What single words do beside others (common practice, no source). */
return [
    /* Say what the values of an attribute are, and so nothing among them: matt paper is matt. */
    'heads' => [
        'filter', 'system', 'type', 'style', 'shape', 'fabric', 'material', 'flooring', 'paper', 'line', 'hair', 'skin', 'surface',
        'finish', 'printing', 'print', 'cartridge', 'prism', 'installation', 'mount', 'mounting', 'formula', 'class', 'size', 'scale',
        'mode', 'method', 'series', 'version', 'quality', 'grade', 'level', 'certified', 'approved', 'warranty', 'connection',
        'connector', 'plug', 'socket', 'thread', 'fitting', 'power', 'rating', 'standard', 'hold', 'motor', 'engine', 'wood', 'fiber',
        'fibre', 'yarn', 'knit', 'weave', 'pattern', 'closure', 'fastening', 'neck', 'neckline', 'collar', 'sleeve', 'fit', 'cut',
        'heel', 'toe', 'rise', 'waist', 'leg', 'length', 'weight', 'season', 'zone', 'model', 'edition', 'format', 'interface',
        'protocol', 'battery', 'taste', 'aroma', 'tone', 'roast', 'treatment', 'process', 'technique', 'technology', 'coating', 'fill',
        'filling',
    ],
    /* Make another thing of what stands before them, however often they do: oak, oak veneer. */
    'otherwise' => [
        'veneer', 'blend', 'mix', 'look', 'effect', 'imitation', 'plated', 'coated', 'laminate', 'oil', 'seed', 'seeds', 'extract',
        'powder', 'leaf', 'leaves', 'butter', 'milk', 'juice', 'water', 'cream', 'syrup', 'flour', 'paste', 'flakes', 'set', 'kit',
        'pack', 'refill', 'cover', 'case', 'holder', 'adapter', 'adaptor', 'cable', 'light', 'plus', 'pro', 'max', 'mini', 'junior',
        'premium', 'lining', 'sole', 'trim', 'edge', 'base', 'top', 'lid', 'handle', 'free', 'proof', 'resistant', 'repellent',
        'substitute', 'alternative', 'remover', 'cleaner', 'spray', 'metallic', 'melange', 'heather', 'stripe', 'striped', 'check',
        'dot', 'marl', 'mesh', 'lace', 'knit', 'denim', 'leather', 'suede', 'velvet', 'wash', 'washed',
    ],
    /* Are written as their beginning in many trades: loco, mono. */
    'clipped' => [
        'mono', 'loco', 'tab', 'cap', 'temp', 'auto', 'combo', 'deco', 'spec', 'vac', 'vit', 'lam', 'poly', 'perf', 'prog', 'alt',
        'elec', 'mech', 'hyd', 'therm', 'synth', 'acryl', 'mag', 'photo', 'stereo', 'mic', 'bio', 'conc', 'fluor', 'rect', 'cyl', 'galv',
    ],
];
