<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/* Composing what shoppers see, and shopping with it: every control by mouse and by keys, on a phone, and without scripts. */

function counter(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

test(
    'a line-up for Paint is composed from proposals beside the page as it would be, and the shop does exactly that',
    function (): void {
        $me = (new Person(counter()))->signIn()->open('/line-ups?page=paint')->see('17 filters for 633 products');
        $me->see('As shoppers would see it', '#panel')->see('Metallic', '#live');
        // Why each is here, and why others are not, with the link that mends it.
        $me->press('why these?', '#panel')
            ->see('covers 100 % of 633 products', '#live')
            ->see('Not here: Hair, no product here carries it', '#live');
        $me->open('/line-ups?page=paint')
            ->press('Propose a better order', '#panel, main')
            ->see('In the order of what they earn here')
            ->keys('t')
            ->see('Reordered the line-up of Paint and below', '.toast');
        // Dropped here, and only here.
        $me->open('/line-ups?page=paint')
            ->press('Finish', '.lineup-work table')
            ->press('Drop it here', '.filter-card')
            ->see('Took the filter Finish out of the line-up of Paint', '.toast')
            ->notSee('Finish', '#live')
            ->see('Finish is dropped by Paint and below')
            ->open('/line-ups')
            ->see('Finish', '.lineup-work table');
        // Added from what would earn its place.
        $me->open('/line-ups?page=ink&propose=lineup')
            ->see('Features', '.card')
            ->press('Add the ticked ones')
            ->see('Added the filter', '.toast')
            ->see('Features', '#live');
        // Bands in equal shares, an edge moved with keys, one typed, saved for Paint alone.
        $me->open('/line-ups?page=paint&filter=price')
            ->press('in equal shares', '.filter-card')
            ->holds('document.querySelectorAll(".edge").length === 4');
        $before = $me->script('return document.querySelector(".edge").dataset.edge');
        $me->focus('.edge')
            ->keys(WebDriverKeys::ARROW_RIGHT)
            ->holds('document.querySelector(".edge").dataset.edge !== arguments[0]', $before)
            ->holds('document.querySelector("[name=\"bands[0][to]\"]").value === document.querySelector(".edge").dataset.edge');
        $me->type('[name="bands[0][label]"]', 'Bargains')
            ->press('Save', '.filter-card')
            ->see('Changed the filter Price in the line-up of Paint', '.toast')
            ->see('Bargains', '#live')
            ->see('changed here: control, bands', '.lineup-work');
        $me->press('bands as inherited', '.filter-card')
            ->see('as inherited', '.toast')
            ->keys('u')
            ->see('Took back', '.toast')
            ->see('Bargains', '#live');
        $me->open('/line-ups?page=paint&with=shop')->see('Compared with Whole shop')->see('other control', '.lineup-work');
        expect($me->accessibilityProblems())->toBe([]);
        expect($me->site->command(['publish'])[0])->toBe(0);
        $me->open('/shop/c/paint')
            ->see('Bargains', '#filters')
            ->notSee('Finish', '#filters')
            ->open('/shop')
            ->notSee('Bargains', '#filters');
        expect($me->complaints())->toBe([]);
        $me->leave();
    },
);

test('only these: what is chosen stays through a merge, and what is new waits to be admitted', function (): void {
    $me = (new Person(counter()))->signIn()->open('/line-ups?filter=lightfastness')->press('choose, pin', '.filter-card');
    $first = $me->text('.choose-term:nth-child(1) .name');
    $me->choose('#terms', 'only')
        ->click('.choose-term:nth-child(1) [name="chosen[]"]')
        ->click('.choose-term:nth-child(2) [name="chosen[]"]')
        ->press('Save', '.filter-card')
        ->see('only 2', '.lineup-work')
        ->see($first, '#live');
    $me->open('/values/lightfastness')
        ->type('#new', 'Superb')
        ->press('Make it', '#panel')
        ->see('Made the value Superb', '.toast');
    $file = sys_get_temp_dir().'/lokum-new-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents($file, "sku,name,category,Lightfastness\nSUP-1,One,Paint > Oil,Superb\n");
    expect($me->site->command(['feed:read', $file, '--feed=Tarnbeck'])[0])->toBe(0);
    unlink($file);
    $me->open('/line-ups?filter=lightfastness')
        ->see('1 waiting', '.lineup-work')
        ->press('Superb', '.filter-card .note')
        ->see('Changed the filter Lightfastness', '.toast')
        ->notSee('waiting', '.lineup-work table')
        ->see('only 3', '.lineup-work');
    $me->leave();
});

test('a term is found among hundreds, the ones that the page does not list too, and what is ticked stays in sight', function (): void {
    // A shop of its own: the others look for their terms among fewer.
    $site = Site::start(built: true);
    $file = sys_get_temp_dir().'/lokum-many-'.bin2hex(random_bytes(4)).'.csv';
    $rows = array_map(fn (int $i): string => "MANY-{$i},Many {$i},Paint > Oil,Shade {$i}A", range(100, 499));
    file_put_contents($file, "sku,name,category,Colour\n".implode("\n", $rows)."\n");
    expect($site->command(['feed:read', $file, '--feed=Tarnbeck'])[0])->toBe(0);
    unlink($file);
    $me = (new Person($site))->signIn()->open('/line-ups?filter=color')->press('choose, pin', '.filter-card');
    $me->see('found by their name', '.filter-card')
        ->notSee('Shade 499A', '#choose-terms')
        ->choose('#terms', 'only')
        ->type('.filter-card [data-finds]', 'shade 499')
        ->see('Shade 499A', '#choose-terms')
        ->notSee('Metallic', '#choose-terms')
        ->click('.choose-term:last-child [name="chosen[]"]')
        ->type('.filter-card [data-finds]', 'metal')
        ->see('Metallic', '#choose-terms')
        ->see('Shade 499A', '#choose-terms')
        ->press('Save', '.filter-card')
        ->see('only 1', '.lineup-work');
    $me->leave();
});

test('every control narrows the shop, by mouse and by keys', function (): void {
    $site = counter();
    $me = (new Person($site))->signIn();
    foreach (['color' => 'nested', 'brand' => 'letters', 'pigment-series' => 'menu'] as $filter => $control) {
        $me->open("/line-ups?filter={$filter}")
            ->choose('#control', $control)
            ->press('Save', '.filter-card')
            ->see('Changed the filter', '.toast');
    }
    $me->open('/line-ups')
        ->choose('#source', 'category')
        ->press('Add', '.lineup-work')
        ->see('Added the filter Category', '.toast');
    expect($site->command(['publish'])[0])->toBe(0);
    $total = fn (): int => (int) str_replace(',', '', $me->text('[role="status"]'));
    $all = (function () use ($me, $total): int {
        $me->open('/shop')->see('products', '[role="status"]');

        return $total();
    })();
    // An umbrella, then one of its values.
    $me->click('#filters [value="green"]')->see('Color: Green', '.chip');
    $green = $total();
    $me->click('#below-color-green summary')
        ->click('#filters [value="green"]')
        ->notSee('Color: Green', '.chip')
        ->click('#filters [value="viridian"]')
        ->see('Color: Viridian', '.chip');
    expect($total())->toBeLessThan($green)->and($green)->toBeLessThan($all)->and($me->address())->toBe('/shop?color=viridian');
    // A to Z: looked for by typing, taken with the space bar.
    $me->open('/shop')
        ->type('#find-brand', 'loxh')
        ->holds('[...document.querySelectorAll("#filters [data-letter]")].filter(e => !e.hidden).length === 1')
        ->focus('#filters [value="loxholm"]')
        ->keys(WebDriverKeys::SPACE)
        ->see('Brand: Loxholm', '.chip');
    // A drop-down, by keys.
    $me->open('/shop')
        ->focus('#filters select')
        ->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER)
        ->see('Pigment series:', '.chip');
    // A category below, ticked; then a scale by its thumb and by typing.
    $me->open('/shop')->click('#filters [value="ink"]')->see('Category: Ink', '.chip')->see('25 products', '[role="status"]');
    $me->open('/shop/c/paper')
        ->focus('#filters .slide [x-ref="low"]')
        ->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT)
        ->see('and over', '.chip')
        ->press('Clear all', 'main')
        ->notSee('and over', '.chip');
    // Nothing left: which one to drop.
    $me->open('/shop?brand=loxholm&category=paper&price=..1')
        ->see('Nothing has all of this at once')
        ->see('Without one of these there is more');
    $me->open('/shop/search?q=watercolor+pad')
        ->see('products', '[role="status"]')
        ->open('/shop')
        ->type('header input[type=search]', 'cobalt')
        ->keys(WebDriverKeys::ENTER)
        ->see('“cobalt”', 'h1');
    expect($me->accessibilityProblems())->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});

