<?php

declare(strict_types=1);

/*
 * Names of composed units in the trade, and codes of UN/ECE Recommendation 20 (from memory, the common ones):
 * as written => what it says. Codes are matched in capitals only.
 */
return [
    'gsm' => 'g/m²', 'g/sqm' => 'g/m²', 'g/qm' => 'g/m²', 'gr/m2' => 'g/m²', 'gr/m²' => 'g/m²', 'g/sq m' => 'g/m²',
    'grams per square metre' => 'g/m²', 'grams per square meter' => 'g/m²',
    'cc' => 'cm³', 'ccm' => 'cm³', 'cbm' => 'm³', 'cu in' => 'in³', 'cu ft' => 'ft³',
    'sqm' => 'm²', 'qm' => 'm²', 'sq m' => 'm²', 'sq cm' => 'cm²', 'sqft' => 'ft²', 'sq ft' => 'ft²', 'sq in' => 'in²',
    'kgs' => 'kg', 'mgs' => 'mg', 'grs' => 'g', 'mcg' => 'µg', 'mls' => 'ml', 'lts' => 'l', 'mms' => 'mm', 'cms' => 'cm', 'mts' => 'm', 'gals' => 'gal', 'gpm' => 'gal/min', 'lpm' => 'l/min', 'lph' => 'l/h',
    'mph' => 'mi/h', 'kph' => 'km/h', 'kmh' => 'km/h', 'lbf/in²' => 'psi',

    'MMT' => 'mm', 'CMT' => 'cm', 'DMT' => 'dm', 'MTR' => 'm', 'KMT' => 'km', 'INH' => 'in', 'FOT' => 'ft', 'YRD' => 'yd', 'SMI' => 'mi',
    'MMK' => 'mm²', 'CMK' => 'cm²', 'MTK' => 'm²', 'INK' => 'in²', 'FTK' => 'ft²', 'HAR' => 'ha',
    'CMQ' => 'cm³', 'DMQ' => 'dm³', 'MTQ' => 'm³', 'MLT' => 'ml', 'CLT' => 'cl', 'DLT' => 'dl', 'LTR' => 'l', 'HLT' => 'hl',
    'OZA' => 'fl oz', 'OZI' => 'uk fl oz', 'GLL' => 'gal', 'GLI' => 'uk gal', 'PTL' => 'pt', 'PTI' => 'uk pt', 'QTL' => 'qt',
    'MGM' => 'mg', 'GRM' => 'g', 'KGM' => 'kg', 'TNE' => 't', 'ONZ' => 'oz', 'LBR' => 'lb', 'GM' => 'g/m²',
    'SEC' => 's', 'MIN' => 'min', 'HUR' => 'h', 'DAY' => 'd', 'WEE' => 'wk', 'MON' => 'mo', 'ANN' => 'yr',
    'AMP' => 'A', 'AMH' => 'Ah', 'VLT' => 'V', 'WTT' => 'W', 'KWT' => 'kW', 'WHR' => 'Wh', 'KWH' => 'kWh', 'JOU' => 'J', 'KJO' => 'kJ',
    'NEW' => 'N', 'PAL' => 'Pa', 'BAR' => 'bar', 'HTZ' => 'Hz', 'KHZ' => 'kHz', 'MHZ' => 'MHz', 'RPM' => 'rpm',
    'CEL' => '°C', 'FAH' => '°F', 'KEL' => 'K', 'LUM' => 'lm', 'LUX' => 'lx', 'DD' => '°', 'P1' => '%', 'C62' => 'pcs', 'H87' => 'pcs', 'DZN' => 'dozen',
];
