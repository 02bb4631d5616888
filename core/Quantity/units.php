<?php

declare(strict_types=1);

/*
 * Units: symbol => [dimension, exact factor to the dimension's base, other ways to write it].
 * Factors: NIST Special Publication 811 (2008), appendix B.8; exact ones only. US customary volumes.
 * gsm and lb (basis weight) stand apart: a pound of paper depends on the sheet, so it converts to nothing else.
 * "1/1" is the base of its dimension.
 */
return [
    'mm' => ['length', '1/1', ['millimetre', 'millimetres', 'millimeter', 'millimeters']],
    'cm' => ['length', '10/1', ['centimetre', 'centimetres', 'centimeter', 'centimeters']],
    'm' => ['length', '1000/1', ['metre', 'metres', 'meter', 'meters', 'mtr']],
    'in' => ['length', '254/10', ['inch', 'inches', '"', 'in.']],
    'ft' => ['length', '3048/10', ['foot', 'feet', "'"]],
    'yd' => ['length', '9144/10', ['yard', 'yards']],
    'ml' => ['volume', '1/1', ['mL', 'millilitre', 'millilitres', 'milliliter', 'milliliters']],
    'cl' => ['volume', '10/1', ['cL', 'centilitre', 'centilitres']],
    'dl' => ['volume', '100/1', ['dL', 'decilitre']],
    'l' => ['volume', '1000/1', ['L', 'litre', 'litres', 'liter', 'liters', 'ltr']],
    'fl oz' => ['volume', '295735295625/10000000000', ['fl. oz.', 'fl.oz', 'floz', 'fluid ounce', 'fluid ounces']],
    'pt' => ['volume', '473176473/1000000', ['pint', 'pints']],
    'gal' => ['volume', '3785411784/1000000', ['gallon', 'gallons']],
    'mg' => ['mass', '1/1000', ['milligram', 'milligrams']],
    'g' => ['mass', '1/1', ['gr', 'gram', 'grams', 'gramme', 'grammes']],
    'kg' => ['mass', '1000/1', ['kilo', 'kilogram', 'kilograms']],
    'oz' => ['mass', '28349523125/1000000000', ['ounce', 'ounces']],
    'lb' => ['mass', '45359237/100000', ['lbs', 'pound', 'pounds']],
    'g/m²' => ['area density', '1/1', ['g/m2', 'gsm', 'g/sqm', 'gr/m2', 'g/qm']],
    '%' => ['share', '1/1', ['percent', 'per cent', 'pct']],
    'pcs' => ['count', '1/1', ['pc', 'piece', 'pieces', 'sheets', 'sheet', 'pages', 'page', 'pans', 'colors', 'colours']],
    '°' => ['angle', '1/1', ['deg', 'degree', 'degrees']],
    '°C' => ['temperature', '1/1', ['celsius']],
    'W' => ['power', '1/1', ['watt', 'watts']],
    'lm' => ['luminous flux', '1/1', ['lumen', 'lumens']],
    'K' => ['color temperature', '1/1', ['kelvin']],
];
