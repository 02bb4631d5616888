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

test('in the shop the focus stays on what was picked, folded filters stay folded, lists opened stay open and words stay typed', function (): void {
    $site = street();
    $me = (new Person($site))->signIn();
    foreach (['brand' => 'letters', 'pigment-series' => 'menu'] as $filter => $control) {
        $me->open("/line-ups?filter={$filter}")->choose('#control', $control)->press('Save', '.filter-card')->see('Changed the filter', '.toast');
    }
    expect($site->command(['publish'])[0])->toBe(0);
    $me->open('/shop');
    $at = fn (string $id): Person => $me->holds('document.activeElement.id === arguments[0]', $id);
    // A tick, by the space bar, then the next one from there.
    $me->click('#filter-price summary')->focus('#filter-color .term input')->keys(WebDriverKeys::SPACE)->see('Color:', '.chip');
    $picked = $me->script('return document.activeElement.id');
    $at($picked)->holds('!document.querySelector("#filter-price").open');
    $me->keys(WebDriverKeys::SPACE)->notSee('Color:', 'main');
    $at($picked);
    // "More" stays open, whatever is ticked elsewhere.
    $me->click('#filters .more summary');
    $more = $me->script('return document.querySelector("#filters .more").id');
    $me->type('[data-find-in]', 'loxh')->focus('#pick-brand-loxholm')->keys(WebDriverKeys::SPACE)->see('Brand: Loxholm', '.chip');
    $at('pick-brand-loxholm')
        ->holds('document.getElementById(arguments[0]).open', $more)
        ->holds('document.querySelector("[data-find-in]").value === "loxh" && [...document.querySelectorAll("[data-found-in] [data-letter]")].filter(e => !e.hidden).length === 1');
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
});

test('on a phone the filters are a dialog that keeps its place while things are ticked in it', function (): void {
    $me = (new Person(street()))->resize(390, 780)->open('/shop/c/brushes')->holds('document.querySelector("#narrow").offsetParent === null');
    expect($me->accessibilityProblems())->toBe([]);
    $me->press('Filters', 'main')
        ->holds('document.querySelector("#narrow").getAttribute("role") === "dialog" && document.querySelector("#listing > main").inert && document.querySelector("header").inert')
        ->holds('document.querySelector("#narrow").contains(document.activeElement)');
    expect($me->accessibilityProblems())->toBe([]);
    // The button at the foot is in sight wherever one has come to; the place is kept.
    $me->script('document.querySelector("#filter-brand").scrollIntoView()');
    $place = $me->script('return document.querySelector("#narrow").scrollTop');
    $me->focus('#filter-brand .term input')->keys(WebDriverKeys::SPACE)->see('Filters 1', 'main')
        ->holds('document.activeElement.matches("#filter-brand .term input") && document.querySelector("#narrow").getAttribute("role") === "dialog" && document.querySelector("#listing > main").inert')
        ->holds('document.querySelector(".drawer-foot .button").getBoundingClientRect().bottom <= innerHeight')
        ->holds('Math.abs(document.querySelector("#narrow").scrollTop - arguments[0]) < 100', $place);
    expect($me->script('return [...document.querySelectorAll("#narrow :is(.term, summary, .button, nav a, .input, .select)")].filter(e => e.checkVisibility() && e.getBoundingClientRect().height < 44).map(e => e.outerHTML.slice(0, 80))'))->toBe([])
        ->and($me->accessibilityProblems())->toBe([]);
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
    expect($me->script('return [...document.querySelectorAll(".shop :is(.term, summary, .button, nav a, .input, .select, .chip, .stage a)")].filter(e => e.checkVisibility() && e.getBoundingClientRect().height > 1 && e.getBoundingClientRect().height < 24).map(e => e.outerHTML.slice(0, 80))'))->toBe([]);
    expect($me->script('return [...document.querySelectorAll(".range input")].every(e => e.labels[0].textContent.trim().startsWith(e.closest(".filter").querySelector("summary").textContent.trim()))'))->toBeTrue();
    // Past the filters at once.
    $me->open('/shop/c/paint')->keys(WebDriverKeys::TAB)->keys(WebDriverKeys::ENTER)->holds('document.activeElement.id === "goods"');
    $me->leave();
});
