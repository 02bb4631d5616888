<?php

declare(strict_types=1);

/*
 * English words that are spelled in two ways, the US one behind the UK one (general knowledge; no license applies to single
 * words). Endings that follow a rule are in WordForms.
 */
return [
    'colour' => 'color', 'liquorice' => 'licorice', 'flavour' => 'flavor', 'odour' => 'odor', 'vapour' => 'vapor', 'armour' => 'armor', 'harbour' => 'harbor', 'favourite' => 'favorite', 'neighbour' => 'neighbor', 'labour' => 'labor', 'honour' => 'honor',
    'fibre' => 'fiber', 'metre' => 'meter', 'litre' => 'liter', 'centre' => 'center', 'theatre' => 'theater', 'calibre' => 'caliber', 'spectre' => 'specter', 'lustre' => 'luster', 'sabre' => 'saber', 'ochre' => 'ocher', 'sombre' => 'somber',
    'grey' => 'gray', 'aluminium' => 'aluminum', 'catalogue' => 'catalog', 'dialogue' => 'dialog', 'analogue' => 'analog', 'jewellery' => 'jewelry', 'tyre' => 'tire', 'mould' => 'mold', 'moulded' => 'molded', 'plough' => 'plow', 'draught' => 'draft',
    'licence' => 'license', 'defence' => 'defense', 'offence' => 'offense', 'programme' => 'program', 'cheque' => 'check', 'kerb' => 'curb', 'pyjamas' => 'pajamas', 'sulphur' => 'sulfur', 'storey' => 'story', 'whisky' => 'whiskey', 'yoghurt' => 'yogurt',
    'fuschia' => 'fuchsia', 'moustache' => 'mustache', 'sceptical' => 'skeptical', 'artefact' => 'artifact', 'doughnut' => 'donut', 'gramme' => 'gram', 'axe' => 'ax', 'cosy' => 'cozy', 'glycerine' => 'glycerin', 'gauge' => 'gage', 'vice' => 'vise', 'woollen' => 'woolen', 'travelling' => 'traveling',
];
