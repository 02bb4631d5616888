<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;

/* Of a filter with thousands of terms a page holds the first; the others come when they are asked for, with scripts and without. */

beforeEach(function (): void {
    $rows = "sku,category,price,Maker\n";
    for ($i = 0; $i < 700; $i++) {
        $rows .= "S{$i},Paint,4,Maker ".($i % 350)."\n";
    }
    $this->read($rows, '{"columns": {"Maker": {"kind": "choice"}}}');
    app(EditLineup::class)->add('maker');
    $this->publish();
});

/** @return list<string> slugs of the terms that a page of the shop offers */
function offeredOn(string $page): array
{
    preg_match_all('/name="maker\[\]" value="([^"]+)"/', $page, $found);

    return $found[1];
}

test('a page holds the first terms, the picked ones and the way to all of them', function (string $control): void {
    $given = DraftLineups::load()->of('shop')->filters['maker']->given;
    app(ChangeFilter::class)->save('maker', ['control' => $control] + $given, 'shop', ChangeFilter::token($given));
    $this->publish();
    $page = (string) $this->get('/shop?maker=maker-349&sort=name')->assertOk()->getContent();
    $offered = offeredOn($page);
    expect(count($offered))
        ->toBe(101)
        ->and($offered)
        ->toContain('maker-349')
        ->and(preg_match('/<a class="small" id="whole-maker" href="([^"]+)">All\s+350<\/a>/', $page, $link))
        ->toBe(1);
    $whole = (string) $this->get(html_entity_decode($link[1] ?? ''))->assertOk()->getContent();
    expect(count(offeredOn($whole)))
        ->toBe(350)
        ->and($whole)
        ->toContain('<input type="hidden" name="whole-list" value="maker">')
        ->not->toContain('whole-maker');
})->with(['ticks', 'letters']);

test('what is looked for in the list is found behind the first terms', function (): void {
    $offered = offeredOn((string) $this->get('/shop?whole-list=maker&in-list=MAKER%2034')->assertOk()->getContent());
    expect($offered)->toBe(['maker-34', ...array_map(fn (int $i): string => "maker-34{$i}", range(0, 9))]);
});

test('what asks for the whole list is no pick, and nonsense there does nothing', function (): void {
    $this->get('/shop?whole-list=nosuch&in-list=')->assertOk()->assertSee('700 products')->assertDontSee('no filter');
    $this->get('/shop?whole-list[]=maker')->assertStatus(400);
});
