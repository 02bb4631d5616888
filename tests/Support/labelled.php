<?php

declare(strict_types=1);

/*
 * How well look-alikes are found in the labelled sets: precision, recall, pairs joined that are to be kept apart; then the certain ones.
 */

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Evidence;
use Lokum\LookAlike\Group;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Tests\Support\LabelledSet;

require __DIR__.'/../../vendor/autoload.php';

printf("%-28s %7s %9s %7s %6s %8s %7s\n", 'set', 'values', 'precision', 'recall', 'apart', 'certain', 'wrong');
foreach (LabelledSet::all() as $set) {
    $candidates = array_map(fn (array $value): Candidate => new Candidate(...$value), $set->values);
    $groups = (new LookAlikes(Lexicon::shipped()))->among($candidates);
    $pairs = fn (array $some): array => LabelledSet::pairs(
        array_values(array_map(
            fn (Group $group): array => array_map(fn (int $i): string => $candidates[$i]->text, $group->members),
            $some,
        )),
    );
    $certain = $pairs(array_filter(
        $groups,
        fn (Group $group): bool => array_filter($group->kinds, fn (Evidence $kind): bool => ! $kind->isCertain()) === [],
    ));
    $found = $pairs($groups);
    $wanted = LabelledSet::pairs($set->groups);
    $right = count(array_intersect($found, $wanted));
    printf(
        "%-28s %7d %9.3f %7.3f %6d %8d %7d\n",
        $set->name,
        count($set->values),
        $found === [] ? 1 : $right / count($found),
        $right / max(1, count($wanted)),
        count(array_intersect($found, LabelledSet::pairs($set->apart))),
        count($certain),
        count(array_diff($certain, $wanted)),
    );
}
