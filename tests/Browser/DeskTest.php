<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/* The demo shop as `bin/lokum demo` builds it: keys, two people, viewers, accessibility, and the storefront without scripts. */

function demo(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

test('who sits at a browser that somebody left finds nothing of them', function (): void {
    $first = (new Person(demo()))->signIn()->open('/products')->see('Sign out');
    $first->script('localStorage.setItem("left", "1"); sessionStorage.setItem("left", "1")');
    $first->resize(390, 780)->leave();
    $second = (new Person(demo()))->open('/products')->see('Sign in');
    expect($second->address())
        ->toBe('/sign-in')
        ->and($second->script('return [localStorage.getItem("left"), sessionStorage.getItem("left"), innerWidth]'))
        ->toBe([null, null, 1280]);
    // Left a second time, the first does not send away who sits there now.
    $first->leave();
    expect($second->complaints())->toBe([])->and($second->text('h1'))->not->toBe('');
});

test('one search leads everywhere, by keys alone', function (): void {
    $me = (new Person(demo()))->signIn()->open('/');
    $me->keys('/')->holds('document.querySelector("#search").open');
    $me->keys('viridian')->see('Viridian', '.hits')->see('Color', '.hits')->keys(WebDriverKeys::ENTER)->see('Viridian', '#panel');
    $me->keys('/')->keys('fill rul')->see('Fill rules', '.hits')->keys(WebDriverKeys::ENTER)->see('Fill rules', 'h1');
    $me->keys('/')->keys('BR-209')->see('BR-209', '.hits')->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_UP, WebDriverKeys::ENTER);
    $me->comesTo('/products/')->see('BR-209', '.work');
    expect($me->address())->toStartWith('/products/');
    $me->keys('/')->keys('zzzz')->see('Nothing is called that', '.hits')->keys(WebDriverKeys::ESCAPE);
    $me->holds('!document.querySelector("#search").open');
});

