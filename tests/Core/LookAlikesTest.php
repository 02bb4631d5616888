<?php

declare(strict_types=1);

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;

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

/**
 * @param  list<list<string>>  $groups
 * @return list<string>
 */
function pairsOf(array $groups): array
{
    $pairs = [];
    foreach ($groups as $members) {
        sort($members);
        foreach ($members as $i => $one) {
            foreach (array_slice($members, $i + 1) as $other) {
                $pairs[] = "{$one} ~ {$other}";
            }
        }
    }

    return $pairs;
}

/**
 * A labelled set: a line for each thing, its values with their products parted by ~; below, the pairs that are never to be joined.
 *
 * @return array{values: list<array{0: string, 1: int}>, groups: list<list<string>>, apart: list<list<string>>}
 */
function labelled(string $file): array
{
    $set = ['values' => [], 'groups' => [], 'apart' => []];
    foreach (array_filter(explode("\n", (string) file_get_contents($file))) as $line) {
        if (str_starts_with($line, '# ')) {
            $set['apart'][] = explode(' | ', substr($line, 2));

            continue;
        }
        preg_match_all('/(?:^| ~ )(.*?):(\d+)(?= ~ |$)/', $line, $members, PREG_SET_ORDER);
        $set['groups'][] = array_column($members, 1);
        array_push($set['values'], ...array_map(fn (array $member): array => [$member[1], (int) $member[2]], $members));
    }
    mt_srand(11);
    shuffle($set['values']);

    return $set;
}

test('labelled sets of many trades are found, nothing else is joined, and what is to be kept apart never is', function (
    string $file,
): void {
    $set = labelled($file);
    $found = pairsOf(alike($set['values']));
    $wanted = pairsOf($set['groups']);
    $right = count(array_intersect($found, $wanted));
    expect(count($set['values']))
        ->toBeGreaterThan(70)
        ->and(count($set['apart']))
        ->toBeGreaterThan(8)
        ->and(array_values(array_intersect($found, pairsOf($set['apart']))))
        ->toBe([]);
    expect($right / count($found))
        ->toBeGreaterThanOrEqual(0.97, implode(', ', array_diff($found, $wanted)))
        ->and($right / count($wanted))
        ->toBeGreaterThanOrEqual(0.9, implode(', ', array_diff($wanted, $found)));
})->with(
    array_combine(
        array_map(fn (string $file): string => basename($file, '.txt'), $files = glob(__DIR__.'/LookAlike/*.txt') ?: []),
        $files,
    ),
);

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
]);

test('what is the same is found however it is written', function (string $one, string $other): void {
    expect(alike([$one, $other]))->toHaveCount(1);
})->with([
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
]);

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
    ['Matte', 'MATTE ', 'same letters'],
    ['Cobalt blue', 'Blue, cobalt', 'same words in another order or form'],
    ['300 gsm', '300 g/m2', '300 gsm = 300 g/m2'],
    ['Light gray', 'Lt grey', 'known spelling or abbreviation'],
    ['Turquoise', 'Turqoise', 'nearly the same letters: Turquoise, Turqoise'],
]);

test('what a word with a point is short for is read from the list itself, where it is one word', function (): void {
    expect(alike([['Cadmium red', 9], ['Cad. Red', 2], ['Cadmium yellow', 8], ['cad yellow', 1]]))
        ->toBe([['Cadmium red', 'Cad. Red'], ['Cadmium yellow', 'cad yellow']])
        ->and(alike([['Permanent green', 9], ['Persian green', 9], ['Per. green', 1]]))
        ->toBe([]);
});

test('what grows word by word, and what is one endless word, takes time in proportion to its length', function (): void {
    $seconds = function (int $lines): float {
        $texts = array_map(
            fn (int $i): string => implode(' ', array_map(fn (int $j): string => "word{$j}", range(1, $i))),
            range(1, $lines),
        );
        $runs = [];
        // The quickest of several: whatever else the machine does is left out.
        while (count($runs) < 4 && array_sum($runs) < 0.5) {
            $start = hrtime(true);
            alike([...$texts, str_repeat('qx7', 100 * $lines), 'Red', 'red']);
            $runs[] = (hrtime(true) - $start) / 1e9;
        }

        return min($runs);
    };
    $seconds(100);
    // Twice the lines are four times the words.
    expect($seconds(400) / $seconds(200))->toBeLessThan(12.0);
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
