<?php

declare(strict_types=1);

/*
 * Units: symbol => [dimension, exact factor to the base of the dimension, UCUM code, SI prefixes it takes,
 * other ways to write it, offset to the base (temperatures only)].
 *
 * Bases: mm, g, s, A, K, lm, B, °, %, piece. A dimension names the bases with their powers.
 * Factors: NIST Special Publication 811 (2008), appendix B.8; exact ones only. Volumes in US customary measure unless "uk".
 * UCUM codes: The Unified Code for Units of Measure, version 2.1. Piece-like units carry an annotation, which has no value.
 * A pound of paper depends on its sheet, so it is a mass and converts to no g/m².
 */
$volume = ['mm' => 3];
$area = ['mm' => 2];
$force = ['g' => 1, 'mm' => 1, 's' => -2];
$energy = ['g' => 1, 'mm' => 2, 's' => -2];
$power = ['g' => 1, 'mm' => 2, 's' => -3];
$pressure = ['g' => 1, 'mm' => -1, 's' => -2];
$voltage = $power + ['A' => -1];

return [
    'm' => [['mm' => 1], '1000', 'm', 'nµmcdk', ['metre', 'metres', 'meter', 'meters', 'mtr', 'mtrs']],
    'in' => [['mm' => 1], '254/10', '[in_i]', '', ['inch', 'inches', '"', '″', '”', "''", 'ins']],
    'ft' => [['mm' => 1], '3048/10', '[ft_i]', '', ['foot', 'feet', "'", '′', '’']],
    'yd' => [['mm' => 1], '9144/10', '[yd_i]', '', ['yard', 'yards', 'yds']],
    'mi' => [['mm' => 1], '1609344', '[mi_i]', '', ['mile', 'miles']],
    'mil' => [['mm' => 1], '254/10000', '[mil_i]', '', ['mils', 'thou']],
    'ha' => [$area, '10000000000', 'har', '', ['hectare', 'hectares']],
    'l' => [$volume, '1000000', 'L', 'µmcdh', ['L', 'litre', 'litres', 'liter', 'liters', 'ltr', 'ltrs']],
    'fl oz' => [$volume, '295735295625/10000000', '[foz_us]', '', ['fl. oz', 'fl.oz', 'floz', 'fluid ounce', 'fluid ounces', 'us fl oz']],
    'cup' => [$volume, '2365882365/10000', '[cup_us]', '', ['cups']],
    'tbsp' => [$volume, '1478676478125/100000000', '[tbs_us]', '', ['tablespoon', 'tablespoons']],
    'tsp' => [$volume, '492892159375/100000000', '[tsp_us]', '', ['teaspoon', 'teaspoons']],
    'pt' => [$volume, '473176473/1000', '[pt_us]', '', ['pint', 'pints', 'us pt']],
    'qt' => [$volume, '946352946/1000', '[qt_us]', '', ['quart', 'quarts']],
    'gal' => [$volume, '3785411784/1000', '[gal_us]', '', ['gallon', 'gallons', 'us gal']],
    'uk fl oz' => [$volume, '284130625/10000', '[foz_br]', '', ['imp fl oz', 'imperial fluid ounce', 'imperial fluid ounces']],
    'uk pt' => [$volume, '56826125/100', '[pt_br]', '', ['imp pt', 'imperial pint', 'imperial pints']],
    'uk gal' => [$volume, '454609000/100', '[gal_br]', '', ['imp gal', 'imperial gallon', 'imperial gallons']],
    'g' => [['g' => 1], '1', 'g', 'µmk', ['gr', 'gram', 'grams', 'gramme', 'grammes', 'gm', 'gms']],
    't' => [['g' => 1], '1000000', 't', '', ['tonne', 'tonnes', 'metric ton', 'metric tons']],
    'oz' => [['g' => 1], '28349523125/1000000000', '[oz_av]', '', ['ounce', 'ounces', 'ozs']],
    'lb' => [['g' => 1], '45359237/100000', '[lb_av]', '', ['lbs', 'pound', 'pounds']],
    'st' => [['g' => 1], '635029318/100000', '[stone_av]', '', ['stone', 'stones']],
    'ct' => [['g' => 1], '1/5', '[car_m]', '', ['carat', 'carats']],
    's' => [['s' => 1], '1', 's', 'nµm', ['sec', 'secs', 'second', 'seconds']],
    'min' => [['s' => 1], '60', 'min', '', ['mins', 'minute', 'minutes']],
    'h' => [['s' => 1], '3600', 'h', '', ['hr', 'hrs', 'hour', 'hours']],
    'd' => [['s' => 1], '86400', 'd', '', ['day', 'days']],
    'wk' => [['s' => 1], '604800', 'wk', '', ['week', 'weeks']],
    'mo' => [['s' => 1], '2629800', 'mo', '', ['month', 'months', 'mths']],
    'yr' => [['s' => 1], '31557600', 'a', '', ['year', 'years', 'yrs']],
    'A' => [['A' => 1], '1', 'A', 'µm', ['amp', 'amps', 'ampere', 'amperes']],
    'Ah' => [['A' => 1, 's' => 1], '3600', 'A.h', 'm', ['ampere hour', 'ampere hours', 'amp hours']],
    'V' => [$voltage, '1000000000', 'V', 'µmk', ['volt', 'volts']],
    'Ω' => [$power + ['A' => -2], '1000000000', 'Ohm', 'mkM', ['ohm', 'ohms']],
    'W' => [$power, '1000000000', 'W', 'mkMG', ['watt', 'watts']],
    'J' => [$energy, '1000000000', 'J', 'kM', ['joule', 'joules']],
    'Wh' => [$energy, '3600000000000', 'W.h', 'mkMG', ['watt hour', 'watt hours']],
    'cal' => [$energy, '4184000000', 'cal', 'k', ['calorie', 'calories']],
    'N' => [$force, '1000000', 'N', 'mk', ['newton', 'newtons']],
    'Pa' => [$pressure, '1', 'Pa', 'hkM', ['pascal', 'pascals']],
    'bar' => [$pressure, '100000', 'bar', 'm', ['bars']],
    'psi' => [$pressure, '8896443230521/1290320000', '[psi]', '', ['lbf/in²']],
    'Hz' => [['s' => -1], '1', 'Hz', 'kMG', ['hertz']],
    'rpm' => [['s' => -1], '1/60', '/min', '', ['r/min', 'rev/min', 'u/min', 'tr/min', 'giri/min', 'omw/min']],
    'K' => [['K' => 1], '1', 'K', '', ['kelvin', 'kelvins']],
    '°C' => [['K' => 1], '1', 'Cel', '', ['ºC', '℃', 'deg C', 'celsius', 'degrees celsius', 'degree celsius', 'degrees C'], '5463/20'],
    '°F' => [['K' => 1], '5/9', '[degF]', '', ['ºF', '℉', 'deg F', 'fahrenheit', 'degrees fahrenheit', 'degree fahrenheit', 'degrees F'], '45967/100'],
    'lm' => [['lm' => 1], '1', 'lm', '', ['lumen', 'lumens']],
    'lx' => [['lm' => 1, 'mm' => -2], '1/1000000', 'lx', '', ['lux']],
    'B' => [['B' => 1], '1', 'By', 'kMGT', ['byte', 'bytes']],
    'bit' => [['B' => 1], '1/8', 'bit', 'kMGT', ['bits']],
    'KiB' => [['B' => 1], '1024', 'KiBy', '', ['kibibyte', 'kibibytes']],
    'MiB' => [['B' => 1], '1048576', 'MiBy', '', ['mebibyte', 'mebibytes']],
    'GiB' => [['B' => 1], '1073741824', 'GiBy', '', ['gibibyte', 'gibibytes']],
    'TiB' => [['B' => 1], '1099511627776', 'TiBy', '', ['tebibyte', 'tebibytes']],
    'tex' => [['g' => 1, 'mm' => -1], '1/1000000', 'tex', 'd', []],
    'den' => [['g' => 1, 'mm' => -1], '1/9000000', '[den]', '', ['denier']],
    'dB' => [['dB' => 1], '1', 'dB', '', ['decibel', 'decibels']],
    '°' => [['°' => 1], '1', 'deg', '', ['deg', 'degree', 'degrees', 'º']],
    '%' => [['%' => 1], '1', '%', '', ['percent', 'per cent', 'pct']],
    '‰' => [['%' => 1], '1/10', '[ppth]', '', ['per mille', 'permille']],
    'pcs' => [['piece' => 1], '1', '{pcs}', '', ['pc', 'piece', 'pieces', 'sheets', 'sheet', 'pages', 'page', 'pans', 'pan', 'colors', 'colours', 'units', 'unit', 'ea', 'each', 'pack', 'count', 'dots', 'threads']],
    'dozen' => [['piece' => 1], '12', '12.{pcs}', '', ['doz', 'dozens', 'dz']],
    'dpi' => [['piece' => 1, 'mm' => -1], '10/254', '{dots}/[in_i]', '', ['ppi']],
];
