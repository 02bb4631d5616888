<?php

declare(strict_types=1);

use Lokum\LookAlike\AttributeNames;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lessons;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\LookAlike\Names;
use Tests\Support\LabelledSet;

/**
 * @param  list<string|array{0: string, 1: int}>  $values
 * @param  list<array{0: string, 1: string}>  $apart
 * @return list<list<string>> members of each group, the one that stays first
 */
function alike(array $values, array $apart = []): array
{
    $candidates = array_map(
        fn (string|array $value): Candidate => is_array($value) ? new Candidate(...$value) : new Candidate($value),
        $values,
    );

    return array_map(
        fn (Group $group): array => array_map(fn (int $i): string => $candidates[$i]->text, $group->members),
        (new LookAlikes(Lexicon::shipped()))->among($candidates, $apart),
    );
}

test('what is close in letters, numbers or words only is not joined', function (string $one, string $other): void {
    expect(alike([[$one, 2], [$other, 1]]))->toBe([]);
})->with(fn (): array => LabelledSet::never());

test('what the others of the list say of a value holds there and not alone', function (string $list, string ...$pairs): void {
    $values = array_map(fn (string $text): array => [$text, 1], explode(', ', $list));
    expect(LabelledSet::pairs(alike($values)))->toEqualCanonicalizing(array_values($pairs));
})->with([
    'what is made of a noun' => ['Insulated, with insulation, Lined', 'Insulated ~ with insulation'],
    'what has a thing, with its last letter twice' => ['Zipped, with zip, Plain', 'Zipped ~ with zip'],
    'umlauts written out' => ['Müsli, muesli', 'Müsli ~ muesli'],
    'what is in a thing is none' => ['In wall, Wall, In ceiling, Ceiling'],
    'one kind of current' => ['230 V, 230 V AC, 24 V, 24 V DC', '230 V ~ 230 V AC', '24 V ~ 24 V DC'],
    'two kinds of current' => ['24 V, 24 V AC, 24 V DC'],
    'a set where nothing else holds as many' => [
        'Set of 4, 4 pieces, Pack of 6, Set of 6, 6 pieces',
        '4 pieces ~ Set of 4',
        '6 pieces ~ Pack of 6',
    ],
    'a first word that is many' => ['sports horse, sport horse', 'sport horse ~ sports horse'],
    'a label before others, not what makes another thing' => ['Heel high, high, Beer glass, glass', 'Heel high ~ high'],
    'a label where nothing else is called so' => ['Hook size 6, 6, Hook size 8', '6 ~ Hook size 6'],
    'no label where two are' => ['Width 6 mm, 6 mm, Height 6 mm'],
    'a label of a code' => ['HEPA H13, H13, HEPA', 'H13 ~ HEPA H13'],
    'a last word that says what all values are' => ['Matt paper, Matt, Gloss paper, Gloss', 'Matt ~ Matt paper', 'Gloss ~ Gloss paper'],
    'not one that makes another thing' => ['Cobalt blue hue, Cobalt blue, Vermilion hue, Vermilion, Oak veneer, Oak'],
    'thousands' => ['12.000 BTU, 12000 BTU', '12.000 BTU ~ 12000 BTU'],
    'no thousands beside the small number' => ['12.000 BTU, 12000 BTU, 12 BTU'],
    'first letters of one value' => ['OTC, Over the counter', 'OTC ~ Over the counter'],
    'first letters of two' => ['BN, Brushed nickel, Bright nickel, Black nut'],
    'a number and a letter' => ['2P, 2-person', '2-person ~ 2P'],
    'sizes without their unit' => ['20x25x1, 20 x 25 x 1 in', '20 x 25 x 1 in ~ 20x25x1'],
    'sizes in two units' => ['20x25x1, 20 x 25 x 1 in, 20 x 25 x 1 cm'],
    'another form of the verb' => ['Saddle stitched, Saddle stitching', 'Saddle stitched ~ Saddle stitching'],
    'a word that is written as its beginning' => ['Steam loco, Steam locomotive', 'Steam loco ~ Steam locomotive'],
    'a last word that several go with and without' => [
        'Presta, Presta nozzle, Dunlop, Dunlop nozzle',
        'Presta ~ Presta nozzle',
        'Dunlop ~ Dunlop nozzle',
    ],
    'not one that is a value itself, or that makes another thing of both' => [
        'Oak, Oak tint, Pine, Pine tint, Tint, Ash, Ash veneer, Elm, Elm veneer',
    ],
    'a short name that the list explains' => [
        'Tubeless ready, TLR, Tubeless ready (TLR)',
        'TLR ~ Tubeless ready',
        'TLR ~ Tubeless ready (TLR)',
        'Tubeless ready ~ Tubeless ready (TLR)',
    ],
    'no short name that it explains twice' => ['Holder, Holder (AB), Holder (CD), AB, CD'],
    'a measure that it explains' => ['220 g (7.8 oz), 7.8 oz', '220 g (7.8 oz) ~ 7.8 oz'],
    'the one unit of all numbers' => ['50, 50 mm, 60 mm, 80 mm', '50 ~ 50 mm'],
    'no unit where there are two' => ['50, 50 mm, 60 mm, 80 cm'],
    'the unit of numbers from which on' => ['3+, from 3 years, 5+ years', '3+ ~ from 3 years'],
    'months by their letter, beside a range of them' => ['0-6 m, 0-6 months, 6 m', '0-6 m ~ 0-6 months'],
    'what has something, or not, in one word' => [
        'With salt, Salted, Without facing, Unfaced, Non-scented, Unscented',
        'Salted ~ With salt',
        'Unfaced ~ Without facing',
        'Non-scented ~ Unscented',
    ],
    'what has something, by its name' => ['With lid, Lid, With grip, Grip', 'Lid ~ With lid', 'Grip ~ With grip'],
    'what it is for, by its name' => [
        'For kitchens, Kitchen, For bathrooms, Bathroom',
        'For kitchens ~ Kitchen',
        'Bathroom ~ For bathrooms',
    ],
    'a participle beside other words' => ['Dark roasted, Dark roast, Salted, Salt', 'Dark roast ~ Dark roasted'],
    'a measure with its unit behind a hyphen' => ['2-year warranty, 24 months warranty', '2-year warranty ~ 24 months warranty'],
    'not where one has' => ['With sugar, Sugar, Salt'],
    'a weight rounded in pounds' => ['5 kg, 11 lb, 10 kg, 22 lbs', '11 lb ~ 5 kg', '10 kg ~ 22 lbs'],
    'a volume rounded in ounces' => ['100 ml, 3.4 fl oz, 250 ml', '100 ml ~ 3.4 fl oz'],
    'no weight that could be two, or is too far off' => ['5 kg, 11 lb, 5.01 kg, 1 kg, 2 lb, 450 g, 1 lb'],
    'no length' => ['8 mm, 5/16 in, 25 mm, 1 in'],
    'what is for a thing that has no name' => ['For smartwatch, für Smartwatch, voor smartwatch', 'For smartwatch ~ für Smartwatch',
        'For smartwatch ~ voor smartwatch', 'für Smartwatch ~ voor smartwatch'],
    'what is of fur' => ['Fur collar, For collar'],
    'what is included, in other languages' => [
        'With lid, inkl. Deckel, couvercle inclus, zonder deksel',
        'With lid ~ inkl. Deckel',
        'With lid ~ couvercle inclus',
        'couvercle inclus ~ inkl. Deckel',
    ],
    'from one month to another, in other languages' => [
        'April to June, April bis Juni, avril à juin, April to July',
        'April bis Juni ~ April to June',
        'April to June ~ avril à juin',
        'April bis Juni ~ avril à juin',
    ],
    'turns, in French' => ['1200 rpm, 1 200 tr/min', '1 200 tr/min ~ 1200 rpm'],
    'how much it enlarges' => ['5x magnification, 5-fach Vergrößerung, 10x magnification', '5-fach Vergrößerung ~ 5x magnification'],
    'a class of protection by its name' => ['IP44, Schutzart IP44, IP65', 'IP44 ~ Schutzart IP44'],
    'what is for the wall' => ['Wall mirror, espejo de pared, Table mirror', 'Wall mirror ~ espejo de pared'],
    'a German word of an English one and a known one' => ['Golf umbrella, Golfschirm, Garden umbrella', 'Golf umbrella ~ Golfschirm'],
    'how thick it is' => ['6 mm thick, 6 mm dick, 8 mm dick', '6 mm dick ~ 6 mm thick'],
    'hours behind their number' => ['Battery life 30 h, 30 hours battery life', '30 hours battery life ~ Battery life 30 h'],
    'a German word of two' => [
        'Summer tire, Sommerreifen, Lid of steel, Stahldeckel',
        'Sommerreifen ~ Summer tire',
        'Lid of steel ~ Stahldeckel',
    ],
    'a German word of three, one of them as several' => [
        'Lid of stainless steel pot, Edelstahltopfdeckel, Paper plate, Papptellern',
        'Edelstahltopfdeckel ~ Lid of stainless steel pot',
        'Paper plate ~ Papptellern',
    ],
    'a foreign name in another form' => [
        'Candle, Kerzen, bougies, Light bulb, bombillas, Lamps, Lampade',
        'Candle ~ Kerzen',
        'Candle ~ bougies',
        'Kerzen ~ bougies',
        'Light bulb ~ bombillas',
        'Lampade ~ Lamps',
    ],
    'no English word in a form that is foreign elsewhere' => ['Planes, Tarpaulin, Taschenlampe'],
    'words that tie others together' => [
        'Wooden handle, manche en bois, With lid, avec couvercle, mit Deckel',
        'Wooden handle ~ manche en bois',
        'With lid ~ avec couvercle',
        'With lid ~ mit Deckel',
        'avec couvercle ~ mit Deckel',
    ],
    'the meaning of a foreign name that stands in the list' => ['Pasta, Nudeln, Rice', 'Nudeln ~ Pasta'],
    'an English word is a foreign name where the list speaks that language' => [
        'Bread, Pan, Sugar, azúcar',
        'Bread ~ Pan',
        'Sugar ~ azúcar',
    ],
    'and is not where it speaks another' => ['Bread, Pan, Sugar, Zucker', 'Sugar ~ Zucker'],
    'the usual one where both do' => ['Noodles, Pasta, Nudeln', 'Noodles ~ Nudeln'],
    'what a unit measures, where it is one thing' => [
        'IR range 30 m, 30 m IR, IR up to 30 m, IR range 50 m, 50 m IR',
        '30 m IR ~ IR range 30 m',
        '30 m IR ~ IR up to 30 m',
        'IR range 30 m ~ IR up to 30 m',
        '50 m IR ~ IR range 50 m',
    ],
    'and is not where the list says two' => ['Shelf width 30 cm, Shelf depth 30 cm, Shelf 30 cm'],
    'a code with what it is for in front' => [
        'IP67, weatherproof (IP67), IP66, Signal red, RAL 3001, Plug (EU), Plug (UK)',
        'IP67 ~ weatherproof (IP67)',
        'RAL 3001 ~ Signal red',
    ],
    'a word with a point, where one begins so' => [
        'Transparent, transp., Adjustable, Adjacent, adj., Vegetarian, veg.',
        'Transparent ~ transp.',
        'Vegetarian ~ veg.',
    ],
    'first letters with the small words, and of what came' => [
        'Glow in the dark, GITD, Carbon fiber, CF, Acier galvanisé, AG',
        'GITD ~ Glow in the dark',
        'CF ~ Carbon fiber',
    ],
    'what makes another thing of a code is no unit of it' => ['H.265, H.265 plus, H265+', 'H.265 plus ~ H265+'],
    'a word that names nothing beside one that does' => [
        'Dome, Dome camera, Bullet, Bullet camera, Bullet type',
        'Dome ~ Dome camera',
        'Bullet ~ Bullet camera',
        'Bullet ~ Bullet type',
        'Bullet camera ~ Bullet type',
    ],
    'first letters of a name with and without what all values are' => [
        'SN, Satin nickel, satin nickel finish',
        'SN ~ Satin nickel',
        'SN ~ satin nickel finish',
        'Satin nickel ~ satin nickel finish',
    ],
    'a class with its standard' => [
        'S3, EN ISO 20345 S3, S1P, EN ISO 20345 S1P',
        'EN ISO 20345 S3 ~ S3',
        'EN ISO 20345 S1P ~ S1P',
    ],
    'a measure that several values say in two units' => [
        '50 ml, 1.7 fl. oz (50 ml), 50 mL / 1.7 oz, 100 ml',
        '1.7 fl. oz (50 ml) ~ 50 mL / 1.7 oz',
        '1.7 fl. oz (50 ml) ~ 50 ml',
        '50 mL / 1.7 oz ~ 50 ml',
    ],
    'what a box holds' => ['Box of 100, 100 pcs, Box of 200, 200 pcs', '100 pcs ~ Box of 100', '200 pcs ~ Box of 200'],
    'and not beside a pack' => ['Box of 100, Pack of 100'],
    'what has more than one word' => ['With trickle vent, Trickle vent', 'Trickle vent ~ With trickle vent'],
    'and not what has one' => ['With salt, Salt'],
    'at which temperature' => [
        'Serve at 8-10 °C, serving temperature 8–10 °C, 8-10 °C',
        '8-10 °C ~ Serve at 8-10 °C',
        '8-10 °C ~ serving temperature 8–10 °C',
        'Serve at 8-10 °C ~ serving temperature 8–10 °C',
    ],
    'names that lead to others' => [
        'Rucksack, Backpack, Settee, Sofa, Couch',
        'Backpack ~ Rucksack',
        'Settee ~ Sofa',
        'Couch ~ Settee',
        'Couch ~ Sofa',
    ],
    'a name in the other spelling, or as several' => [
        'Fibre optics, Fiber optics, Sun creams, Sunscreen',
        'Fiber optics ~ Fibre optics',
        'Sun creams ~ Sunscreen',
    ],
    'what several go with and without before them' => [
        'Energy class A, A, Energy class B, B',
        'A ~ Energy class A',
        'B ~ Energy class B',
    ],
    'not what makes another thing of each' => ['Lemon basil, Basil, Lemon thyme, Thyme'],
    'numbers in an order' => ['First edition, 1st edition, Second edition', '1st edition ~ First edition'],
    'under and over' => ['Moisture below 20 %, < 20 % moisture, > 20 % moisture', '< 20 % moisture ~ Moisture below 20 %'],
    'a side by its name' => ['20 cm deep, depth 20 cm, 20 cm long', '20 cm deep ~ depth 20 cm'],
    'a standard of more than one body' => [
        'EN ISO 20471 class 2, EN20471 class 2, DIN EN ISO 20471 class 2, EN ISO 20471 class 3',
        'DIN EN ISO 20471 class 2 ~ EN ISO 20471 class 2',
        'DIN EN ISO 20471 class 2 ~ EN20471 class 2',
        'EN ISO 20471 class 2 ~ EN20471 class 2',
    ],
    'sides with their letters in the usual order' => ['60 x 160 cm, W60 x H160 cm, H60 x W160 cm', '60 x 160 cm ~ W60 x H160 cm'],
    'packs' => [
        'Pack of 25, 25 pcs/pack, 25 per pack',
        '25 pcs/pack ~ 25 per pack',
        '25 pcs/pack ~ Pack of 25',
        '25 per pack ~ Pack of 25',
    ],
    'two numbers that are no fraction' => ['30/30 mm, 40/40 mm, 12/24 V, 0.5 V, 12V/24V', '12/24 V ~ 12V/24V'],
    'a dictionary' => ['Ascorbic acid, Vitamin C', 'Ascorbic acid ~ Vitamin C'],
]);

