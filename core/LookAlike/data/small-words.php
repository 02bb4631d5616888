<?php

declare(strict_types=1);

/*
 * Words that tie others together, in English, by language; "" for those that names in English go without (common practice, no source).
 */
return [
    'de' => [
        'mit' => 'with', 'ohne' => 'without', 'fur' => 'for', 'fuer' => 'for', 'und' => 'and', 'oder' => 'or', 'bis' => 'up to', 'ab' => 'from', 'aus' => '',
        'von' => '', 'vom' => '', 'im' => '', 'der' => '', 'die' => '', 'das' => '', 'den' => '', 'dem' => '', 'nicht' => 'not', 'zum' => 'for',
        'zur' => 'for', 'zu' => '', 'bei' => '', 'unter' => 'under', 'uber' => 'over', 'gegen' => 'against',
    ],
    'fr' => [
        'avec' => 'with', 'sans' => 'without', 'pour' => 'for', 'et' => 'and', 'ou' => 'or', 'de' => '', 'd' => '', 'du' => '', 'des' => '',
        'en' => '', 'a' => '', 'au' => '', 'aux' => '', 'la' => '', 'le' => '', 'les' => '', 'l' => '', 'non' => 'not', 'sur' => 'on', 'contre' => 'against',
    ],
    'es' => [
        'con' => 'with', 'sin' => 'without', 'para' => 'for', 'y' => 'and', 'o' => 'or', 'de' => '', 'del' => '', 'en' => '', 'el' => '',
        'la' => '', 'los' => '', 'las' => '', 'a' => '', 'hasta' => 'up to', 'desde' => 'from', 'contra' => 'against',
    ],
    'it' => [
        'con' => 'with', 'senza' => 'without', 'per' => 'for', 'e' => 'and', 'ed' => 'and', 'o' => 'or', 'di' => '', 'd' => '', 'da' => '',
        'del' => '', 'della' => '', 'dei' => '', 'in' => '', 'a' => '', 'al' => '', 'alla' => '', 'il' => '', 'lo' => '', 'la' => '', 'i' => '',
        'le' => '', 'gli' => '', 'l' => '', 'non' => 'not', 'fino' => 'up to', 'contro' => 'against',
    ],
    'nl' => [
        'met' => 'with', 'zonder' => 'without', 'voor' => 'for', 'en' => 'and', 'of' => 'or', 'van' => '', 'de' => '', 'het' => '', 'een' => '',
        'uit' => '', 'niet' => 'not', 'tot' => 'up to', 'vanaf' => 'from', 'onder' => 'under', 'tegen' => 'against', 'op' => '',
    ],
];
