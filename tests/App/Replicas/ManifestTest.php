<?php

declare(strict_types=1);

use App\Editions\Served;
use App\Models\Edition;
use App\Models\Setting;
use App\Models\Token;
use App\Replicas\Manifest;
use App\Replicas\Moment;
use App\Support\Refused;

/* What a replica is told, and what shoppers carry from one to another. */

beforeEach(function (): void {
    $this->read("sku,category,price,Color\nA,Paint,4,Red\n");
    $this->publish();
});

test('a list comes back as it was written, and is another whenever anything in it is', function (): void {
    $manifest = fn (): Manifest => Manifest::of(Served::now());
    $first = $manifest();
    $read = Manifest::read((array) json_decode((string) json_encode($first->toArray()), true));
    expect($read->toArray())->toEqual($first->toArray())->and([$read->tag(), $manifest()->tag()])->toBe([$first->tag(), $first->tag()]);
    $tags = [$first->tag()];
    foreach (
        [
            fn () => Token::issue('A shop'),
            fn () => Setting::query()->firstOrNew()->fill(['said' => ['name' => 'Another']])->save(),
            fn () => file_put_contents("{$this->data()}/pictures/".str_repeat('a', 32).'.webp', 'x'),
            fn () => $this->publish(),
        ] as $act
    ) {
        $act();
        app()->forgetInstance(\App\Support\LookedUp::class);
        $tags[] = $manifest()->tag();
    }
    expect(array_unique($tags))->toHaveCount(5);
});

test('it tells nobody who gets reports, and no token itself', function (): void {
    Setting::query()->firstOrNew()->fill(['said' => ['name' => 'Ours', 'reports_to' => 'boss@shop.example', 'loss' => 5]])->save();
    $token = Token::issue('A shop');
    $said = (string) json_encode(Manifest::of(Served::now())->toArray());
    expect($said)->toContain('Ours')->not->toContain('boss@')->not->toContain($token)->toContain(hash('sha256', $token));
});

test('what is no list, or names a file outside, is refused', function (array $other): void {
    $list = Manifest::of(Served::now())->toArray();
    expect(fn () => Manifest::read(array_replace_recursive($list, $other)))->toThrow(Refused::class);
})->with([
    'another format' => [['format' => 2]],
    'a path' => [['edition' => ['file' => '../../app.key']]],
    'a file of another kind' => [['edition' => ['file' => 'edition-20261127-101010-0123abcd.sqlite.live']]],
]);

test('of two editions the one that was served later is newer, whatever its number; nobody else makes a seal', function (): void {
    $at = fn (string $time, int $id): Moment => Moment::ofRow(['id' => $id, 'created_at' => $time]);
    expect($at('2026-11-27 10:00:00', 7)->isBefore($at('2026-11-27 10:00:01', 3)))
        ->toBeTrue()
        ->and($at('2026-11-27 10:00:00', 7)->isBefore($at('2026-11-27 10:00:00', 8)))
        ->toBeTrue()
        ->and($at('2026-11-27 10:00:00', 7)->isBefore($at('2026-11-27 10:00:00', 7)))
        ->toBeFalse();
    $kept = Moment::of(Edition::query()->sole())->sealed('a seal');
    expect(Moment::unsealed($kept, 'a seal'))->toEqual(Moment::of(Edition::query()->sole()));
    foreach ([[$kept, 'another'], [$kept, ''], ["1{$kept}", 'a seal'], ['', 'a seal'], ["{$kept}\n", 'a seal']] as [$said, $seal]) {
        expect(Moment::unsealed($said, $seal))->toBeNull();
    }
});
