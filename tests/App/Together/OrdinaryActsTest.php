<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Editions\Served;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Lineups\ProposeFilter;
use App\Models\Definition;
use App\Publishing\CurrentDrift;
use App\Support\Refused;
use App\Vocabulary\GatherValues;
use Lokum\Lineup\ProductField;

/* Acts of an ordinary day, two in a row. */

beforeEach(function (): void {
    $this->read(
        "sku,category,price,Color,List price\nA,Lamps > Desk,8,Red,10\nB,Lamps > Desk,9,Blue,9\nC,Lamps,5,Green,\n",
        '{"columns": {"Color": {"kind": "choice"}, "List price": {"kind": "number"}}}',
    );
    $this->actingAs($this->person());
});

test('a discount is told from a list price, in every room', function (): void {
    app(EditLineup::class)->add('discount');
    $this->publish();
    foreach (['/', '/line-ups', '/line-ups?why=1', '/publishing', '/publishing/status', '/shop'] as $path) {
        $this->get($path)->assertOk();
    }
    app(CurrentDrift::class)();
    $this->get('/shop?discount=10..')->assertOk()->assertSee('1 product');
});

test('without a list price no discount is offered', function (): void {
    Definition::query()
        ->where('slug', 'list-price')
        ->update(['slug' => 'catalog-number']);
    expect(ProposeFilter::fields())->not->toContain(ProductField::Discount);
    $this->get('/line-ups')->assertDontSee('value="discount"', false);
    expect(fn () => app(EditLineup::class)->add('discount'))->toThrow(Refused::class, 'There is no list price');
});

test('a filter that is changed on one page opens on the pages below it and in both tabs', function (): void {
    app(EditLineup::class)->add('color');
    $lamps = DraftLineups::load()->tree->bySlug('lamps')?->id;
    $desk = DraftLineups::load()->tree->bySlug('desk')?->id;
    $given = DraftLineups::load()->of((string) $lamps)->filters['color']->given;
    app(ChangeFilter::class)->save('color', ['title' => 'Shade'] + $given, "below:{$lamps}", ChangeFilter::token($given));
    $this->get("/line-ups?page={$desk}")
        ->assertOk()
        ->assertSee('changed by Lamps and below');
    $this->get("/line-ups?page={$lamps}")
        ->assertOk()
        ->assertSee('changed here');
    $this->get("/line-ups?page={$lamps}&at=only")
        ->assertOk()
        ->assertSee('changed by Lamps and below');
});

test('the name of an umbrella that is there can be typed', function (): void {
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    $ids = $color->values()->orderBy('id')->pluck('id')->all();
    app(GatherValues::class)($color, 'Warm', [$ids[0]]);
    app(GatherValues::class)($color, 'Cool', [$ids[1]]);
    $this->get("/values/color?pick[]={$ids[2]}&under=Cool")
        ->assertOk()
        ->assertSee('Products under it');
    $this->post('/values/color/gather', ['pick' => [$ids[2]], 'under' => 'Cool'])->assertSessionHas('done');
});

test('a definition called like a field that every product has is another one', function (string $label, string $field): void {
    $this->read("sku,{$label}\nA,3\nB,70\n", "{\"columns\": {\"{$label}\": {\"kind\": \"number\"}}}");
    array_map(app(EditLineup::class)->add(...), [$field, "{$field}-2"]);
    $this->publish();
    expect(array_column(Served::now()->file()->filters('shop'), 'title'))->toHaveCount(2);
    $this->get("/shop?{$field}-2=50..")
        ->assertOk()
        ->assertSee('1 product');
    foreach (['/', '/line-ups', '/publishing', '/definitions'] as $path) {
        $this->get($path)->assertOk();
    }
})->with([['Added', 'added'], ['Discount', 'discount']]);

test('a filter that was dropped comes back as it was inherited, on its page and on one below', function (
    string $placement,
    string $page,
): void {
    app(EditLineup::class)->add('color');
    $given = DraftLineups::load()->of('shop')->filters['color']->given;
    app(ChangeFilter::class)->save(
        'color',
        ['title' => 'Shade', 'combine' => 'all'] + $given,
        'shop',
        ChangeFilter::token($given),
    );
    app(EditLineup::class)->drop('color', 'below:1');
    $this->get("/line-ups?page={$page}&why=1")->assertSee('Shade is dropped by');
    app(EditLineup::class)->add('color', $placement);
    $back = DraftLineups::load()->of($page)->filters['color']->given;
    expect($back['title'])->toBe('Shade')->and($back['combine'])->toBe('all');
})->with([['below:1', '1'], ['only:1', '1'], ['below:2', '2']]);