test('no text ends the search, and none costs the answer for the others', function (string $text): void {
    expect(alike([$text, 'Matte', 'matte ', $text.' ']))->toHaveCount(2);
})->with([
    'an energy of 1 kWh' => ['1 kWh'],
    ['9 MW'],
    ['5 MJ'],
    ['1000 kcal'],
    'a length of many digits' => [str_repeat('9', 39).' km'],
    'more digits than are read' => [str_repeat('9', 120).' km'],
    ['0.'.str_repeat('0', 30).'1 mm'],
    ['1/3 in'],
    'a cell of 12 kB' => [str_repeat('12 ab ', 2000)],
    'a cell of digits' => [str_repeat('1', 12000)],
    ['(('],
    [') ('],
    ['80/20 ()'],
    ['-%'],
    ['+++'],
]);

test('what denies or has what all values are, in other words, is not the same', function (string $one, string $other): void {
    expect(alike([$one, $other]))->toBe([]);
})->with([
    ['Not scented', 'Not coloured'],
    ['Un-scented', 'Un-coloured'],
    ['No colour', 'No flavour'],
    ['Non-scented', 'Non-coloured'],
    ['Without colour', 'Without scent'],
    ['With colour', 'With scent'],
    ['Multi-coloured', 'Multi-flavoured'],
    ['Scented', 'Coloured'],
]);

