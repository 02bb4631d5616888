<?php

declare(strict_types=1);

use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Role;
use App\Products\GridTokens;
use Tests\Support\Acts;

/* The page of one product: all of its fields are saved at once, and it lies in the list that it was opened from. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,Color,Finish,Weight\nA,,Arden,Lamps,,Matt,\nA1,A,,,Red,,10\nA2,A,,,Blue,,20\n".
            "B,,Bell,Lamps,Red,Gloss,30\nC,,Cone,Cables,Green,,40\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": "product"}, '.
            '"Weight": {"kind": "number", "unit": "g", "level": "variant"}}}',
    );
    $this->actingAs($this->person());
});

/** @return array<string, array<string, mixed>> a field as the page sends it, under its name */
function fieldOf(string $sku, string $slug, string $text): array
{
    $item = Item::query()->where('sku', $sku)->with('variants')->firstOrFail();
    $now = (new GridTokens([$item]))->of($item, Acts::definition($slug));

    return [
        "{$item->id}-{$now->definition->id}" => [
            'item' => $item->id,
            'definition' => $slug,
            'was' => $now->token(),
            'now' => $now->text(),
            'text' => $text,
        ],
    ];
}

function productPage(string $sku): string
{
    return '/products/'.Item::query()->where('sku', $sku)->value('id');
}

/** @return list<string> what a product or variant holds of a definition */
function heldOn(string $sku, string $slug): array
{
    $item = Item::query()->where('sku', $sku)->with('variants')->firstOrFail();

    return array_map(
        fn ($cell): string => $cell->label ?? $cell->text,
        (new GridTokens([$item]))->of($item, Acts::definition($slug))->held,
    );
}

test('several fields of a product and its variants are one save and one step back', function (): void {
    $this->put(productPage('A'), [
        'cells' => fieldOf('A', 'finish', 'Gloss') + fieldOf('A1', 'weight', '12') + fieldOf('A2', 'color', 'Blue'),
    ])->assertSessionHasNoErrors()->assertSessionHas('done', 'Typed 2 cells of Finish, Weight');
    expect(heldOn('A', 'finish'))->toBe(['Gloss'])->and(heldOn('A1', 'weight'))->toBe(['12'])->and(heldOn('A2', 'color'))->toBe(['Blue']);
    Acts::takeBack(Change::query()->latest('id')->firstOrFail());
    expect(heldOn('A', 'finish'))->toBe(['Matt'])->and(heldOn('A1', 'weight'))->toBe(['10']);
});

test('a new value is asked for, and nothing is written before', function (): void {
    $cells = ['cells' => fieldOf('A', 'finish', 'Shiny') + fieldOf('A1', 'weight', '12')];
    $this->from(productPage('A'))->put(productPage('A'), $cells)->assertSessionHasErrors('make');
    expect(heldOn('A', 'finish'))->toBe(['Matt'])->and(heldOn('A1', 'weight'))->toBe(['10']);
    $this->get(productPage('A'))->assertSee('Save again to make it')->assertSee('value="Shiny"', false);
    $this->put(productPage('A'), $cells + ['make' => '1'])->assertSessionHasNoErrors();
    expect(heldOn('A', 'finish'))->toBe(['Shiny']);
});

test('what cannot be taken is named by its field, and keeps all from being written', function (): void {
    $this->from(productPage('A'))
        ->put(productPage('A'), ['cells' => fieldOf('A1', 'weight', 'heavy') + fieldOf('A', 'finish', 'Gloss')])
        ->assertSessionHasErrors('refused');
    expect(heldOn('A', 'finish'))->toBe(['Matt']);
    $this->get(productPage('A'))->assertSee('A1, Weight:')->assertSee('value="heavy"', false);
    $old = fieldOf('A', 'finish', 'Satin');
    $this->put(productPage('A'), ['cells' => fieldOf('A', 'finish', 'Gloss')]);
    $this->put(productPage('A'), ['cells' => $old])->assertSessionHasErrors('refused');
    expect(heldOn('A', 'finish'))->toBe(['Gloss']);
});

test('the page goes on in the list it was opened from', function (string $query, string $sku, ?string $before, ?string $after): void {
    $page = $this->get(productPage($sku).$query)->assertOk();
    foreach (['prev' => $before, 'next' => $after] as $rel => $other) {
        if ($other === null) {
            $page->assertDontSee("rel=\"{$rel}\"", false);
        } else {
            $page->assertSeeInOrder([productPage($other), "rel=\"{$rel}\""], false);
        }
    }
})->with([
    'all, by name' => ['', 'B', 'A', 'C'],
    'the first' => ['', 'A', null, 'B'],
    'the last' => ['', 'C', 'B', null],
    'backwards' => ['?sort=sku&down=1', 'B', 'C', 'A'],
    'narrowed' => ['?where[]=category:lamps', 'B', 'A', null],
    'narrowed away from it' => ['?where[]=category:cables', 'B', null, 'C'],
]);

test('what is expected or carried stands first, the rest behind', function (): void {
    $this->get(productPage('C'))->assertSeeInOrder(['What it carries and should carry', 'Color', 'Weight', '1 more definition', 'Finish']);
    Definition::query()->where('slug', 'finish')->update(['state' => 'proposed']);
    $this->get(productPage('A'))->assertSeeInOrder(['Carried, and not in use', 'Finish', 'Matt', 'Take into use']);
    $id = Definition::query()->where('slug', 'finish')->value('id');
    $accept = ['ids' => [$id], 'state' => 'accepted'];
    $this->post('/definitions/several', $accept + ['back' => productPage('A')])->assertRedirect(productPage('A'));
    $this->post('/definitions/several', $accept + ['back' => '//evil.example'])->assertRedirect('/definitions');
});

test('a viewer reads and does not type', function (): void {
    $this->actingAs($this->person(Role::Viewer));
    $this->get(productPage('A'))->assertOk()->assertSee('Matt')->assertDontSee('name="cells', false);
});
