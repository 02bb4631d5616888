<?php

declare(strict_types=1);

/* What a unit measures: by one unit of its kind the words that trades have for it, each with the one that says the same (common practice). */
return [
    'mm' => [
        'length' => 'length', 'long' => 'length', 'width' => 'width', 'wide' => 'width', 'height' => 'height', 'high' => 'height',
        'depth' => 'depth', 'deep' => 'depth', 'thickness' => 'thickness', 'thick' => 'thickness', 'diameter' => 'diameter',
        'dia' => 'diameter', 'diam' => 'diameter', 'range' => 'range', 'distance' => 'distance', 'reach' => 'reach', 'span' => 'span',
    ],
    '°C' => ['temperature' => 'temperature', 'temp' => 'temperature', 'temperatures' => 'temperature'],
    'bar' => ['pressure' => 'pressure', 'press' => 'pressure'],
    'W' => ['power' => 'power', 'wattage' => 'power', 'output' => 'output', 'consumption' => 'consumption'],
    'V' => ['voltage' => 'voltage', 'supply' => 'supply'],
    'A' => ['current' => 'current', 'amperage' => 'current'],
    'g' => ['weight' => 'weight', 'mass' => 'weight', 'capacity' => 'capacity', 'load' => 'load'],
    'l' => ['capacity' => 'capacity', 'volume' => 'volume', 'content' => 'content', 'contents' => 'content'],
    's' => ['time' => 'time', 'duration' => 'duration', 'life' => 'life', 'period' => 'period'],
    'Hz' => ['frequency' => 'frequency', 'speed' => 'speed'],
    '°' => ['angle' => 'angle'],
    'lm' => ['flux' => 'flux', 'brightness' => 'brightness', 'output' => 'output'],
    'B' => ['capacity' => 'capacity', 'memory' => 'memory', 'storage' => 'storage'],
    'm²' => ['area' => 'area', 'coverage' => 'coverage'],
];