test('the keyboard: rooms, search, rows, merging, taking back, ordering', function (): void {
    $me = (new Person(demo()))->signInByForm();
    $me->chord(WebDriverKeys::ALT, '4')->see('Attribute', '.work')->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN);
    $me->open('/values/finish')
        ->see('4 values')
        ->keys('f')
        ->holds('document.activeElement.matches("[data-find]")')
        ->keys('satin', WebDriverKeys::ENTER)
        ->see('Satin', 'tbody')
        ->notSee('Gloss', 'tbody');
    $me->open('/values/finish')
        ->see('4 values')
        ->keys(WebDriverKeys::ARROW_DOWN)
        ->holds('document.activeElement.getAttribute("aria-label") === "Select Gloss"')
        ->keys(' ')
        ->see('1 selected');
    $me->keys(WebDriverKeys::ARROW_DOWN)
        ->keys(WebDriverKeys::ARROW_DOWN)
        ->holds('document.activeElement.getAttribute("aria-label").startsWith("Select S")')
        ->keys(' ')
        ->see('Merge into one?', '#panel')
        ->keys('m')
        ->see('Merged')
        ->see('3 values');
    $me->keys('u')->see('Took back', '.toast')->see('4 values');
    $me->keys('?')->see('Move from row to row', 'dialog')->keys(WebDriverKeys::ESCAPE)->notSee('Move from row to row');
    $me->open('/line-ups')->see('15 filters');
    $second = $me->script('return document.querySelectorAll("tbody tr")[1].dataset.name');
    $me->focus('tbody tr:nth-child(2) .handle')
        ->chord(WebDriverKeys::ALT, WebDriverKeys::ARROW_UP)
        ->see("Reordered the shop's line-up")
        ->holds('document.querySelector("tbody tr").dataset.name === arguments[0]', $second)
        ->holds('document.activeElement.matches(".handle")');
    $me->keys('u')
        ->see('Took back', '.toast')
        ->holds('document.querySelectorAll("tbody tr")[1].dataset.name === arguments[0]', $second);
    $me->open('/products')
        ->keys(WebDriverKeys::ARROW_DOWN)
        ->keys(' ')
        ->see('1 product selected', '#panel')
        ->keys(WebDriverKeys::ENTER)
        ->see('Definitions in use');
    $me->open('/definitions?open=finish')->see('In use', '#panel')->keys('s')->see('Nothing was different');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('two people on one value: the second is told and keeps what was typed', function (): void {
    $first = (new Person(demo()))->signIn(0);
    $second = (new Person(demo()))->signIn(1);
    foreach ([$first, $second] as $person) {
        $person->open('/values/hair')->click('[data-name="Goat"] a.name')->see('Save', '#panel');
    }
    $first->type('#look_help', 'Soft and thirsty')->press('Save', '#panel')->see('Changed Goat');
    $second
        ->type('#look_help', 'From the second')
        ->press('Save', '#panel')
        ->see('Someone else saved Goat')
        ->holds('document.querySelector("#look_help").value === "From the second"');
    $second->press('Save', '#panel')->see('Changed Goat');
    expect($second->script('return document.querySelector("#look_help").value'))->toBe('From the second');
    $first->leave();
    $second->leave();
});

test('a viewer sees everything and finds no button that changes it', function (): void {
    $me = (new Person(demo()))->signIn(2);
    foreach (
        ['/values/color', '/definitions?open=finish', '/line-ups?filter=color', '/history?entry=5', '/publishing', '/products'] as $path
    ) {
        $me->open($path)->see('Sign out');
        expect($me->count('.panel .button.main'))->toBe(0, $path);
    }
    $me->leave();
});

test('axe finds nothing on any view', function (): void {
    $me = new Person(demo());
    $problems = [];
    $look = function (string $path, ?string $wait = null) use ($me, &$problems): void {
        $me->open($path);
        if ($wait !== null) {
            $me->see($wait);
        }
        foreach ($me->accessibilityProblems() as $problem) {
            $problems[] = "{$path}: {$problem}";
        }
    };
    $look('/sign-in');
    $me->signIn();
    foreach (
        [
            '/',
            '/feeds',
            '/feeds/readings/1',
            '/search?q=red',
            '/settings',
            '/definitions',
            '/definitions?open=color',
            '/definitions?open=new',
            '/definitions/units',
            '/feeds/sources/1',
            '/products',
            '/products?where[]=category:paint&where[]=finish:matte&where[]=missing:volume',
            '/products/1',
            '/values',
            '/values/color',
            '/values/hair',
            '/values/color/vocabulary',
            '/line-ups',
            '/line-ups?filter=color',
            '/line-ups?filter=color&dress=1000000001',
            '/products?all=1&give=yes:no',
            '/line-ups?page=paint&filter=price&bands=shares&why=1',
            '/line-ups?page=brushes&propose=lineup',
            '/line-ups?page=paint&with=shop',
            '/publishing',
            '/history',
            '/history?entry=5',
            '/people',
            '/shop',
            '/shop/c/paint?color=burnt-sienna&price=5..20',
            '/shop/p/NO-001',
        ] as $path
    ) {
        $look($path);
    }
    $me->open('/values/color')
        ->click('tbody tr:nth-child(1) .pick')
        ->click('tbody tr:nth-child(2) .pick')
        ->see('Merge into one?', '#panel');
    $problems = [...$problems, ...array_map(fn (string $problem): string => "merge: {$problem}", $me->accessibilityProblems())];
    expect($problems)->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});

test('the storefront works without scripts, with links and a button', function (): void {
    $me = new Person(demo(), scripts: false);
    $me->open('/shop/c/brushes');
    expect($me->plainText('main h1'))->toBe('Brushes');
    $me->plainClick('input[name="hair[]"][value="goat"]')->plainClick('#filters .button.main')->at('/shop/c/brushes?hair=goat');
    expect($me->plainText('.chip'))->toContain('Hair: Goat');
    $me->plainClick('.chip')
        ->at('/shop/c/brushes')
        ->plainType('input[name="price[to]"]', '5')
        ->plainClick('#filters .button.main')
        ->at('/shop/c/brushes?price=..5');
    $me->plainClick('.good');
    expect($me->plainText('main table'))->toContain('in stock');
    $me->leave();
});
