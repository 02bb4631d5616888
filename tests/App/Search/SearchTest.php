<?php

declare(strict_types=1);

use App\Lineups\EditLineup;
use App\Models\Role;

/* One search over everything that has a name. */

beforeEach(function (): void {
    $this->read(
        "sku,name,category,Color\nL-1,Arden lamp,Lamps > Table,Sap green\nL-2,Bell lamp,Lamps,sap Green \nL-3,100% cone,Cables,Red\n".
        "L-4,Öllampe,Lamps,Red\n",
        '{"columns": {"Color": {"kind": "choice"}}}',
    );
    app(EditLineup::class)->add('color');
});

test('what is called so is found, with what tells it apart', function (string $text, string ...$found): void {
    $page = $this->actingAs($this->person())
        ->get('/search?q='.urlencode($text))
        ->assertOk();
    $page->assertSeeInOrder(array_values($found) ?: ['Nothing is called that'], false);
})->with([
    'a product by its name' => ['arden', 'product', 'Arden lamp', 'L-1'],
    'by its sku' => ['l-2', 'product', 'Bell lamp', 'L-2'],
    'letters beyond Z in another case' => ['öllAMPE', 'product', 'Öllampe', 'L-4'],
    'words in any order' => ['lamp bell', 'product', 'Bell lamp'],
    'a value' => ['sap', 'value', 'Sap green', 'Color'],
    'a spelling in other letters' => [' SAP  GREEN', 'value', 'Sap green'],
    'a definition, then its filter' => ['color', 'definition', 'Color', 'choice', 'filter', 'Color', 'shop'],
    'a category' => ['table', 'category', 'Lamps &gt; Table', 'its products'],
    'a room by another word for it' => ['undo', 'room', 'History'],
    'a share sign is a share sign' => ['100%', 'product', '100% cone'],
    'an underscore is none' => ['_'],
    'nothing' => ['xyzzy'],
]);

test('rooms that somebody may not enter are not offered', function (): void {
    $this->actingAs($this->person(Role::Viewer))->get('/search?q=people')->assertDontSee('accounts, access');
    $this->actingAs($this->person(Role::Manager))->get('/search?q=people')->assertSee('accounts, access');
});

test('without words it says what can be searched; a long text is cut', function (): void {
    $this->actingAs($this->person());
    $this->get('/search')->assertOk()->assertSee('Products by name or sku');
    $this->get('/search?q='.str_repeat('a+', 150).'b')->assertOk();
    $this->get('/search?q=arden', ['HX-Request' => 'true'])->assertOk()->assertDontSee('<html', false)->assertSee('Arden lamp');
});