test('without scripts the drawer is a link, and texts, bands and sorting work with a button', function (): void {
    $me = (new Person(counter(), scripts: false))->resize(420, 860)->open('/shop/c/paint');
    $me->plainClick('.drawer-open-it');
    expect($me->plainText('#narrow'))->toContain('Narrow down');
    // The driver scrolls no further than it must, which is under the drawer's foot; a wide window has none.
    $me->resize(1280, 900)
        ->open('/shop/c/paint')
        ->plainClick('#filters .cubes input')
        ->plainClick('#filters noscript button, #filters .button.main');
    $me->comesTo('price=');
    $me->leave();
});

test('a shop is let in with a token, and the stand-in gets a signed notice of the next edition', function (): void {
    $me = (new Person(counter()))
        ->signIn()
        ->open('/outside')
        ->type('#name', 'The real shop')
        ->press('Make a token')
        ->see('it is not shown again');
    $secret = $me->text('[data-secret]');
    $request = curl_init($me->site->address.'/api/edition');
    curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ["Authorization: Bearer {$secret}"]]);
    expect(json_decode((string) curl_exec($request), true)['products'])->toBeGreaterThan(1000);
    $me->press('Use the stand-in')->see('Notices go to')->press('Send now')->see('is on its way');
    $me->see('delivered', '#notices')->see('signature is right', '#received');
    // For a replica: a token that copies, and a receiver where nothing is asked from here unless a manager says so.
    $me->type('#name', 'The replica')->focus('[name="copies"]')->keys(WebDriverKeys::SPACE)->press('Make a token');
    $me->see('read, copy editions', 'tr[data-row]')->type('#url', 'http://127.0.0.1:9/notices')->press('Add', '#notices ~ form');
    $me->see('of a private network (127.0.0.1), where nothing is asked from here')
        ->press('in our own network', '#notices ~ form')
        ->press('Add', '#notices ~ form')
        ->see('in our own network', '#notices .tag');
    expect($me->accessibilityProblems())->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});