test('a letter before a word is no side of a thing', function (string $one, string $other): void {
    expect(alike([$one, $other]))->toBe([]);
})->with([
    ['L profile', 'Length profile'],
    ['H profile', 'Height profile'],
    ['W profile', 'Width profile'],
]);

test('numbers are the same in Roman signs and as words', function (string $number, string ...$others): void {
    foreach ($others as $other) {
        expect(alike([$number, $other]))->toHaveCount(1, "{$number}, {$other}");
    }
    expect(alike(['Mark 5', "Mark {$others[0]}"]))->toBe([]);
})->with([
    ['Mark 2', 'Mark II'],
    ['Mark 3', 'Mark III'],
    ['Mark 4', 'Mark IV'],
    ['Mark 6', 'Mark VI'],
    ['Mark 7', 'Mark VII'],
    ['Mark 8', 'Mark VIII'],
    ['Mark 9', 'Mark IX'],
    ['Mark 11', 'Mark XI'],
    ['Mark 12', 'Mark XII'],
]);

test('each evidence is surer than a half, and what is certain surer than all else', function (): void {
    foreach (Evidence::cases() as $kind) {
        expect($kind->confidence())->toBeGreaterThan(0.5)->toBeLessThanOrEqual(1.0);
        foreach (Evidence::cases() as $other) {
            if ($kind->isCertain() && ! $other->isCertain()) {
                expect($kind->confidence())->toBeGreaterThan($other->confidence());
            }
        }
    }
});

