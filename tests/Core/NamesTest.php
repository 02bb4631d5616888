<?php

declare(strict_types=1);

use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Names;

/* What the lists of names say holds together: two lines that lead to each other would never let their names meet. */

/** @return list<string> all names of a file, as keys */
function namesIn(string $file): array
{
    $names = [];
    foreach (file(dirname(__DIR__, 2)."/core/LookAlike/data/names/{$file}", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
        if (! str_starts_with($line, '#')) {
            array_push($names, ...array_map(fn (string $name): string => rtrim($name, '!%'), explode(' = ', $line)));
        }
    }

    return array_values(array_unique($names));
}

test('what a name is read as is read as itself', function (string $file): void {
    $settled = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Synonym->value] ?? $name;
    $names = namesIn($file);
    $moving = array_filter($names, fn (string $name): bool => $settled($settled($name)) !== $settled($name));
    expect($names)->not->toBe([])->and(array_values($moving))->toBe([]);
})->with(['words.txt', 'colors-by-number.txt']);

test('what a standard calls a thing is called nothing else by it', function (): void {
    $said = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Standard->value] ?? $name;
    $moving = array_filter(namesIn('standards.txt'), fn (string $name): bool => $said($said($name)) !== $said($name));
    expect(array_values($moving))->toBe([]);
});

test('countries, months and languages are known in five languages', function (string $english, string $names): void {
    foreach (explode(', ', $names) as $name) {
        expect(Names::shipped()->otherwise($name)[Evidence::Language->value] ?? null)->toBe($english, $name);
    }
})->with([
    ['germany', 'allemagne, alemania, germania, duitsland'],
    ['sweden', 'schweden, suede, suecia, svezia, zweden'],
    ['january', 'januar, janvier, enero, gennaio, januari'],
    ['english', 'englisch, anglais, ingles, inglese, engels'],
    ['german', 'deutsch, allemand, aleman, tedesco, duits'],
    ['french', 'franzosisch, francais, frances, francese, frans'],
    ['spanish', 'spanisch, espagnol, espanol, spagnolo, spaans'],
    ['italian', 'italienisch, italiano, italiaans'],
    ['dutch', 'niederlandisch, neerlandais, neerlandes, olandese, nederlands'],
    ['portuguese', 'portugiesisch, portugais, portugues, portoghese, portugees'],
    ['polish', 'polnisch, polonais, polaco, polacco, pools'],
    ['czech', 'tschechisch, tcheque, checo, ceco, tsjechisch'],
    ['swedish', 'schwedisch, suedois, sueco, svedese, zweeds'],
    ['danish', 'danisch, danois, danes, danese, deens'],
    ['norwegian', 'norwegisch, norvegien, noruego, norvegese, noors'],
    ['finnish', 'finnisch, finnois, fines, finlandese, fins'],
    ['hungarian', 'ungarisch, hongrois, hungaro, ungherese, hongaars'],
    ['romanian', 'rumanisch, roumain, rumano, rumeno, roemeens'],
    ['greek', 'griechisch, grec, griego, greco, grieks'],
    ['turkish', 'turkisch, turc, turco, turks'],
    ['russian', 'russisch, russe, ruso, russo'],
    ['ukrainian', 'ukrainisch, ukrainien, ucraniano, ucraino, oekraiens'],
    ['arabic', 'arabisch, arabe, arabo'],
    ['chinese', 'chinesisch, chinois, chino, cinese, chinees'],
    ['japanese', 'japanisch, japonais, japones, giapponese, japans'],
    ['korean', 'koreanisch, coreen, coreano, koreaans'],
]);

test('names that two lines lead to meet', function (string $one, string $other): void {
    $said = fn (string $name): string => Names::shipped()->otherwise($name)[Evidence::Synonym->value] ?? $name;
    expect($said($one))->toBe($said($other));
})->with([
    ['uhd', 'ultra hd'],
    ['vest', 'waistcoat'],
    ['vests', 'waistcoats'],
    ['allen key', 'hexagonal wrench'],
    ['pram', 'buggy'],
    ['hex head', 'hexagonal head'],
]);