test('a line-up is copied to a page and compared with one that are typed by their names, and a wrong name is told once', function (): void {
    $me = (new Person(Site::start(built: true)))->signIn();
    $open = function (string $path) use ($me): void {
        $me->open($path)->click('.lineup-work > details.card > summary')->wait('#with');
    };
    $open('/line-ups');
    expect((int) $me->script('return document.querySelector("#to").list.options.length'))->toBeGreaterThan(20);
    $me->type('#to', 'Brushes > Fan')->press('Copy')->see('Fan', 'h1')->see('Take back', '.toast');
    $open('/line-ups');
    $me->type('#with', 'Paint > Acrylic')->keys(WebDriverKeys::ENTER)->see('Compared with Paint > Acrylic');
    $open('/line-ups');
    $me->type('#to', 'Nowhere')->press('Copy')->see('There is no page "Nowhere".');
    expect($me->count('[role="alert"]'))->toBe(1);
    $me->back()->reload()->see('filters for');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('a token that may say prices changes what shoppers see at once, and History takes it back', function (): void {
    $me = (new Person(Site::start(built: true)))->signIn()->open('/outside')->type('#name', 'The till');
    $me->focus('[name="says_prices"]')->keys(WebDriverKeys::SPACE)->press('Make a token')->see('it is not shown again');
    $me->see('read, say prices and stock', 'tr[data-row]');
    $secret = $me->text('[data-secret]');
    $me->open('/shop?sort=price-down')->click('#listing main .goods a, #listing main a[href*="/shop/p/"]')->see('€', 'main');
    $sku = basename((string) $me->script('return location.pathname'));
    $ask = function (string $method, string $path, ?array $body = null) use ($me, $secret): array {
        $request = curl_init($me->site->address.$path);
        curl_setopt_array($request, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_CUSTOMREQUEST => $method ?: 'GET',
            CURLOPT_POSTFIELDS => (string) json_encode($body),
            CURLOPT_HTTPHEADER => ["Authorization: Bearer {$secret}", 'Content-Type: application/json'],
        ]);

        return (array) json_decode((string) curl_exec($request), true);
    };
    $skus = array_column($ask('GET', "/api/products/{$sku}")['variants'], 'sku');
    $rows = array_map(fn (string $one): array => ['sku' => $one, 'price' => 0.37], $skus);
    $done = $ask('PATCH', '/api/products', ['products' => $rows]);
    expect($done['refused'])->toBe(0)->and($done['seen'])->toBe(count($skus));
    $me->open("/shop/p/{$sku}")->see('€0.37', 'main')->open('/shop?sort=price')->see('€0.37', '#listing main');
    $me->open('/publishing')->see('were said since edition', '#panel');
    $me->open('/history')->see('The till, with a token')->press('Said price and stock');
    $me->press('Take back', '#panel')->see('Took back', '.toast');
    expect($me->complaints())->toBe([]);
    $me->leave();
});
