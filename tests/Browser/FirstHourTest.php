<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/*
 * The first hour with files of one's own, from an empty directory to a shop that is open: two suppliers of a lamp shop, one of whom
 * writes German.
 */

/** @return array{0: string, 1: string} paths of two files */
function lampFiles(): array
{
    $lamps = "sku,parent_sku,name,category,brand,price,stock,Colour,Wattage,Dimmable,Material\n";
    $leuchten = "Artikelnummer;Name;Kategorie;Marke;Preis;Bestand;Farbe;Material\n";
    $colors = ['Brass', 'Matt black', 'White', 'matte black'];
    $farben = ['Schwarz', 'Weiß', 'Messing'];
    for ($i = 1; $i <= 60; $i++) {
        $branch = ['Indoor > Table lamps', 'Indoor > Floor lamps', 'Outdoor > Wall lamps'][$i % 3];
        $lamps .= "L{$i},,Arden lamp {$i},{$branch},Arden,".(20 + $i).".50,{$i},{$colors[$i % 4]},".(5 + $i % 4 * 5).' W,'.
            ['yes', 'no'][$i % 2].','.['Metal', 'Glass', 'Linen'][$i % 3]."\n";
        $leuchten .= "N{$i};Nordlicht {$i};Indoor > Pendants;Nordlicht;".(30 + $i).",90;{$i};{$farben[$i % 3]};".
            ['Metall', 'Glas'][$i % 2]."\n";
    }
    $paths = [];
    foreach (['arden.csv' => $lamps, 'nordlicht.csv' => $leuchten] as $name => $csv) {
        $paths[] = $path = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'-'.$name;
        file_put_contents($path, $csv);
    }

    return $paths;
}

function begin(Site $site): Person
{
    $address = strstr((string) strstr($site->said(), '/begin/'), "\n", true);
    $me = new Person($site);

    return $me->open((string) $address)
        ->see('This catalog is yours to begin')
        ->type('#name', 'Ada Wick')
        ->type('#email', 'ada@lanterns.example')
        ->type('#password', 'four-words-from-nowhere');
}

test('two unknown files become a published shop with few clicks', function (): void {
    $me = begin(Site::own())->press('Begin')->see('From files to your shop')->see('Welcome, Ada Wick');
    $me->attach('#first-files', ...lampFiles())->press('Look at them')->see('2 files are here')->see('0 files read, 2 files to go');
    $me->press('Check and read')->see('comma between cells')->press('Check', '#panel')->see('Read it like this?');
    $me->press('Read 60 rows', '#panel')->see('Next: ', '#panel')->press('Next: ', '#panel');
    $me->see('semicolon between cells')->see('another name for Colour')->press('Check', '#panel')->see('Read it like this?');
    $me->press('Read 60 rows', '#panel')->see('What comes next')->press('What comes next', '#panel');
    $me->see('proposed definitions')->press('Accept all of them')->see('definitions in use');
    $me->see('Every product: Brand, Colour, Material')->press('Expect all of it')->see('Whole shop: ');
    $me->press('Compose them')->see('Composed')->press('Look at what would be published');
    $me->press('Publish', '#panel')->see('Edition 1')->open('/shop')->see('Your shop')->see('Colour');
    expect($me->clicks)->toBeLessThanOrEqual(25);
});

test('the same by keys alone', function (): void {
    $me = begin(Site::own())->keys(WebDriverKeys::ENTER)->see('From files to your shop');
    $me->attach('#first-files', ...lampFiles())->pressByKeys('Look at them')->see('2 files to go');
    foreach (['comma', 'semicolon'] as $delimiter) {
        $me->open('/')->pressByKeys('Check and read')->see("{$delimiter} between cells")->keys('s')->see('Read it like this?');
        $me->keys('s')->see('done', '#panel');
    }
    $me->pressByKeys('What comes next')->pressByKeys('Accept all of them')->see('definitions in use');
    $me->pressByKeys('Expect all of it')->see('Whole shop: ')->pressByKeys('Compose them')->see('Composed');
    $me->pressByKeys('Look at what would be published')->pressByKeys('Publish')->see('Edition 1');
    expect($me->site->command(['drift', '--json'])[0])->toBe(0);
});
