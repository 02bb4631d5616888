<?php

declare(strict_types=1);

use App\History\Ledger;
use App\History\Remembered;
use App\Models\Room;
use Illuminate\Support\Facades\DB;

/* What is worked out once for each state of the catalog. */

test('it is worked out anew after a change, and not inside one', function (): void {
    $remembered = app(Remembered::class);
    $times = 0;
    $work = function () use (&$times): int {
        return ++$times;
    };
    expect($remembered->known('x'))
        ->toBeNull()
        ->and([$remembered->of('x', $work), $remembered->of('x', $work), $remembered->known('x')])
        ->toBe([1, 1, 1]);
    app(Ledger::class)->note(Room::Products, 'Something');
    expect($remembered->known('x'))->toBeNull()->and($remembered->lately('x', $work))->toBe(2);
    DB::transaction(fn () => expect($remembered->of('x', $work))->toBe(3));
    expect($remembered->of('x', $work))->toBe(2);
});

test('in a large catalog nobody waits for figures that may be a little old', function (): void {
    $remembered = app(Remembered::class);
    DB::table('items')->insert(['id' => 30000, 'sku' => 'Z']);
    expect($remembered->lately('x', fn (): int => 1))->toBe(1);
    app(Ledger::class)->note(Room::Products, 'Something');
    expect($remembered->lately('x', fn (): int => 2))
        ->toBe(1)
        ->and($remembered->of('x', fn (): int => 3))
        ->toBe(3)
        ->and($remembered->lately('x', fn (): int => 4))
        ->toBe(3);
});

test(
    'a transaction has the right to write from its beginning, so that one that reads first is not turned away later',
    function (): void {
        $other = new PDO(
            'sqlite:'.$this->data().'/catalog.sqlite',
            options: [PDO::ATTR_TIMEOUT => 0, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        DB::beginTransaction();
        DB::table('lineups')->count();
        expect(fn () => $other->exec('UPDATE lineups SET placement = placement'))->toThrow(PDOException::class, 'locked');
        DB::table('lineups')->update(['version' => 2]);
        DB::commit();
        expect($other->exec('UPDATE lineups SET placement = placement'))->toBe(1);
    },
);

test('what was worked out while somebody changed the catalog is not taken for the state after that', function (): void {
    $remembered = app(Remembered::class);
    $slowly = function (): string {
        app(Ledger::class)->note(Room::Products, 'Meanwhile');

        return 'as it was';
    };
    expect($remembered->of('x', $slowly))
        ->toBe('as it was')
        ->and($remembered->known('x'))
        ->toBeNull()
        ->and($remembered->of('x', fn (): string => 'as it is'))
        ->toBe('as it is')
        ->and($remembered->ofData('y', $slowly))
        ->toBe('as it was')
        ->and($remembered->ofData('y', fn (): string => 'as it is'))
        ->toBe('as it is');
});