test('guards forbid what is close in letters only', function (string $one, string $other): void {
    expect(alike([$one, $other]))->toBe([]);
})->with([
    ['300 gsm', '310 gsm'],
    ['AX-100', 'AX-101'],
    ['With lid', 'Without lid'],
    ['Toxic', 'Non-toxic'],
    ['Coated', 'Uncoated'],
    ['Light blue', 'Dark blue'],
    ['Red', 'Rod'],
    ['Matter', 'Master'],
    ['Small', 'Large'],
    ['XL', 'XXL'],
    ['Glass', 'Glasses'],
    ['20 x 30 cm', '30 x 20 cm'],
    ['Blue on white', 'White on blue'],
    ['80% cotton 20% linen', '20% cotton 80% linen'],
    ['Gold', 'Rose gold'],
    ['Warm grey', 'Warm greyish'],
    ['Pack of 10', 'Pack of 12'],
    ['12 V', '12 W'],
    ['Barlow', 'Marlow'],
    ['< 5', '> 5'],
    ['Under 5 kg', 'Over 5 kg'],
    ['1:2', '2:1'],
    ['2 a x 3 b', '3 a x 2 b'],
    ['M8 x 40', 'M40 x 8'],
    ['26 x 1.75', '26 x 1 3/4'],
    ['plata', 'plato'],
    ['rosa', 'Rost'],
    ['Seide', 'Seite'],
    ['Stahl', 'Strahl'],
    ['1 in', '25 mm'],
    ['1 12', '11 2'],
    ['-5 °C', '5 °C'],
    ['B-5', 'B -5'],
    ['1.5', '15'],
    ['12 V DC', '12 V AC'],
    ['1.4301', '1.4307'],
    ['60/40 cotton/polyester', '40/60 cotton/polyester'],
    ['Blue (matte)', 'Blue'],
    ['Gold colored', 'Gold plated'],
    ['With lid', 'Lid not included'],
    ['3+', '3'],
]);

