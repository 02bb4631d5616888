<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\History\Ledger;
use App\History\Remembered;
use App\Models\Item;
use App\Models\Room;
use App\Publishing\PriceRow;
use App\Publishing\SayPrices;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

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
    expect($remembered->known('x'))->toBeNull()->and($remembered->of('x', $work))->toBe(2);
    DB::transaction(fn () => expect($remembered->of('x', $work))->toBe(3));
    expect($remembered->of('x', $work))->toBe(2);
});

test('in a large catalog nobody waits for figures that may be a little old', function (): void {
    $remembered = app(Remembered::class);
    DB::table('items')->insert(['id' => 30000, 'sku' => 'Z']);
    $lately = fn (int $now): int => $remembered->lately('x', fn (): int => $remembered->ofData('x', fn (): int => $now));
    expect($lately(1))->toBe(1);
    app(Ledger::class)->note(Room::Products, 'Something');
    expect($lately(2))
        ->toBe(1)
        ->and($remembered->ofData('x', fn (): int => 3))
        ->toBe(3)
        ->and($lately(4))
        ->toBe(3);
});

test('what is about some definitions is kept while others are touched', function (): void {
    $this->read("sku,name,category,price,stock,Color,Finish\nA,One,Paint,4,2,Red,Matte\nB,Two,Paint,5,0,Blue,Gloss\n");
    $remembered = app(Remembered::class);
    [$color, $finish] = array_map(Acts::definition(...), ['color', 'finish']);
    $asked = [];
    $each = function (array $ids) use (&$asked): array {
        $asked[] = $ids;

        return array_fill_keys($ids, count($asked));
    };
    $kept = fn (): array => [
        $remembered->about([$color->id], 'color', fn (): string => uniqid()),
        $remembered->about([$finish->id], 'finish', fn (): string => uniqid()),
        $remembered->about([$finish->id, 'stock'], 'finish in stock', fn (): string => uniqid()),
    ];
    [$first] = [$kept(), $remembered->ofEach('both', [$color->id, $finish->id], $each)];
    app(ChangeCells::class)(
        Chosen::items([Item::query()->where('sku', 'A')->sole()->id]),
        CellChange::set($color, ['Sepia'], CellMode::Set),
    );
    $second = $kept();
    expect($second[0])
        ->not->toBe($first[0])
        ->and(array_slice($second, 1))
        ->toBe(array_slice($first, 1))
        ->and($remembered->ofEach('both', [$color->id, $finish->id], $each))
        ->toEqual([$color->id => 2, $finish->id => 1])
        ->and($asked)
        ->toBe([[$color->id, $finish->id], [$color->id]]);
    app(SayPrices::class)('A shop', [PriceRow::from(['sku' => 'A', 'stock' => 0])]);
    $third = $kept();
    expect(array_slice($third, 0, 2))
        ->toBe(array_slice($second, 0, 2))
        ->and($third[2])
        ->not->toBe($second[2]);
    $this->read("sku,name,category,price,stock,Color,Finish\nC,Three,Paint,4,2,Red,Matte\n");
    expect(array_intersect($kept(), $third))->toBe([]);
});

test('after many small changes History is looked through for a few states only', function (): void {
    $this->read("sku,name,category,Color,Finish\nA,One,Paint,Red,Matte\nB,Two,Paint,Blue,Gloss\n");
    [$color, $finish] = array_map(Acts::definition(...), ['color', 'finish']);
    $item = Chosen::items([Item::query()->where('sku', 'A')->sole()->id]);
    for ($i = 0; $i < 8; $i++) {
        app()->forgetScopedInstances();
        app(Remembered::class)->about([$finish->id], "thing {$i}", fn (): int => $i);
        app(ChangeCells::class)($item, CellChange::set($color, ["Red {$i}"], CellMode::Set));
    }
    $all = fn (): array => array_map(
        fn (int $i): int => app(Remembered::class)->about([$finish->id], "thing {$i}", fn (): int => -1),
        range(0, 7),
    );
    $looks = function () use ($all): int {
        app()->forgetScopedInstances();
        $looks = 0;
        DB::listen(function ($query) use (&$looks): void {
            $looks += (int) (str_contains($query->sql, 'from "changes"') && str_contains($query->sql, '"room"'));
        });
        expect($all())->toBe(range(0, 7));

        return $looks;
    };
    $first = $looks();
    app(ChangeCells::class)($item, CellChange::set($color, ['Sepia'], CellMode::Set));
    expect($looks())->toBeLessThan($first);
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
