<?php

declare(strict_types=1);

use App\Catalog\Category;
use App\Definitions\Coverage;
use App\Definitions\Definition;
use App\Definitions\Expected;
use App\Definitions\SayExpected;
use App\History\TakeBack;

/* Definitions that fit the catalog: what is expected where, merging two of them, retiring and deleting. */

beforeEach(fn () => $this->read("sku,parent_sku,name,category,Color,Colour,Finish,Volume\n"
    ."P,,Oil,Paint > Oil,,,Gloss,\nP-1,P,,,Red,,,37\nP-2,P,,,Blue,blue,,60\nQ,,Brush,Brushes,,Green,,\nR,,Gouache,Paint > Gouache,,Sap green,Matt,\n",
    '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Colour": {"attribute": "colour", "kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": "product"}, "Volume": {"kind": "number", "unit": "ml", "level": "variant"}}}'));

function definition_of(string $slug): Definition
{
    return Definition::query()->where('slug', $slug)->firstOrFail();
}

test('what is expected is taken over downwards, dropped lower down, and taken back', function (): void {
    $category = fn (string $slug): Category => Category::query()->where('slug', $slug)->firstOrFail();
    $say = app(SayExpected::class);
    $say(null, [definition_of('finish')->id], true);
    $say($category('paint'), [definition_of('color')->id, definition_of('volume')->id], true);
    $dropped = $say($category('gouache'), [definition_of('volume')->id, definition_of('finish')->id], false);
    $in = fn (?string $slug): array => Definition::query()->whereKey(Expected::load()->in($slug === null ? null : $category($slug)->id))->orderBy('slug')->pluck('slug')->all();
    expect($in(null))->toBe(['finish'])->and($in('brushes'))->toBe(['finish'])->and($in('oil'))->toBe(['color', 'finish', 'volume'])->and($in('gouache'))->toBe(['color']);
    $figures = app(Coverage::class)->ofExpected(Expected::load());
    expect($figures[definition_of('finish')->id])->toBe(['expected' => 2, 'carried' => 1])->and($figures[definition_of('color')->id])->toBe(['expected' => 2, 'carried' => 1])->and($figures[definition_of('volume')->id])->toBe(['expected' => 1, 'carried' => 1]);
    app(TakeBack::class)($dropped);
    expect($in('gouache'))->toBe(['color', 'finish', 'volume']);
    $say($category('gouache'), [definition_of('volume')->id], false);
    $say($category('gouache'), [definition_of('volume')->id], null);
    expect($in('gouache'))->toBe(['color', 'finish', 'volume']);
    $this->actingAs($this->person())->get('/expected?category=paint')->assertOk()->assertSee('Most products here carry Colour');
    $this->get('/products?where[]=category:oil')->assertSee('data-column="volume"', false)->assertDontSee('data-column="colour"', false);
});