test('what is the same is found however it is written', function (string $one, string $other): void {
    expect(alike([$one, $other]))->toHaveCount(1);
})->with([
    ['50 cycles per day', '50 cycles/day'],
    ['50 cycles per day', '50 cycles a day'],
    ['low sugar', 'low in sugar'],
    ['powder', 'in powder form'],
    ['pellets', 'in pellets'],
    ['EU 42', 'EUR 42'],
    ['EN 12277', 'CE EN 12277'],
    ['30 lb', '30#'],
    ['6 pieces', 'half a dozen'],
    ['10-year warranty', 'ten-year warranty'],
    ['1.4 W/m²K', 'U = 1.4 W/m²K'],
    ['mesh lined', 'mesh lining'],
    ['Größe 40', 'size 40'],
    ['30 °C wash', 'washable at 30 °C'],
    ['max. load 150 kg', 'up to 150 kg'],
    ['oval', 'oval-shaped'],
    ['14k gold nib', '14-karat gold nib'],
    ['Blue, cobalt', 'cobalt BLUE'],
    ['Off-white', 'offwhite'],
    ['Brushes', 'brush'],
    ['Lt. Grey', 'light gray'],
    ['w/o lid', 'Without lid'],
    ['300 gsm', '300 g/m²'],
    ['12"', '30.48 cm'],
    ['8 oz', '227 g'],
    ['Cotton 80%, Linen 20%', '20% linen / 80% cotton'],
    ['Extra large', 'XL'],
    ['DIN A4', 'a4'],
    ['Turqoise', 'Turquoise'],
    ['Salt & vinegar', 'salt and vinegar'],
    ['M8 x 40mm', 'M8 × 40 mm'],
    ['Polypropilene', 'Polypropylene'],
    ['Aluminium', 'aluminum'],
    ['９９ ｇ', '99 g'],
    ['🎨 red', '🎨 Red'],
    ['日本 緑', '日本緑'],
    ['#5', 'No. 5'],
    ['-5 °C', '23 °F'],
    ['12-pack', 'Pack of 12'],
    ['3 seater', '3-seater'],
    ['Two-seater', '2 seater'],
    ['Slip-on', 'slip-ons'],
    ['EU 42.5', 'EU 42 1/2'],
    ['Non-dimmable', 'not dimmable'],
    ['Long sleeve', 'long-sleeved'],
    ['60 W equivalent', '60W equivalent'],
    ['Pendant light', 'pendent light'],
    ['6 x 400 g', '6x400g'],
    ['Ø 20 cm', 'ø20cm'],
    ['Wash at 30 °C', 'wash at 30 ºC'],
    ["Lamb's wool", 'Lambswool'],
    ['95% Cotton, 5% Elastane', '5 % Elastane + 95 % Cotton'],
    ['100% Cotton', '100% Coton'],
    ['Low calorie', 'low calories'],
    ['Nubuck', 'Nubuk'],
    ['12 kg', '12 kgs'],
    ['AX-100', 'AX 100'],
    ['IP 65', 'IP65'],
    ['12VDC', '12 V DC'],
    ['E27 (ES)', 'E27'],
    ['340 g (12 oz)', '340 g'],
    ['100 ml (3.4 fl oz)', '100 ml'],
    ['A4 (210 × 297 mm)', 'A4'],
    ['LED (light-emitting diode)', 'LED'],
    ['LR6', 'AA'],
    ['PES', 'Polyester'],
    ['100% PES', '100% polyester'],
    ['PC (polycarbonate)', 'Polycarbonate'],
    ['1.4301', 'X5CrNi18-10'],
    ['65/35 polyester/cotton', '65% polyester, 35% cotton'],
    ['2X-Large', 'XXL'],
    ['Weekly', 'every 7 days'],
    ['2-year', '24 months'],
    ['Lid included', 'w/ lid'],
    ['≤ 30 cm', 'up to 30 cm'],
    ['3+ years', '3 years and up'],
    ['Ø 15 mm', '15 mm Ø'],
    ['G 1/2"', 'G½'],
    ['Edelstahl', 'acier inoxydable'],
    ['Hellblau', 'light blue'],
    ['Niederlande', 'the Netherlands'],
    ['Mai', 'May'],
    ['Colour: red', 'Red'],
    ['Toughened glass', 'tempered glass'],
    ['30 by 40 cm', '30 x 40 cm'],
    ['18 ct gold', '18K gold'],
    ['10 Gbit/s', '10 Gbps'],
    ['1 Gbit/s', '1000 Mbit/s'],
    ['HDMI 2.1', 'HDMI version 2.1'],
    ['8K@60Hz', '8K 60 Hz'],
    ['26AWG', 'AWG 26'],
    ['1000 x 1200 mm', '1000 (W) × 1200 (H) mm'],
    ['2 x AA', '2x AA batteries'],
    ['CR2032', '1 x CR2032'],
    ['600D polyester', '600 denier polyester'],
    ['Once a day', 'einmal täglich'],
    ['LR44', 'AG13'],
    ['LR20', 'D cell'],
    ['1.4462', 'X2CrNiMoN22-5-3'],
    ['EN AW-5754', 'AlMg3'],
    ['M8', 'M8 x 1.25'],
    ['UNC 1/4-20', '1/4"-20 UNC'],
    ['24 months', 'two years'],
    ['C5', 'C5 envelope'],
    ['Disc brake', 'Scheibenbremsen'],
    ['27-speed', '27 gears'],
    ['Flowers May-June', 'flowering May to June'],
    ['Height 150 cm', '1.5 m tall'],
    ['Anti-dandruff', 'against dandruff'],
    ['4-hole punched', '4-fach gelocht'],
    ['Hardy to -20 °C', 'frost hardy to -20°C'],
    ['4 x HDMI', '4 HDMI ports'],
    ['Wi-Fi 6', '802.11ax'],
    ['Wall-mountable', 'can be wall mounted'],
    ['Oil-resistant sole', 'sole resistant to oil'],
    ['3 times a day', '3 x daily'],
    ['Without bag', 'beutellos'],
    ['72 dB', '72 dB(A)'],
    ['HEPA 13', 'H13'],
    ['No smoking', 'no-smoking'],
    ['Built-in microphone', 'microphone, built in'],
    ['Tolerance ±0.02 mm', 'tolerance +/- 0,02 mm'],
    ['up to 80 degrees C', 'max. 80 °C'],
    ['-30 to 60 °C', '-30~60 °C'],
    ['-40 °C to +100 °C', '-40/+100 °C'],
    ['oil resistant', 'resistant to oil'],
    ['EN ISO 7010', 'acc. to ISO 7010'],
    ['DN 12', 'NW 12'],
    ['1/2" NPT', 'NPT 1/2'],
    ['60 Shore A', 'Shore A 60'],
    ['0.18mm thick', 'Thickness 0.18 mm'],
    ['RAL 9016', 'RAL9016 traffic white'],
    ['Ultra HD', 'UHD'],
]);

