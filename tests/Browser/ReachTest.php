<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/* Keys, small windows and assistive technology: the focus stays where somebody works, and every state of a page holds for axe. */

function street(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

test(
    'in the shop the focus stays on what was picked, folded filters stay folded, lists opened stay open and words stay typed',
    function (): void {
        $site = street();
        $me = (new Person($site))->signIn();
        foreach (['brand' => 'letters', 'pigment-series' => 'menu'] as $filter => $control) {
            $me->open("/line-ups?filter={$filter}")
                ->choose('#control', $control)
                ->press('Save', '.filter-card')
                ->see('Changed the filter', '.toast');
        }
        $me->open('/line-ups?filter=color')->script('document.querySelector("#more").closest("details")?.setAttribute("open", "")');
        $me->type('#more', '3')->press('Save', '.filter-card')->see('Changed the filter', '.toast');
        expect($site->command(['publish'])[0])->toBe(0);
        $me->open('/shop');
        $at = fn (string $id): Person => $me->holds('document.activeElement.id === arguments[0]', $id);
        // A tick, by the space bar, then the next one from there.
        $me->click('#filter-price summary')
            ->focus('#filter-color .term input')
            ->keys(WebDriverKeys::SPACE)
            ->see('Color:', '.chip');
        $picked = $me->script('return document.activeElement.id');
        $at($picked)->holds('document.querySelector("#filter-price")?.open === false');
        $me->keys(WebDriverKeys::SPACE)->notSee('Color:', 'main');
        $at($picked);
        // "More" stays open, whatever is ticked elsewhere.
        $me->click('#filters .more summary');
        $more = $me->script('return document.querySelector("#filters .more").id');
        $me->type('#find-brand', 'loxh')
            ->focus('#pick-brand-loxholm')
            ->keys(WebDriverKeys::SPACE)
            ->see('Brand: Loxholm', '.chip');
        $at('pick-brand-loxholm')
            ->holds('document.getElementById(arguments[0]).open', $more)
            ->holds(
                'document.querySelector("#find-brand").value === "loxh" && [...document.querySelectorAll("#list-brand '.
                '[data-letter]")].filter(e => !e.hidden).length === 1',
            );
        // A menu moved through with arrows picks on Enter; Escape leaves all as it was.
        $me->open('/shop')->focus('#pick-pigment-series')->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN);
        usleep(600_000);
        expect($me->address())->toBe('/shop');
        $me->keys(WebDriverKeys::ESCAPE)->holds('document.querySelector("#pick-pigment-series").value === ""');
        $me->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER)->see('Pigment series:', '.chip');
        $at('pick-pigment-series');
        // A scale, step by step.
        $me->open('/shop/c/paper')->focus('#filters .slide [x-ref="low"]');
        $low = $me->script('return document.activeElement.id');
        $me->keys(WebDriverKeys::ARROW_RIGHT)->see('and over', '.chip');
        $at($low);
        expect($me->complaints())->toBe([]);
        $me->leave();
    },
);

