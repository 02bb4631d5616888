<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/* What was typed is never lost, and does what its words say. */

function desk(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

test('Enter in a title saves, and one refused band leaves all others as they were typed', function (): void {
    $me = (new Person(desk()))->signIn()->open('/line-ups?filter=price');
    $me->type('#title', 'What it costs')->keys(WebDriverKeys::ENTER)->see('Changed the filter What it costs', '.toast');
    $me->press('in equal shares', '.filter-card')->holds(
        'document.querySelectorAll("[name^=\"bands[\"][name$=\"[to]\"]").length > 3',
    );
    $me->type('[name="bands[0][label]"]', 'Bargains')
        ->type('[name="bands[1][to]"]', 'abc')
        ->type('[name="bands[2][label]"]', 'Treats')
        ->press('Save', '.filter-card')
        ->holds(
            'document.querySelector(arguments[0])?.value === "abc" && document.activeElement.matches("[role=alert], [aria-invalid=true]")',
            '[name="bands[1][to]"]',
        );
    expect($me->script('return [...document.querySelectorAll("[name^=\"bands[\"]")].map(e => e.value)'))->toContain(
        'Bargains',
        'abc',
        'Treats',
    );
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('cells of yes and no take the words, and a paste over the edge says what is left out', function (): void {
    $me = (new Person(desk()))
        ->signIn()
        ->open('/products?where[]=category:oil&sort=sku&columns[]=finish&columns[]=transparent')
        ->see('200 of');
    $cell = '.sheet tbody tr:nth-child(1) td[data-definition="transparent"]';
    $me->focus($cell)->keys('yes', WebDriverKeys::ENTER)->see('Yes', $cell);
    $me->focus($cell);
    $me->script(
        'const d = new DataTransfer(); d.setData("text/plain", "yes\tone\ttwo\nno\tthree\tfour"); '.
        'document.activeElement.dispatchEvent(new ClipboardEvent("paste", {clipboardData: d, bubbles: true, cancelable: true}))',
    );
    $me->see('4 cells lie beyond the edge of the grid', '#panel');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('a form that was edited is not left without a word', function (): void {
    $me = (new Person(desk()))->signIn()->open('/values/hair')->click('[data-name="Goat"] a.name')->see('Save', '#panel');
    $me->type('#look_help', 'Half a sentence');
    expect(
        $me->script(
            'const leaving = new Event("beforeunload", {cancelable: true}); window.dispatchEvent(leaving); return leaving.defaultPrevented',
        ),
    )->toBeTrue();
    $me->press('Save', '#panel')->see('Changed Goat', '.toast');
    expect(
        $me->script(
            'const leaving = new Event("beforeunload", {cancelable: true}); window.dispatchEvent(leaving); return leaving.defaultPrevented',
        ),
    )->toBeFalse();
    $me->leave();
});