test('what the shop has said twice holds for a third', function (): void {
    $candidates = array_map(fn (string $text): Candidate => new Candidate($text, 1), ['Wide tin', 'Wide jar', 'Tall tin', 'Tall jar']);
    $engine = new LookAlikes(Lexicon::shipped());
    $groups = fn (Lessons $lessons): array => array_map(
        fn (Group $group): array => [array_map(fn (int $i): string => $candidates[$i]->text, $group->members), $group->kinds],
        $engine->among($candidates, [], $lessons),
    );
    $once = [['small tin', 'small jar']];
    $twice = [...$once, ['round tin', 'round jar']];
    expect((new Lessons([['box 10', 'box 12'], ['bag 10', 'bag 12']]))->replaced('tin 10'))->toBe('tin 10');
    expect($groups(new Lessons($once)))
        ->toBe([])
        ->and($groups(new Lessons($twice)))
        ->toBe([[['Wide tin', 'Wide jar'], [Evidence::Habit]], [['Tall tin', 'Tall jar'], [Evidence::Habit]]]);
    $parted = new Lessons([], [['black stain', 'black stein'], ['white stain', 'white stein']]);
    expect($parted->areApart('brown stain', 'brown stein'))
        ->toBeTrue()
        ->and($parted->areApart('brown stain', 'brown strain'))
        ->toBeFalse();
});

