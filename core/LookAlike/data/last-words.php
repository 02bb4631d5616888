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
        'filling',
    ],
    /* Are written as their beginning in many trades: loco, mono. */
    'clipped' => [
        'mono', 'loco', 'tab', 'cap', 'temp', 'auto', 'combo', 'deco', 'spec', 'vac', 'vit', 'lam', 'poly', 'perf', 'prog', 'alt',
        'elec', 'mech', 'hyd', 'therm', 'synth', 'acryl', 'mag', 'photo', 'stereo', 'mic', 'bio', 'conc', 'fluor', 'rect', 'cyl', 'galv',
    ],
];
