<?php

declare(strict_types=1);

/*
 * Names of artists' colors and of everyday shades that CSS does not know: name => #rrggbb, words in lower case.
 * The names are words of the trade; the colors are our own approximations on screen, from memory, not measured.
 */
return [
    'titanium white' => '#f3f2ee', 'zinc white' => '#f5f6f4', 'lead white' => '#f1ede2', 'mixing white' => '#f6f5f0',
    'soft white' => '#f4f0e4', 'natural white' => '#f3ecdc', 'bright white' => '#fbfcfc', 'off white' => '#f2eee3',
    'cream' => '#f5ead0', 'ecru' => '#d8caa4', 'buff' => '#dcc8a0', 'parchment' => '#eadfc3', 'sand' => '#d9c39a',
    'lemon yellow' => '#f4e542', 'lemon' => '#f4e542', 'hansa yellow' => '#f5d81f', 'cadmium yellow' => '#f7c516',
    'cadmium yellow light' => '#f9d937', 'cadmium yellow deep' => '#f3a712', 'nickel yellow' => '#e6df6a',
    'naples yellow' => '#eccf8f', 'indian yellow' => '#e8a317', 'yellow ochre' => '#c9922e', 'ochre' => '#c9922e',
    'gold ochre' => '#bf842d', 'gamboge' => '#e49b0f', 'aureolin' => '#f3d64a', 'mustard' => '#c99c2b',
    'cadmium orange' => '#ed7a1c', 'vermilion' => '#e0432f', 'scarlet lake' => '#cf2f2a', 'cadmium red' => '#cf2b27',
    'cadmium red light' => '#de4430', 'cadmium red deep' => '#a41f26', 'pyrrole red' => '#d0222b', 'naphthol red' => '#c8242f',
    'alizarin crimson' => '#8a1f30', 'carmine' => '#a0182f', 'quinacridone rose' => '#c2275e', 'quinacridone magenta' => '#9c2463',
    'rose madder' => '#c63a54', 'rose' => '#d8436b', 'opera pink' => '#f03a8a', 'brick red' => '#a4442f', 'burgundy' => '#6d1a2d', 'wine' => '#6f1d33',
    'venetian red' => '#a8412e', 'indian red' => '#8d3b35', 'light red' => '#b4503a', 'terracotta' => '#bf6a48', 'rust' => '#a2522b',
    'dioxazine violet' => '#43265e', 'dioxazine purple' => '#43265e', 'ultramarine violet' => '#5a4590', 'cobalt violet' => '#8c5aa5',
    'manganese violet' => '#74467f', 'mauve' => '#9a7aa8', 'lilac' => '#bfa3cf', 'aubergine' => '#45223f',
    'ultramarine' => '#2a3a9c', 'ultramarine blue' => '#2a3a9c', 'french ultramarine' => '#27318a', 'cobalt blue' => '#2a57b0',
    'cerulean' => '#2a7fba', 'cerulean blue' => '#2a7fba', 'phthalo blue' => '#0f4c94', 'prussian blue' => '#14304f',
    'indanthrone blue' => '#26305e', 'manganese blue' => '#1c86b8', 'cobalt teal' => '#1fa39a', 'cobalt turquoise' => '#1b8d99',
    'phthalo turquoise' => '#0d5d6b', 'payne s grey' => '#3c4650', 'paynes grey' => '#3c4650', 'paynes gray' => '#3c4650', 'indigo' => '#2b3659',
    'petrol' => '#1f5566', 'denim' => '#3d5a80', 'royal blue' => '#2f55c4', 'sky blue' => '#7fbbe3', 'ice blue' => '#cfe3ee',
    'viridian' => '#2a7d62', 'phthalo green' => '#0d5a43', 'emerald green' => '#1f8f5f', 'emerald' => '#1f8f5f', 'cobalt green' => '#3d8568',
    'sap green' => '#557f2c', 'hookers green' => '#35602f', 'olive green' => '#6f7430', 'permanent green' => '#2f8a3e',
    'permanent green light' => '#5bab45', 'chromium oxide green' => '#566f3d', 'oxide of chromium' => '#566f3d', 'terre verte' => '#7c8f6e',
    'green earth' => '#7c8f6e', 'green gold' => '#9a9628', 'sage' => '#9cab86', 'mint' => '#a6d6b8', 'moss' => '#6b7a3a', 'bottle green' => '#1e4a36',
    'raw sienna' => '#b5803a', 'burnt sienna' => '#8a4527', 'raw umber' => '#6c5638', 'burnt umber' => '#58392a', 'van dyke brown' => '#4a3428',
    'brown' => '#7a4b2c', 'chocolate' => '#5b3621', 'sepia' => '#5a4433', 'transparent red oxide' => '#8f4424', 'caput mortuum' => '#5b2f30', 'walnut' => '#5e4430', 'oak' => '#b58f5f',
    'beech' => '#d6b58a', 'pine' => '#dcc08c', 'chestnut' => '#7a3f27', 'coffee' => '#5b4133', 'natural' => '#d8c7a3',
    'ivory black' => '#26231f', 'lamp black' => '#1e1f21', 'mars black' => '#201d1c', 'bone black' => '#2a2623', 'neutral tint' => '#44434b',
    'davys grey' => '#767a6e', 'charcoal' => '#3d3d3f', 'graphite' => '#55575b', 'warm grey' => '#98908a', 'cool grey' => '#8b929a', 'grey' => '#808080',
    'sanguine' => '#a14a32', 'bistre' => '#4c3b2b', 'gold' => '#c59b3d', 'silver' => '#b9bcc0', 'copper' => '#b0704a', 'bronze' => '#8c6c3f', 'pearl' => '#eae6df',
];
