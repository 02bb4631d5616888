<?php

declare(strict_types=1);

use App\Lineups\EditLineup;
use App\Support\LookedUp;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* The pages of every room: what one needs twice is looked up once, and never after it was changed; no id stands on it twice. */

const PAGES = [
    ['/'],
    ['/products'],
    ['/definitions'],
    ['/definitions?open=color'],
    ['/expected'],
    ['/values'],
    ['/values/color'],
    ['/values/color/flow'],
    ['/values/color/map'],
    ['/values/color/look-alikes'],
    ['/line-ups'],
    ['/line-ups?filter=color'],
    ['/feeds'],
    ['/rules'],
    ['/history'],
    ['/publishing'],
    ['/shop'],
    ['/shop?color=red'],
];

/** @return array<string, int> questions that one request asks of the catalog more than once */
function repeated(Closure $request): array
{
    DB::flushQueryLog();
    DB::enableQueryLog();
    $request();
    $times = array_count_values(
        array_map(fn (array $one): string => $one['query'].' '.json_encode($one['bindings']), DB::getQueryLog()),
    );
    DB::disableQueryLog();

    return array_filter($times, fn (int $n): bool => $n > 1);
}

test('no page asks the catalog the same thing twice', function (string $path): void {
    $this->read(
        "sku,category,price,Color,Finish\nP,Paint > Oil,5,Red,Matt\nQ,Paint > Ink,6,Blue,Gloss\nR,Brushes,4,red,matte\n",
        '{"columns": {"Color": {"kind": "choice"}, "Finish": {"kind": "choice"}}}',
    );
    array_map(app(EditLineup::class)->add(...), ['color', 'price', 'finish']);
    $this->publish();
    $this->actingAs($this->person());
    $this->get($path)->assertOk();
    expect(repeated(fn () => $this->get($path)->assertOk()))->toBe([]);
})->with(fn (): array => PAGES);

test('no page has an id twice, and whatever refers to one by it finds it', function (string $path): void {
    $this->read(
        "sku,category,price,Color,Finish\nP,Paint > Oil,5,Red,Matt\nQ,Paint > Ink,6,Blue,Gloss\nR,Brushes,4,red,matte\n",
        '{"columns": {"Color": {"kind": "choice"}, "Finish": {"kind": "choice"}}}',
    );
    array_map(app(EditLineup::class)->add(...), ['color', 'price', 'finish']);
    $this->publish();
    $page = new DOMDocument();
    @$page->loadHTML((string) $this->actingAs($this->person())->get($path)->assertOk()->getContent());
    $found = new DOMXPath($page);
    $all = fn (string $what): array => array_map(
        fn (DOMNode|DOMNameSpaceNode $one): string => (string) $one->nodeValue,
        iterator_to_array($found->query($what) ?: [], false),
    );
    $times = array_count_values($all('//@id'));
    expect(array_filter($times, fn (int $n): bool => $n > 1))
        ->toBe([])
        ->and(array_values(array_diff($all('//input/@list'), $all('//datalist/@id'))))
        ->toBe([])
        ->and(array_values(array_diff($all('//label/@for'), array_keys($times))))
        ->toBe([]);
})->with(fn (): array => PAGES);

test('what was looked up is forgotten with any write, also one that is rolled back or made elsewhere', function (): void {
    $this->read("sku,Color\nA,Red\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $looked = app(LookedUp::class);
    $count = fn (): int => $looked->of('values', fn (): int => Acts::definition('color')->values()->count());
    $add = fn (string $slug) => Acts::definition('color')->values()->create(['label' => $slug, 'slug' => $slug, 'position' => 1]);
    expect($count())->toBe(1);
    $add('blue');
    expect($count())->toBe(2);
    DB::beginTransaction();
    $add('green');
    expect($count())->toBe(3);
    DB::rollBack();
    expect($count())->toBe(2);
    $elsewhere = new PDO('sqlite:'.DB::connection()->getDatabaseName());
    $elsewhere->exec("DELETE FROM attribute_values WHERE slug = 'blue'");
    expect($count())->toBe(1);
});