test('words of the attribute say nothing inside its values', function (): void {
    $candidates = [new Candidate('Beechwood grain', 2), new Candidate('Beechwood', 1)];
    $engine = new LookAlikes(Lexicon::shipped());
    expect($engine->among($candidates))
        ->toBe([])
        ->and($engine->among($candidates, about: 'Grain')[0]->kinds)
        ->toBe([Evidence::Filler]);
});

test('the one that stays has most products, then the best label, and a kept-apart pair is never joined again', function (): void {
    expect(alike([['MATTE ', 3], ['Matt', 9], ['matte', 3]]))
        ->toBe([['Matt', 'matte', 'MATTE ']])
        ->and(alike([['MATTE ', 3], ['Matte', 3]]))
        ->toBe([['Matte', 'MATTE ']])
        ->and(alike(['Matte', 'Matt', 'matte'], [['Matte', 'Matt']]))
        ->toBe([['Matte', 'matte']]);
});

test('nobody comes into a group by way of a third', function (): void {
    $chain = ['Turquoise', 'Turquoixe', 'Turquixe', 'Turquxe'];
    $areClose = fn (string $one, string $other): bool => alike([[$one, 2], [$other, 1]]) !== [];
    // Each is close to its neighbor, the last not to the first.
    foreach ([0, 1, 2] as $i) {
        expect($areClose($chain[$i], $chain[$i + 1]))->toBeTrue("{$chain[$i]} and {$chain[$i + 1]}");
    }
    expect($areClose($chain[0], $chain[3]))->toBeFalse();
    foreach (alike([[$chain[0], 50], [$chain[1], 30], [$chain[2], 20], [$chain[3], 10]]) as $group) {
        foreach (array_slice($group, 1) as $member) {
            expect($areClose($group[0], $member))->toBeTrue("{$group[0]} and {$member}");
        }
        expect($group)->not->toContain($chain[0], $chain[3]);
    }
});

