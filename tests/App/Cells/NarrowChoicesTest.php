<?php

declare(strict_types=1);

use App\Cells\Narrowing;
use App\Products\NarrowChoices;
use Tests\Support\Acts;

/* What a list can be narrowed by further: values with the products that are left, numbers with their range. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,Color,Weight\nA,,Arden,Lamps,,\nA1,A,,,Red,10\nA2,A,,,Blue,20\nB,,Bell,Lamps,Red,30\n".
            "C,,Cone,Cables,Green,40\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Weight": {"kind": "number", "level": "variant"}}}',
    );
    $this->actingAs($this->person());
});

/** @return array<string, int> products by value */
function choices(string $words = '', string ...$where): array
{
    return array_column(
        NarrowChoices::of(Acts::definition('color'), Narrowing::where(array_values($where)), $words)->values,
        'products',
        'label',
    );
}

test('values are counted by products, within what is left', function (): void {
    expect(choices())
        ->toBe(['Red' => 2, 'Blue' => 1, 'Green' => 1])
        ->and(choices('re'))
        ->toBe(['Red' => 2, 'Green' => 1])
        ->and(choices('', 'category:lamps'))
        ->toBe(['Red' => 2, 'Blue' => 1])
        ->and(choices('zz'))
        ->toBe([]);
});

test('numbers come with their range', function (): void {
    $weights = NarrowChoices::of(Acts::definition('weight'), Narrowing::where(['color:red']), '');
    expect([$weights->from, $weights->to, array_sum($weights->bars)])->toBe([10.0, 30.0, 3]);
});

test('any of several values leaves what has one of them', function (string $query, array $left): void {
    $page = $this->get("/products?{$query}")->assertOk();
    array_map($page->assertSee(...), $left);
    array_map($page->assertDontSee(...), array_values(array_diff(['Arden', 'Bell', 'Cone'], $left)));
})->with([
    'ticked' => ['by=color&is[]=blue&is[]=green', ['Arden', 'Cone']],
    'typed' => ['where[]=color:blue|green', ['Arden', 'Cone']],
    'one' => ['by=color&is[]=green', ['Cone']],
    'a range' => ['by=weight&from=15&to=30', ['Arden', 'Bell']],
    'open at its end' => ['by=weight&from=35', ['Cone']],
    'nothing chosen' => ['by=color', ['Arden', 'Bell', 'Cone']],
    'with a chip beside' => ['where[]=category:lamps&by=color&is[]=blue&is[]=green', ['Arden']],
]);

test('what is not there is named', function (): void {
    $this->get('/products?by=color&is[]=pink&is[]=red')->assertRedirect('/products')->assertSessionHasErrors('refused');
    $this->get('/products?by=nothing&is[]=red')->assertRedirect();
    $this->get('/products/choices?by=nothing')->assertOk()->assertSee('Values come with their counts');
    $this->get('/products/choices?by=color&where[]=category:cables')->assertSee('Green')->assertDontSee('Blue');
    $this->get('/products?by=color&is[]=blue&is[]=red')->assertSee('Blue or Red');
});
