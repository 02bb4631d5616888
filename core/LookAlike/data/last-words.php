<?php

declare(strict_types=1);

/* What single words do beside others (common practice, no source). */
return [
    /* Say what the values of an attribute are, and so nothing among them: matt paper is matt. */
    'heads' => [
        'filter', 'system', 'type', 'shape', 'fabric', 'material', 'flooring', 'paper', 'line', 'hair', 'skin', 'surface',
        'finish', 'printing', 'print', 'cartridge', 'prism', 'installation', 'mount', 'mounting', 'formula', 'class', 'size', 'scale',
        'mode', 'method', 'series', 'version', 'quality', 'grade', 'level', 'certified', 'approved', 'warranty', 'connection',
        'connector', 'plug', 'socket', 'thread', 'fitting', 'power', 'rating', 'standard', 'hold', 'motor', 'engine', 'wood',
        'closure', 'fastening', 'neck', 'neckline', 'collar', 'sleeve', 'fit', 'cut',
        'heel', 'toe', 'rise', 'waist', 'leg', 'length', 'weight', 'season', 'zone', 'model', 'edition', 'format', 'interface',
        'protocol', 'battery', 'roast', 'fill',
        'filling', 'valve', 'wheel', 'side', 'gas', 'lighting', 'beer', 'cheese', 'lock', 'brake', 'rope', 'chuck', 'welding', 'process',
        'bulb', 'tire', 'tyre', 'hinge', 'spring', 'bearing', 'design', 'motif', 'theme', 'genre', 'language', 'operation', 'control',
        'technology', 'technique', 'use', 'region', 'label', 'category', 'group', 'powered', 'operated', 'driven', 'envelope', 'port', 'ports', 'input', 'inputs', 'flavor', 'flavour', 'scent', 'aroma',
    ],
    /* Of these, what says so before them as well: finish matt, heel high. Before others than numbers the rest make another thing: beer glass. */
    'naming' => [
        'system', 'type', 'shape', 'material', 'surface', 'finish', 'formula', 'class', 'size', 'scale', 'mode', 'method', 'series',
        'version', 'quality', 'grade', 'level', 'connection', 'rating', 'standard', 'closure', 'fastening', 'neck', 'neckline', 'collar',
        'sleeve', 'sleeves', 'fit', 'cut', 'heel', 'toe', 'rise', 'waist', 'length', 'weight', 'season', 'zone', 'model', 'edition',
        'format', 'interface', 'protocol', 'roast', 'filling', 'fill', 'side', 'process', 'design', 'motif', 'theme', 'genre', 'language',
        'operation', 'control', 'technology', 'technique', 'use', 'region', 'label', 'category', 'group', 'flavor', 'flavour', 'scent',
        'aroma', 'hold', 'mount', 'mounting', 'installation', 'warranty', 'fabric',
    ],
    /* Are written as their beginning in many trades: loco, mono. */
    'clipped' => [
        'mono', 'combi', 'loco', 'tab', 'cap', 'temp', 'auto', 'combo', 'deco', 'spec', 'vac', 'vit', 'lam', 'poly', 'perf', 'prog', 'alt',
        'elec', 'mech', 'hyd', 'therm', 'synth', 'acryl', 'mag', 'photo', 'stereo', 'mic', 'bio', 'conc', 'fluor', 'rect', 'cyl', 'galv',
    ],
    /* Make another thing of what stands before them, however often they do: cobalt blue hue, oak veneer, linen look. */
    'changing' => [
        'hue', 'veneer', 'look', 'effect', 'style', 'tone', 'blend', 'mix', 'mixture', 'melange', 'heather', 'laminate', 'twill', 'knit',
        'plate', 'coating', 'lining', 'imitation', 'replica', 'substitute', 'alternative', 'metallic', 'pearl', 'neon', 'pastel', 'glitter',
        'matte', 'matt', 'gloss', 'glossy', 'satin', 'light', 'dark', 'pale', 'deep', 'bright', 'clear', 'soft', 'strong', 'hard', 'mild',
        'plus', 'pro', 'max', 'mini', 'lite', 'extra', 'ultra', 'xl', 'set', 'kit', 'pair', 'refill', 'spare', 'only', 'free', 'less',
        'juice', 'oil', 'powder', 'extract', 'seed', 'seeds', 'leaf', 'leaves', 'flour', 'milk', 'butter', 'sauce', 'paste', 'water',
        'peel', 'cream', 'salt', 'sugar', 'syrup', 'vinegar', 'jam', 'nut', 'nuts', 'bean', 'beans', 'tree', 'flower', 'root', 'bark',
        'left', 'right', 'front', 'rear', 'top', 'bottom', 'inside', 'outside', 'inner', 'outer', 'upper', 'lower', 'half', 'double',
        'trim', 'edge', 'border', 'stripe', 'stripes', 'dots', 'and', 'with', 'without', 'for', 'not', 'low', 'high', 'short', 'long',
        'black', 'white', 'gray', 'grey', 'red', 'green', 'blue', 'yellow', 'orange', 'purple', 'pink', 'brown', 'gold', 'silver',
        'fleece', 'jersey', 'canvas', 'denim', 'velvet', 'muslin', 'flannel', 'poplin', 'corduroy', 'tweed', 'lace', 'mesh', 'crepe', 'voile',
        'tea', 'bread', 'cake', 'soup', 'cider', 'liqueur', 'yogurt', 'sorbet', 'candy', 'pie', 'steel', 'wood', 'glass', 'stone',
        'alloy', 'foam', 'wool', 'felt', 'chips', 'dust', 'wire', 'foil', 'film', 'gel', 'spray', 'liquid', 'cover', 'case', 'lid', 'holder',
        'adapter', 'cable', 'remover', 'cleaner', 'resistant', 'proof', 'repellent', 'safe', 'ready', 'compatible', 'like',
    ],
];
