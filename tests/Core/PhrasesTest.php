<?php

declare(strict_types=1);

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;

/* What says the same in another way, word by word of the rules that know it (common practice, from memory). */

/** @return list<Evidence> why two values are the same; none where they are not */
function whyTheSame(string $one, string $other): array
{
    $groups = (new LookAlikes(Lexicon::shipped()))->among([new Candidate($one, 2), new Candidate($other, 1)]);

    return $groups === [] ? [] : $groups[0]->kinds;
}

test('what is said in another way is found', function (string $one, string ...$others): void {
    foreach ($others as $other) {
        expect(whyTheSame($one, $other))->not->toBe([], "{$one}, {$other}");
    }
})->with([
    'a side behind a measure' => ['Length 122 cm', '122 cm long'],
    'width' => ['Width 122 cm', '122 cm wide'],
    'height' => ['Height 122 cm', '122 cm high', '122 cm tall'],
    'depth' => ['Depth 122 cm', '122 cm deep'],
    'thickness' => ['Thickness 12 mm', '12 mm thick', '12 mm dick'],
    'what it is for' => [
        'For phones',
        'For use with phones',
        'For use in phones',
        'For use on phones',
        'Compatible with phones',
        'Suitable for phones',
        'Designed for phones',
        'Made for phones',
        'Intended for phones',
        'Ideal for phones',
        'Recommended for phones',
    ],
    'what it is not for' => ['Not for chairs', 'Unsuitable for chairs', 'Not suitable for chairs'],
    'what it fits' => ['For tablet', 'Tablet compatible', 'Tablet suitable', 'Tablet-ready'],
    'what it has not' => ['Without sugar', 'Sugar-free', 'No sugar', 'Excluding sugar', 'Zero sugar', 'Sugarless', 'Sans sugar'],
    'yes and no' => ['With underfloor heating', 'Underfloor heating: yes'],
    'no' => ['Without underfloor heating', 'Underfloor heating: no'],
    'from on' => ['From 12 years', '12 years +', 'Ab 12 years', 'Starting at 12 years', 'Vanaf 12 years', 'Desde 12 years'],
    'up to' => ['Up to 30 kg', 'Bis 30 kg', 'Bis zu 30 kg', 'Hasta 30 kg', 'Fino a 30 kg', 'Tot 30 kg'],
    'a protection class' => ['IP44', 'Protection class IP44', 'Ingress protection IP44', 'Degree of protection: IP44', 'IP rating IP44'],
    'on the wall' => ['Wall lamp', 'Wall-mounted lamp', 'Wall hung lamp'],
    'so many times' => ['10 x magnification', 'Magnification x10'],
    'umlauts written out' => ['Müsli', 'Muesli'],
    'an umlaut of a large letter' => ['Öl und Essig', 'Oel und Essig'],
    'another' => ['Äpfel', 'Aepfel'],
    'and another' => ['Übertopf', 'Uebertopf'],
    'and within' => ['Bär', 'Baer'],
    'and one more' => ['Möbel', 'Moebel'],
    'two other letters in a long word' => ['Terracotta', 'Terrakotto'],
    'two letters left out of a long word' => ['Chrysanthemum', 'Crysantemum'],
    'so often a day' => ['Twice daily', 'Twice a day', '2 x a day', '2 x daily', '2 times a day'],
    'so often a week' => ['Twice weekly', 'Twice a week', '2 x a week', '2 x weekly'],
    'a label that names nothing' => ['Format A4', 'A4'],
    'irregular forms' => ['Woven label', 'Weaving label'],
    'bound' => ['Bound book', 'Binding book'],
    'wound' => ['Wound coil', 'Winding coil'],
    'ground' => ['Ground edge', 'Grinding edge'],
    'spun' => ['Spun yarn', 'Spinning yarn'],
    'ordinals' => ['1st floor', 'First floor'],
    'the second' => ['2nd floor', 'Second floor'],
    'the third' => ['3rd floor', 'Third floor'],
    'the fourth' => ['4th floor', 'Fourth floor'],
    'the fifth' => ['5th floor', 'Fifth floor'],
    'the sixth' => ['6th floor', 'Sixth floor'],
    'the seventh' => ['7th floor', 'Seventh floor'],
    'the eighth' => ['8th floor', 'Eighth floor'],
    'the ninth' => ['9th floor', 'Ninth floor'],
    'the tenth' => ['10th floor', 'Tenth floor'],
    'so many of a thing' => ['2 x CR2032', 'CR2032 x 2'],
    'three sides by their letters' => [
        '30 x 20 x 10 cm',
        'L30 x B20 x H10 cm',
        'W30 x D20 x H10 cm',
        'B30 x T20 x H10 cm',
        'B30 x H20 x T10 cm',
    ],
    'two sides' => ['30 x 20 cm', 'L30 x W20 cm', 'W30 x H20 cm', 'B30 x H20 cm', 'B30 x T20 cm', 'L30 x B20 cm', 'W30 x D20 cm'],
    'what is left out' => ['Without lid', 'Excl. lid', 'Excluding lid', 'Exkl. lid', 'Lid not included', 'w/o lid'],
    'what is in it' => ['With lid', 'Incl. lid', 'Including lid', 'Lid included', 'w/ lid'],
]);

test('what is nearly said in another way is not found', function (string $one, string $other): void {
    expect(whyTheSame($one, $other))->toBe([]);
})->with([
    'another side' => ['Width 122 cm', '122 cm high'],
    'what leans and what it is with' => ['Inclined plane', 'With ined plane'],
    'what only some have' => ['Exclusive lid', 'Without usive lid'],
    'minus' => ['Minus 5 °C', '5 °C'],
    'for and with' => ['For phones', 'With phones'],
    'not for and for' => ['Not suitable for ovens', 'Suitable for ovens'],
    'yes and no' => ['Underfloor heating: yes', 'Underfloor heating: no'],
    'from and up to' => ['From 30 kg', 'Up to 30 kg'],
    'on the wall and for it' => ['Wall lamp', 'Wall'],
    'three other letters' => ['Terracotta', 'Terrokatto'],
]);
