<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\History\WayBack;
use App\Models\Change;
use App\Models\Item;
use App\Models\Role;
use App\Products\DeleteForGood;
use App\Products\TakeOut;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Deleting for good: counted before, managers only, of what is out of the shop alone, and nothing brings back half of a product. */

const TEAS = "sku,parent_sku,name,Kind\nA,,Assam,black\nA-1,A,,\nA-2,A,,\nB,,Bancha,green\nC,,Ceylon,black\n";

beforeEach(function (): void {
    $this->read(TEAS, '{"columns": {"Kind": {"kind": "choice", "level": "product"}}}', feed: 'Tea');
    $this->actingAs($this->person());
});

function chosen_skus(string ...$skus): Chosen
{
    return Chosen::items(array_values(Item::query()->whereIn('sku', $skus)->pluck('id')->all()));
}

test('what is out of the shop goes with its variants, values and history; what is in it stays', function (): void {
    $both = app(ChangeCells::class)(chosen_skus('A', 'B'), CellChange::set(Acts::definition('kind'), ['white']));
    $one = app(ChangeCells::class)(chosen_skus('A'), CellChange::set(Acts::definition('kind'), ['green']));
    assert($both !== null && $one !== null);
    app(TakeOut::class)(chosen_skus('A'), true);
    $ids = Item::query()->whereIn('sku', ['A', 'C'])->pluck('id')->all();
    $query = http_build_query(['where' => ['gone:out'], 'pick' => $ids, 'delete' => 1]);
    $this->get("/products?{$query}")->assertOk()->assertSeeInOrder(['Delete for good', 'Products', '1', 'Variants', '2']);
    expect(app(DeleteForGood::class)->consequences(chosen_skus('A', 'C')))->toBe([
        'products' => 1,
        'variants' => 2,
        'cells' => 1,
        'sent' => 1,
        'entries' => 4,
        'inShop' => 1,
    ]);
    $this->post('/products/delete', ['pick' => $ids, 'going' => 2])->assertSessionHasErrors();
    expect(Item::query()->count())->toBe(5);
    $this->post('/products/delete', ['pick' => $ids, 'going' => 1])->assertSessionHasNoErrors();
    expect(Item::query()->orderBy('sku')->pluck('sku')->all())
        ->toBe(['B', 'C'])
        ->and(DB::select('PRAGMA foreign_key_check'))
        ->toBe([])
        ->and(WayBack::of($one->refresh())->isOpen())
        ->toBeFalse()
        ->and(WayBack::of($both->refresh())->isOpen())
        ->toBeTrue();
    // What is left of an act is taken back, and brings nothing of the deleted back.
    Acts::takeBack($both);
    expect(Item::query()->count())->toBe(2)->and(Narrowing::where(['kind:green'])->query()->pluck('sku')->all())->toBe(['B']);
    // What a feed still sends is new again.
    $this->read(TEAS, feed: 'Tea');
    expect(Item::query()->count())->toBe(5)->and(Item::query()->where('sku', 'A')->sole()->out_since)->toBeNull();
});

test('only managers delete for good, and only what is out', function (): void {
    expect(fn () => app(DeleteForGood::class)(chosen_skus('B'), 0))->toThrow(Refused::class, 'None of them is out');
    app(TakeOut::class)(chosen_skus('B'), true);
    $ids = Item::query()->where('sku', 'B')->pluck('id')->all();
    $this->actingAs($this->person(Role::Editor));
    $this->post('/products/delete', ['pick' => $ids, 'going' => 1])->assertForbidden();
    $this->get('/products?'.http_build_query(['where' => ['gone:out'], 'all' => 1]))->assertOk()->assertDontSee('Delete for good');
    expect(fn () => app(DeleteForGood::class)(chosen_skus('B'), 1))
        ->toThrow(Refused::class, 'Only managers')
        ->and(Change::query()->where('summary', 'like', 'Deleted%')->exists())
        ->toBeFalse();
});
