<?php

declare(strict_types=1);

use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Tests\Support\FoundPairs;
use Tests\Support\LabelledSet;

/* Values of many trades, labelled before any rule was written for them: what is found, what is not, and that nothing else is joined. */

test('in labelled sets is found what was found before, nothing else is joined, and what is to be kept apart never is', function (
    LabelledSet $set,
    float $precision,
    float $recall,
): void {
    $found = FoundPairs::in($set, new LookAlikes(Lexicon::shipped()));
    expect($found->apart())
        ->toBe([])
        ->and($found->certainButWrong())
        ->toBe([])
        ->and($found->precision())
        ->toBeGreaterThanOrEqual($precision, implode(', ', $found->wrong))
        ->and($found->recall())
        ->toBeGreaterThanOrEqual($recall, implode(', ', $found->missed));
    expect($found->line())->toBe(
        FoundPairs::kept()[$set->name] ?? null,
        'Look at what is found now and was not, or the other way; then keep it: php tests/Support/labelled.php --keep',
    );
})->with(function (): array {
    $sets = [];
    // Of the unseen about 50 in 100 were found before any rule was written for them; the latest, with a translation and an odd way of
    // writing in nearly every group, came after those: 15 in 100 at the very beginning, 37 before their rules.
    $folders = [
        '' => [0.97, 0.9],
        '/harder' => [1.0, 0.8],
        '/unseen' => [1.0, 0.6],
        '/latest' => [1.0, 0.5],
    ];
    foreach ($folders as $folder => $least) {
        foreach (LabelledSet::all($folder) as $name => $set) {
            $sets["{$folder} {$name}"] = [$set, ...$least];
        }
    }

    return $sets;
});

test('the first sets are as large as lists of a shop, with enough that is to be kept apart', function (): void {
    foreach (LabelledSet::all('') as $set) {
        expect(count($set->values))->toBeGreaterThan(70, $set->name)->and(count($set->apart))->toBeGreaterThan(8, $set->name);
    }
});
