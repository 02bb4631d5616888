<?php

declare(strict_types=1);

use App\Models\Change;
use App\Models\Role;
use App\Models\Spelling;
use App\Settings\Shop;
use Lokum\Quantity\UnitTable;
use Tests\Support\Acts;

/* Units of a shop's own: numbers are read anew with them, counted before, taken back whole. */

beforeEach(function (): void {
    $this->read(
        "sku,name,Yield\nA,Oak,2 bd ft\nB,Ash,30 in³\nC,Elm,a lot\n",
        '{"columns": {"Yield": {"kind": "number", "unit": "in³", "level": "product"}}}',
    );
    $this->actingAs($this->person());
});

afterEach(fn () => UnitTable::with(''));

/** @return list<float|null> */
function yields(): array
{
    return array_values(Spelling::query()->orderBy('id')->get()->map(fn (Spelling $one): ?float => $one->number)->all());
}

test('texts are numbers once their unit is said, and none again when that is taken back', function (): void {
    expect(yields())->toBe([null, 30.0, null]);
    $units = "board foot, bd ft = 144 in³\n";
    $this->get('/definitions/units?units='.urlencode($units))
        ->assertOk()
        ->assertSeeInOrder(['Texts that can be read then', '1', 'That cannot any more', '0']);
    expect(yields())->toBe([null, 30.0, null]);
    $this->put('/definitions/units', ['units' => $units, 'version' => 0])->assertSessionHasNoErrors();
    $change = Change::query()->latest('id')->firstOrFail();
    expect(yields())
        ->toBe([288.0, 30.0, null])
        ->and($change->summary)
        ->toBe("Changed the units of one's own: 1 text can be read now")
        ->and(Shop::current()->units)
        ->toBe('board foot, bd ft = 144 in³');
    // A later delivery is read with them, too.
    $this->read("sku,name,Yield\nD,Fir,1 board foot\n");
    expect(yields())->toBe([288.0, 30.0, null, 144.0]);
    // Somebody else's older page, and lines that are none.
    $this->put('/definitions/units', ['units' => '', 'version' => 0])->assertSessionHasErrors();
    $this->put('/definitions/units', ['units' => 'kg = 3 g', 'version' => 1])->assertSessionHasErrors('units');
    $this->get('/definitions/units?units='.urlencode('kg = 3 g'))->assertOk()->assertSee('is known as');
    expect(Shop::current()->units)->toBe('board foot, bd ft = 144 in³');
});

test('taken back, the texts are as they were', function (): void {
    $this->put('/definitions/units', ['units' => 'bd ft = 144 in³', 'version' => 0])->assertSessionHasNoErrors();
    Acts::takeBack(Change::query()->latest('id')->firstOrFail());
    expect(yields())->toBe([null, 30.0, null])->and(Shop::current()->units)->toBe('');
    $this->actingAs($this->person(Role::Viewer))->put('/definitions/units', ['units' => 'x', 'version' => 0])->assertForbidden();
});
