<?php

declare(strict_types=1);

use Lokum\Text\WordForms;

test('names that differ in letters, spaces, spelling or plural have one key', function (string $one, string $other): void {
    expect(WordForms::key($one))->toBe(WordForms::key($other));
})->with([
    ['Colour', ' color '],
    ['Colours', 'Color'],
    ['Paper weight', 'paperweight'],
    ['Fibre', 'Fibers'],
    ['Light-fastness', 'lightfastness'],
    ['Categories', 'Category'],
    ['Brushes', 'brush'],
    ['Organiser', 'Organizer'],
    ['Grey scale', 'Grayscale'],
]);

test('names that mean something else have not', function (string $one, string $other): void {
    expect(WordForms::key($one))->not->toBe(WordForms::key($other));
})->with([
    ['Color', 'Colorless'],
    ['Glass', 'Gla'],
    ['Size', 'Sizes 2'],
    ['Turquoise', 'Turquoize'],
    ['Gloss', 'Glos'],
    ['Status', 'Statu'],
]);

test('each way in which the UK and the US spell is one', function (string $uk, string $us): void {
    expect(WordForms::american($uk))->toBe(WordForms::american($us));
})->with([
    ['colouring', 'coloring'],
    ['grey', 'gray'],
    ['greyish', 'grayish'],
    ['flavoured', 'flavored'],
    ['savoury', 'savory'],
    ['favourite', 'favorite'],
    ['behavioural', 'behavioral'],
    ['neighbour', 'neighbor'],
    ['aluminium', 'aluminum'],
    ['jewelled', 'jeweled'],
    ['jewellery', 'jewelry'],
    ['harbour', 'harbor'],
    ['vapours', 'vapors'],
    ['odourless', 'odorless'],
    ['armoured', 'armored'],
    ['labourer', 'laborer'],
    ['honourable', 'honorable'],
    ['armoury', 'armory'],
    ['humouring', 'humoring'],
    ['programme', 'programme'],
    ['kilogramme', 'kilogram'],
    ['aeroplane', 'airplane'],
    ['cheque', 'check'],
    ['calliper', 'caliper'],
    ['chillies', 'chilies'],
    ['cosy', 'cozy'],
    ['ageing', 'aging'],
    ['metre', 'meter'],
    ['metres', 'meters'],
    ['sabre', 'saber'],
    ['meagre', 'meager'],
    ['ogres', 'ogers'],
    ['ochre', 'ocher'],
    ['manoeuvring', 'maneuvring'],
    ['fibreglass', 'fiberglass'],
    ['centrepiece', 'centerpiece'],
    ['litre', 'liter'],
    ['theatres', 'theaters'],
    ['organise', 'organize'],
    ['galvanised', 'galvanized'],
    ['stabiliser', 'stabilizer'],
    ['moisturising', 'moisturizing'],
    ['organisation', 'organization'],
    ['analyse', 'analyze'],
    ['catalogue', 'catalog'],
    ['catalogues', 'catalogs'],
    ['defence', 'defense'],
    ['licences', 'licenses'],
    ['practise', 'practice'],
    ['enamelled', 'enameled'],
    ['panelling', 'paneling'],
    ['traveller', 'traveler'],
    ['marvellous', 'marvelous'],
    ['worshipped', 'worshiped'],
    ['carburetted', 'carbureted'],
    ['skilful', 'skillful'],
    ['fulfilment', 'fulfillment'],
    ['distil', 'distill'],
    ['enrols', 'enrolls'],
    ['anaesthetic', 'anesthetic'],
    ['encyclopaedia', 'encyclopedia'],
    ['oestrogen', 'estrogen'],
    ['oedema', 'edema'],
]);

test('words that only look as if they were spelled in the other way stay', function (string $word): void {
    expect(WordForms::american($word))->toBe($word);
})->with([
    'hour',
    'hours',
    'four',
    'flour',
    'contours',
    'velour',
    'detour',
    'glamour',
    'precise',
    'exercise',
    'surprise',
    'turquoise',
    'tortoise',
    'paradise',
    'advised',
    'revise',
    'enterprise',
    'clockwise',
    'raised',
    'noise',
    'cruise',
    'rise',
    'wise',
    'scoured',
    'flours',
    'grease',
    'sense',
]);

test('a noun is in the singular, also where no rule says so', function (string $plural, string $singular): void {
    expect(WordForms::singular($plural))->toBe($singular);
})->with([
    ['leaves', 'leaf'],
    ['shelves', 'shelf'],
    ['knives', 'knife'],
    ['halves', 'half'],
    ['loaves', 'loaf'],
    ['scarves', 'scarf'],
    ['wolves', 'wolf'],
    ['calves', 'calf'],
    ['lives', 'life'],
    ['wives', 'wife'],
    ['thieves', 'thief'],
    ['hooves', 'hoof'],
    ['children', 'child'],
    ['feet', 'foot'],
    ['teeth', 'tooth'],
    ['geese', 'goose'],
    ['mice', 'mouse'],
    ['categories', 'category'],
    ['ties', 'tie'],
    ['boxes', 'box'],
    ['brushes', 'brush'],
    ['benches', 'bench'],
    ['glasses', 'glass'],
    ['waltzes', 'waltz'],
    ['shoes', 'shoe'],
    ['cars', 'car'],
    ['gas', 'gas'],
    ['glass', 'glass'],
    ['status', 'status'],
    ['basis', 'basis'],
    ['gorgeous', 'gorgeous'],
    ['car', 'car'],
]);

test('a name without letters or digits has no key', function (): void {
    expect([WordForms::key('–'), WordForms::key(''), WordForms::key('50 %')])->toBe(['', '', '50%']);
});
