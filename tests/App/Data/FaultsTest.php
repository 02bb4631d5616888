<?php

declare(strict_types=1);

use Tests\Support\Faults;

/* A small part of the campaign of tests/Faults: acts that are killed, a disk that is full, files that are damaged. */

test('an act that is killed leaves the catalog as it was, or done', function (string $act, int $seed): void {
    expect(Faults::here()->kill($act, $seed))->toBe([]);
})->with(fn (): array => array_merge(...array_map(fn (string $act): array => [[$act, 1], [$act, 2]], Faults::acts())));

test('on a full disk an act says so, changes nothing, and the shop is served', function (string $act, int $seed): void {
    $complaints = Faults::here()->fill($act, $seed);
    if ($complaints === null) {
        $this->markTestSkipped('This machine makes no file systems for tests.');
    }
    expect($complaints)->toBe([]);
})->with([['reading', 1], ['merge', 2], ['publication', 3], ['rules', 4]]);

test('with a file that is damaged what is asked is answered or refused in one sentence', function (int $seed): void {
    expect(Faults::here()->damage($seed))->toBe([]);
})->with(range(1, 6));
