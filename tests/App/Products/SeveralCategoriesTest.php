<?php

declare(strict_types=1);

use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Draft\DraftLineups;
use App\Draft\DraftPages;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Change;
use App\Models\Item;
use App\Models\Role;
use App\Products\PutInCategory;
use App\Publishing\CurrentDrift;
use App\Support\Refused;
use Tests\Support\Acts;
use Tests\Support\CatalogTestCase;

/* Products that stand in several categories: once on every page that lists them, from a feed or by hand, and taken back whole. */

const GOODS = "sku,name,category,price,Color\nA,Lamp,Light > Desk | Gifts,10,Red\nB,Torch,Light > Hand,20,Blue\n".
    "C,Candle,Light > Desk|Light > Hand,5,Red\nD,Card,Gifts,2,Green\n";

beforeEach(function (): void {
    $this->read(GOODS, '{"columns": {"Color": {"kind": "choice", "level": "product"}}}');
    $this->actingAs($this->person());
    app(EditLineup::class)->several(['color', 'category', 'price']);
});

/** @return list<string> skus on a category's page of the desk */
function found_in(string $slug): array
{
    return array_values(Narrowing::where(["category:{$slug}"])->query()->orderBy('sku')->pluck('sku')->all());
}

/** @return list<string> */
function listed(CatalogTestCase $test, string $address): array
{
    preg_match_all('#href="/shop/p/([A-Z])#', (string) $test->get($address)->assertOk()->getContent(), $found);
    $skus = array_values(array_unique($found[1]));
    sort($skus);

    return $skus;
}

test('each page lists a product once, however many ways lead to it', function (): void {
    expect(found_in('light'))->toBe(['A', 'B', 'C'])
        ->and(found_in('gifts'))->toBe(['A', 'D'])
        ->and(found_in('hand'))->toBe(['B', 'C'])
        ->and(found_in('desk'))->toBe(['A', 'C']);
    $this->publish();
    expect(listed($this, '/shop/c/light'))->toBe(['A', 'B', 'C'])
        ->and(listed($this, '/shop/c/gifts'))->toBe(['A', 'D'])
        ->and(listed($this, '/shop/c/hand'))->toBe(['B', 'C'])
        ->and(listed($this, '/shop'))->toBe(['A', 'B', 'C', 'D'])
        ->and(listed($this, '/shop/c/gifts?color=red'))->toBe(['A']);
    $this->get('/shop/c/light')->assertSee('3 products');
    // On the work's side the same: the terms of Gifts, and the ways on below Light.
    $page = (string) Category::query()->where('slug', 'gifts')->sole()->id;
    $this->get("/line-ups?page={$page}")->assertOk()->assertSee('2 products')->assertSee('Red');
    $this->get('/shop/c/light')->assertSeeInOrder(['Desk', '2', 'Hand', '2']);
    expect(app(CurrentDrift::class)()->differences())->toBe(0);
});

test('a page that lists its own products only has those that are put into it, and none from below', function (): void {
    Category::query()->where('slug', 'light')->update(['own_only' => true]);
    $card = Chosen::items([Item::query()->where('sku', 'D')->sole()->id]);
    app(PutInCategory::class)($card, Category::query()->where('slug', 'light')->sole(), true);
    $this->publish();
    expect(listed($this, '/shop/c/light'))->toBe(['D'])->and(listed($this, '/shop/c/gifts'))->toBe(['A', 'D']);
});

test('what a feed says follows its cells, what is said by hand stays, and both are taken back exactly', function (): void {
    $before = Item::query()->orderBy('id')->get(['also_in', 'also_by_hand'])->toArray();
    $id = Item::query()->where('sku', 'B')->sole()->id;
    $this->post('/products/category', ['pick' => [$id], 'category' => 'gifts', 'in' => 'in'])->assertSessionHasNoErrors();
    $byHand = Change::query()->latest('id')->firstOrFail();
    expect(found_in('gifts'))->toBe(['A', 'B', 'D']);
    $this->get("/products/{$id}")->assertOk()->assertSee('also in Gifts');
    $this->read(str_replace(['Light > Desk | Gifts', 'Light > Hand,20'], ['Light > Desk', 'Light > Hand | Light > Desk,20'], GOODS));
    $reading = Change::query()->latest('id')->firstOrFail();
    expect(found_in('gifts'))->toBe(['B', 'D'])->and(found_in('desk'))->toBe(['A', 'C']);
    Acts::takeBack($reading);
    expect(found_in('gifts'))->toBe(['A', 'B', 'D']);
    Acts::takeBack($byHand);
    expect(Item::query()->orderBy('id')->get(['also_in', 'also_by_hand'])->toArray())->toBe($before);
    expect(fn () => app(PutInCategory::class)(Chosen::items([$id]), Category::query()->where('slug', 'hand')->sole(), true))
        ->toThrow(Refused::class, 'already');
    $this->post('/products/category', ['pick' => [$id], 'category' => 'none'])->assertSessionHasErrors('category');
    $this->actingAs($this->person(Role::Viewer))->post('/products/category', ['pick' => [$id], 'category' => 'gifts'])->assertForbidden();
});

test('a second column of categories says the same as a second path in the cell', function (): void {
    $this->read(
        "sku,name,category,More\nE,Bulb,Light,Gifts\nF,Wick,,Gifts\nG,Jar,Gifts,Gifts\n",
        '{"columns": {"More": "category"}}',
        feed: 'Two',
    );
    expect(found_in('gifts'))->toBe(['A', 'D', 'E', 'F', 'G'])
        ->and(Item::query()->where('sku', 'G')->sole()->getAttribute('also_in'))->toBeNull()
        ->and(Item::query()->where('sku', 'F')->sole()->category?->slug)->toBe('gifts');
    expect(app(DraftPages::class)->all())->toHaveKey(DraftLineups::load()->tree->bySlug('gifts')->id ?? -1);
});

test('a row whose other cells change does not change because of how its categories are written', function (): void {
    $rows = "sku,name,category,price\nX,Cable,Light | A/V > \"\"HDMI\"\" & Ton's | Gifts,1\n";
    $rows = str_replace(['Light | A/V', "Ton's | Gifts,1"], ['"Light | A/V', "Ton's | Gifts\",1"], $rows);
    $this->read($rows, feed: 'Cables');
    $check = $this->read(str_replace(',price', ',price,Note', str_replace(',1', ',1,', $rows)), feed: 'Cables', check: true);
    expect($check->products)->toMatchArray(['changed' => 0, 'added' => 0])
        ->and(found_in('gifts'))
        ->toContain('X');
});