test('every proposal says why', function (string $one, string $other, string $why): void {
    [$group] = (new LookAlikes(Lexicon::shipped()))->among([new Candidate($one, 2), new Candidate($other, 1)]);
    expect($group->evidence)
        ->toBe([$why])
        ->and($group->confidence)
        ->toBeGreaterThan(0.5);
})->with([
    ['Bed 60 °C', 'bed temperature 60 °C', 'one says in a word what its unit measures: Bed 60 °C, bed temperature 60 °C'],
    ['Matte', 'MATTE ', 'same letters'],
    ['Cobalt blue', 'Blue, cobalt', 'same words in another order or form'],
    ['300 gsm', '300 g/m2', '300 gsm = 300 g/m2'],
    ['Light gray', 'Lt grey', 'known spelling or abbreviation'],
    ['Turquoise', 'Turqoise', 'nearly the same letters: Turquoise, Turqoise'],
    ['AA', 'LR6', 'IEC 60086: LR6 is AA'],
    ['LR6', 'AA', 'IEC 60086: AA is LR6'],
    ['A4', '210 x 297 mm', 'ISO 216, ISO 269: 210 x 297 mm is A4'],
    ['210 x 297 mm', 'A4', 'ISO 216, ISO 269: A4 is 210 x 297 mm'],
    ['Black/matt', 'Matt/black', 'same words in another order or form'],
    ['2 x AA', '2x AA batteries', 'IEC 60086: 2x AA batteries is 2 x AA'],
    ['IP65', 'IP 65', 'same letters and digits, set apart differently: IP65, IP 65'],
    ['E27', 'E27 (ES)', 'one says in parentheses what it says already: E27, E27 (ES)'],
    ['Red', 'Colour: red', 'one names what all values here are: Red, Colour: red'],
    ['Brass', 'Messing', 'the same in another language: Brass, Messing'],
    ['Tempered glass', 'Toughened glass', 'words for the same thing: Tempered glass, Toughened glass'],
    ['Sugar-free', 'Without sugar', 'said in another way: Sugar-free, Without sugar'],
    ['FMC', 'Fully multi-coated', 'one is the first letters of the other, and of no other value: FMC, Fully multi-coated'],
    ['Matt', 'Matt paper', 'one names what all values here are: Matt, Matt paper'],
    ['Polyethylene', 'Polythene', 'one meaning in a dictionary (WordNet): Polyethylene, Polythene'],
    ['Black/white', 'White/black', 'the same colors in another order: Black/white, White/black'],
]);

test('what a word with a point is short for is read from the list itself, where it is one word', function (): void {
    expect(alike([['Cadmium red', 9], ['Cad. Red', 2], ['Cadmium yellow', 8], ['cad yellow', 1]]))
        ->toBe([['Cadmium red', 'Cad. Red'], ['Cadmium yellow', 'cad yellow']])
        ->and(alike([['Permanent green', 9], ['Persian green', 9], ['Per. green', 1]]))
        ->toBe([]);
});

test('what is proposed for a list does not hang on the lists before it', function (): void {
    $lists = [
        ['pressed', 'press', 'cold pressed', 'cold press', 'hot pressed'],
        ['press', 'presse', 'prest', 'coloured', 'colored', 'color'],
        ['stainles', 'stainless', 'stain', 'stained'],
    ];
    $groups = fn (array $texts): array => array_map(
        fn (Group $group): array => [$group->members, $group->evidence],
        (new LookAlikes(Lexicon::shipped()))->among(
            array_map(fn (string $text): Candidate => new Candidate($text, 1), array_values($texts)),
        ),
    );
    $alone = array_map($groups, $lists);
    $after = array_reverse(array_map($groups, array_reverse($lists)));
    expect($after)->toBe($alone)->and(array_merge(...$alone))->not->toBe([]);
});

test('the language of a name is known where it is one', function (): void {
    $names = Names::shipped();
    expect([$names->language('messing'), $names->language('rouge'), $names->language('rosa'), $names->language('brass')])
        ->toBe([null, 'fr', null, null])
        ->and([$names->language('edelstahl'), $names->language('frankreich'), $names->language('acero inoxidable')])
        ->toBe(['de', 'de', 'es']);
});

test('names of attributes are one in another language or with a unit, and not where a word more makes another', function (): void {
    $names = ['Weight', 'Gewicht (g)', 'Sheets', 'Sheet size', 'Paper weight', 'Farbe', 'Colour', 'Width in mm', 'Width (front)'];
    $groups = array_map(
        fn (array $places): array => array_map(fn (int $i): string => $names[$i], $places),
        AttributeNames::alike($names),
    );
    expect($groups)->toBe([['Weight', 'Gewicht (g)'], ['Farbe', 'Colour']]);
});