test('on a phone the filters are a dialog that keeps its place while things are ticked in it', function (): void {
    $me = (new Person(street()))
        ->resize(390, 780)
        ->open('/shop/c/brushes')
        ->holds('document.querySelector("#narrow").offsetParent === null');
    expect($me->accessibilityProblems())->toBe([]);
    $me->press('Filters', 'main')
        ->holds(
            'document.querySelector("#narrow").getAttribute("role") === "dialog" && document.querySelector("#listing > '.
            'main").inert && document.querySelector("header").inert',
        )
        ->holds('document.querySelector("#narrow").contains(document.activeElement)');
    expect($me->accessibilityProblems())->toBe([]);
    // The button at the foot is in sight wherever one has come to; the place is kept.
    $me->script('document.querySelector("#filter-brand").scrollIntoView()');
    $place = $me->script('return document.querySelector("#narrow").scrollTop');
    $me->focus('#filter-brand .term input')
        ->keys(WebDriverKeys::SPACE)
        ->see('Filters 1', 'main')
        ->holds(
            'document.activeElement.matches("#filter-brand .term input") && '.
            'document.querySelector("#narrow").getAttribute("role") === "dialog" && document.querySelector("#listing > main").inert',
        )
        ->holds('document.querySelector(".drawer-foot .button").getBoundingClientRect().bottom <= innerHeight')
        ->holds('Math.abs(document.querySelector("#narrow").scrollTop - arguments[0]) < 100', $place);
    expect(
        $me->script(
            'return [...document.querySelectorAll("#narrow :is(.term, summary, .button, nav a, .input, .select)")].filter(e => '.
            'e.checkVisibility() && e.getBoundingClientRect().height < 44).map(e => e.outerHTML.slice(0, 80))',
        ),
    )
        ->toBe([])
        ->and($me->accessibilityProblems())
        ->toBe([]);
    // What has the focus is clear of the foot.
    $me->script(
        'const terms = [...document.querySelectorAll("#narrow .term input:not([disabled])")].filter(e => e.checkVisibility()); '.
        'document.querySelector("#narrow").scrollTop = 0; terms.at(-1).focus()',
    );
    $me->holds(
        'document.activeElement.getBoundingClientRect().bottom <= document.querySelector(".drawer-foot").getBoundingClientRect().top',
    );
    // Tab goes round in it.
    $me->focus('.drawer-foot .button')->keys(WebDriverKeys::TAB)->holds('document.activeElement.matches(".drawer-head button")');
    $me->keys(WebDriverKeys::ESCAPE)
        ->holds('document.querySelector("#narrow").offsetParent === null && !document.querySelector("#listing > main").inert')
        ->holds('document.activeElement.id === "narrow-it"');
    $me->press('Filters', 'main')->press('Show', '#narrow')->holds('document.querySelector("#narrow").offsetParent === null');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('what can be pressed in the shop is large enough, and from and to are named with their filter', function (): void {
    $me = (new Person(street()))->open('/shop/c/paint');
    expect(
        $me->script(
            'return [...document.querySelectorAll(".shop :is(.term, summary, .button, nav a, .input, .select, .chip, .stage '.
            'a)")].filter(e => e.checkVisibility() && e.getBoundingClientRect().height > 1 && e.getBoundingClientRect().height '.
            '< 24).map(e => e.outerHTML.slice(0, 80))',
        ),
    )->toBe([]);
    expect(
        $me->script(
            'return [...document.querySelectorAll(".range input")].every(e => '.
            'e.labels[0].textContent.trim().startsWith(e.closest(".filter").querySelector("summary").textContent.trim()))',
        ),
    )->toBeTrue();
    // Past the filters at once.
    $me->open('/shop/c/paint')
        ->keys(WebDriverKeys::TAB)
        ->keys(WebDriverKeys::ENTER)
        ->holds('document.activeElement.id === "goods"');
    $me->leave();
});

test('in the rooms the focus stays where somebody decides, renames and saves', function (): void {
    $me = (new Person(street()))->signIn();
    // A name typed in its place: the row has the focus again, and the next key works from there.
    $me->open('/values/finish')->see('4 values')->keys(WebDriverKeys::ARROW_DOWN)->keys(WebDriverKeys::ARROW_DOWN);
    $row = $me->script('return document.activeElement.closest("[data-row]").dataset.id');
    $me->keys(WebDriverKeys::F2)->find('input[name="label"].input');
    $me->keys(WebDriverKeys::END, ' pressed', WebDriverKeys::ENTER)
        ->see('pressed', 'tbody')
        ->holds('document.activeElement.closest("[data-row]")?.dataset.id === arguments[0]', $row);
    $me->keys('u')->see('Took back', '.toast')->notSee('pressed', 'tbody');
    // A decision in the review: the same button of the group that comes next.
    $me->open('/values/color/look-alikes')->find('#panel form button');
    $first = $me->text('#group');
    $said = $me->script(
        'const b = [...document.querySelectorAll("#panel form[method=post] button")].find(e => e.offsetParent); b.focus(); '.
        'return b.textContent.trim()',
    );
    $me->keys(WebDriverKeys::ENTER)
        ->holds('document.querySelector("#group").innerText.replace(/\\s+/g, " ") !== arguments[0]', $first)
        ->holds('document.activeElement.matches("#panel form button")');
    expect($said)->not->toBe('');
    $me->keys('u')->see('Took back', '.toast');
    // A panel that was saved: on the button that saved it.
    $me->open('/definitions?open=finish')
        ->focus('#panel [data-key="s"]')
        ->keys(WebDriverKeys::ENTER)
        ->see('Nothing was different', '.toast')
        ->holds('document.activeElement.matches("#panel [data-key=s]")');
    // The grid is two keys away, and one back.
    $me->open('/products')
        ->keys(WebDriverKeys::ARROW_DOWN)
        ->keys(WebDriverKeys::ARROW_RIGHT)
        ->holds('document.activeElement.matches("td.cell")');
    $me->keys(WebDriverKeys::ARROW_LEFT)->holds('document.activeElement.matches(".pick")');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test(
    'axe finds nothing in any state: panel filled, dialog open, error shown, toast up, empty, and on a phone',
    function (): void {
        $me = (new Person(street()))->signIn();
        $states = [
            'several selected' => fn (): Person => $me
                ->open('/values/color')
                ->see('selected')
                ->click('tbody .pick')
                ->click('tbody tr:nth-child(3) .pick')
                ->see('Merge into one?', '#panel'),
            'one value open' => fn (): Person => $me
                ->open('/values/hair')
                ->click('[data-name="Goat"] a.name')
                ->see('Save', '#panel'),
            'a toast' => fn (): Person => $me->press('Save', '#panel')->see('Nothing was different', '.toast'),
            'the keys' => fn (): Person => $me->keys('?')->see('Move from row to row', 'dialog'),
            'a form that is wrong' => fn (): Person => $me
                ->open('/line-ups?filter=price')
                ->press('in equal shares', '.filter-card')
                ->type('[name="bands[0][to]"]', 'abc')
                ->press('Save', '.filter-card')
                ->wait('[aria-invalid="true"], [role="alert"]'),
            'a change of many' => fn (): Person => $me
                ->open('/products?where[]=category:paint&all=1&give=finish')
                ->see('All that match', '#panel'),
            'a cell that is typed in' => fn (): Person => $me
                ->open('/products?columns[]=finish')
                ->focus('td.cell')
                ->keys('s')
                ->wait('.cell-offers li'),
            'umbrellas' => fn (): Person => $me->open('/values/color/umbrellas')->wait('main'),
            'nothing found' => fn (): Person => $me->open('/products?q=zzzz')->see('No product is left'),
            'in the shop nothing found' => fn (): Person => $me
                ->open('/shop?price=..1&brand=loxholm')
                ->see('Nothing has all of this at once'),
            'in the shop a pick that does nothing' => fn (): Person => $me
                ->open('/shop?color=no-such-color')
                ->see('products', '[role="status"]'),
            'a page that is not there' => fn (): Person => $me->open('/shop/c/no-such')->wait('h1'),
        ];
        $found = [];
        foreach ($states as $state => $come) {
            $come();
            foreach ($me->accessibilityProblems() as $problem) {
                $found[] = "{$state}: {$problem}";
            }
        }
        $me->resize(390, 780);
        foreach (
            ['/today', '/products', '/values/color', '/line-ups', '/publishing', '/feeds', '/history', '/shop', '/account'] as $page
        ) {
            foreach ($me->open($page)->accessibilityProblems() as $problem) {
                $found[] = "{$page} on a phone: {$problem}";
            }
        }
        expect($found)->toBe([]);
        $me->leave();
    },
);

test('of rows ticked one after the other the last selection wins, and nothing is done with another one', function (): void {
    $me = (new Person(street()))->signIn();
    for ($try = 0; $try < 6; $try++) {
        $me->open('/products')->find('tbody .pick');
        $rows = 2 + ($try % 4);
        $me->script(
            'const boxes = [...document.querySelectorAll("tbody .pick")]; for (let i = 0; i < arguments[0]; i++) setTimeout(() '.
            '=> boxes[i].click(), i * arguments[1])',
            $rows,
            40 + 60 * $try,
        );
        $me->see($rows.' products selected', '#panel')->holds(
            'document.querySelectorAll("tbody .pick:checked").length === arguments[0]',
            $rows,
        );
        usleep(400_000);
        $me->see($rows.' products selected', '#panel');
    }
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('what the server cannot answer is said, and the page stays', function (): void {
    $me = (new Person(street()))->signIn()->open('/values/color')->see('selected');
    $me->script('window.fetch = () => Promise.resolve(new Response("broken", {status: 500}))');
    $me->click('tbody .pick')->see('could not be worked out', '#panel')->see('nothing was changed', '.toast');
    expect($me->count('#panel button:not([disabled])'))->toBe(0);
    $me->leave();
});

test('labels and categories of 200 letters stay within the page', function (): void {
    $site = Site::start(built: true);
    $long = str_repeat('Ultramarineviolet', 12);
    $words = implode(' ', array_fill(0, 18, 'granulating'));
    $file = sys_get_temp_dir().'/lokum-long-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents(
        $file,
        "sku,name,category,Colour,Brand\nLL-1,{$words} {$long},Paint > Oil > {$long},{$long},{$words}\n".
        "LL-2,Two,Paint > Oil,{$words},{$long}\n",
    );
    expect($site->command(['feed:read', $file, '--feed=Tarnbeck'])[0])
        ->toBe(0)
        ->and($site->command(['publish'])[0])
        ->toBe(0);
    unlink($file);
    $me = (new Person($site))->signIn()->resize(1280, 800);
    foreach (
        [
            '/',
            '/values/color?q=ultramarineviolet',
            '/newcomers/color',
            '/line-ups?filter=color',
            '/expected',
            '/publishing',
            '/history',
            '/feeds',
            '/shop',
            '/shop/p/LL-1',
        ] as $path
    ) {
        expect($me->open($path)->sticksOut())->toBe([], $path);
    }
    $me->leave();
});

test('a term behind the first of a long list is found and ticked', function (string $control, string $field, string $said): void {
    $site = Site::start(built: true);
    $file = sys_get_temp_dir().'/lokum-makers-'.bin2hex(random_bytes(4)).'.csv';
    $rows = "sku,name,category,Maker\n";
    foreach (range(1, 400) as $i) {
        $rows .= "MK-{$i},Thing {$i},Paint > Oil,Maker {$i}\nMK-{$i}b,Thing {$i}b,Paint > Oil,Maker {$i}\n";
    }
    file_put_contents($file, $rows);
    foreach ([['define', 'maker', '--kind=choice', '--label=Maker'], ['feed:read', $file, '--feed=Makers']] as $command) {
        expect($site->command($command)[0])->toBe(0);
    }
    unlink($file);
    $me = (new Person($site))->signIn()->open('/line-ups');
    $me->choose('[name="source"]', 'maker')->press('Add', 'form:has([name="source"])')->see('Maker', '.filter-card');
    $me->choose('#control', $control)->press('Save', '.filter-card')->see($said, '.toast');
    expect($site->command(['publish'])[0])->toBe(0);
    $me->open('/shop')->script('document.querySelectorAll("#filter-maker, #filter-maker .more").forEach(one => { one.open = true; })');
    expect($me->count('#pick-maker-maker-377'))->toBe(0);
    $me->type($field, 'maker 37')
        ->holds('document.querySelector("#pick-maker-maker-377")?.checkVisibility() === true')
        ->click('label:has(> #pick-maker-maker-377)')
        ->see('Maker: Maker 377', '.chip');
    // What was found stays found while one after the other is ticked, by mouse and by keys, and when the page is opened anew.
    $me->holds('document.querySelector("#pick-maker-maker-378")?.checkVisibility() === true')
        ->focus('#pick-maker-maker-378')
        ->keys(WebDriverKeys::SPACE)
        ->see('Maker: Maker 378', '.chip');
    $me->open($me->address())->see('Maker: Maker 377', '.chip')->see('Maker: Maker 378', '.chip');
    $me->script('document.querySelectorAll("#filter-maker, #filter-maker .more").forEach(one => { one.open = true; })');
    $me->holds('document.querySelector("#pick-maker-maker-378")?.checked === true')
        ->click('#whole-maker')
        ->holds('document.querySelectorAll("#filter-maker input[type=checkbox]").length === 400')
        ->holds('document.querySelector("#pick-maker-maker-378")?.checked === true');
    expect($me->complaints())->toBe([]);
    $me->leave();
})->with([
    ['letters', '#find-maker', 'Nothing was different'],
    ['ticks', '#filter-maker [data-finds]', 'Changed the filter'],
]);
