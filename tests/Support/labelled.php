<?php

declare(strict_types=1);

/*
 * How well look-alikes are found in the labelled sets: precision, recall, pairs joined that are to be kept apart; then the certain ones.
 * With --keep, what is found is what the tests expect from now on: the change of found.csv says what a rule has changed.
 */

use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Tests\Support\FoundPairs;
use Tests\Support\LabelledSet;

require __DIR__.'/../../vendor/autoload.php';

printf("%-28s %7s %9s %7s %6s %8s %7s\n", 'set', 'values', 'precision', 'recall', 'apart', 'certain', 'wrong');
$all = [];
foreach (LabelledSet::all() as $set) {
    $found = FoundPairs::in($set, new LookAlikes(Lexicon::shipped()));
    printf(
        "%-28s %7d %9.3f %7.3f %6d %8d %7d\n",
        $set->name,
        count($set->values),
        $found->precision(),
        $found->recall(),
        count($found->apart()),
        count($found->certain),
        count($found->certainButWrong()),
    );
    $all[] = $found;
}
if (($argv[1] ?? '') === '--keep') {
    FoundPairs::keep($all);
}
