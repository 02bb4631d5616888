<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/*
 * The workbench of one attribute: its lenses on one selection, dragging and keys, newcomers of a later delivery, an old merge
 * taken back.
 */

function bench(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

test('the flow shows spellings, values and terms; dragging proposes, keys do, and a spelling is pulled out', function (): void {
    $me = (new Person(bench()))->signIn()->open('/values/color/flow')->see('What shoppers tick');
    // Large lists are gathered at the end and opened on demand.
    $drawn = $me->count('.flow-value');
    expect($drawn)->toBe(40);
    $me->press('80 more values')->holds('document.querySelectorAll(".flow-value").length === 120');
    $me->open('/values/color/flow?q=ultramarine')->see('French ultramarine');
    $value = fn (string $label): string => '.flow-value:has([aria-label="Select '.$label.'"])';
    // One dragged onto another: a proposal in the panel, and nothing done.
    $me->drag($value('Blue, ultramarine'), $value('Ultramarine blue'))
        ->see('Merge into one?', '#panel')
        ->see('Ultramarine blue stays', '#panel')
        ->see('On', '#panel .pages')
        ->keys('m')
        ->see('Merged Blue, ultramarine into Ultramarine blue (Color)', '.toast');
    expect($me->address())->toStartWith('/values/color/flow');
    // The same with keys, and gathering by a drag onto the umbrella.
    $me->open('/values/color/flow?q=ultramarine')
        ->focus('.flow-value .pick')
        ->keys(WebDriverKeys::SPACE)
        ->see('is selected', '#panel')
        ->type('#under', 'Deep blue')
        ->see('New umbrella', '#panel')
        ->keys(WebDriverKeys::ESCAPE)
        ->keys('g')
        ->see('under Deep blue', '.toast')
        ->see('Deep blue', '.flow-term');
    $me->open('/values/color/flow?q=ultramarine')
        ->drag($value('Ultramarine blue'), '.flow-term[data-drop="umbrella:Deep blue"]')
        ->see('Products under it', '#panel')
        ->keys('g')
        ->see('Gathered Ultramarine blue under Deep blue', '.toast');
    // Two more by search in the umbrella's panel, one by one, and saved once.
    $me->open('/values/color/flow?q=ultramarine')
        ->press('Deep blue', '.flow')
        ->see('Umbrella of 2 values', '#panel')
        ->type('[name=join]', 'sap g')
        ->see('Sap green', '#joining')
        ->press('Sap green', '#joining')
        ->type('[name=join]', 'magenta')
        ->see('Magenta', '#joining')
        ->see('Sap green', '#joining')
        ->press('Magenta', '#joining')
        ->keys(WebDriverKeys::ESCAPE)
        ->keys('s')
        ->see('Umbrella of 4 values', '#panel')
        ->see('Changed the umbrella Deep blue', '.toast');
    // A spelling is dragged out of its value, or taken out with keys.
    $me->open('/values/color/flow?q=blue,+ultramarine')
        ->press('more spelling', '.flow')
        ->see('Blue, ultramarine', '.flow-spelling')
        ->press('Blue, ultramarine', '.flow')
        ->see('A spelling of', '#panel')
        ->keys('o')
        ->see('into a value of its own', '.toast')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/values/color/flow?in=1')->see('Back to all values')->open('/values/color/flow');
    expect($me->accessibilityProblems())->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});

test('the lenses share one selection; a value is renamed in its place; several are hidden and dressed', function (): void {
    $me = (new Person(bench()))
        ->signIn()
        ->open('/values/finish')
        ->click('tbody tr:nth-child(1) .pick')
        ->click('tbody tr:nth-child(2) .pick')
        ->see('Merge into one?', '#panel')
        ->press('Flow', '.lens')
        ->see('Merge into one?', '#panel')
        ->see('2 selected')
        ->press('Map', '.lens')
        ->see('These values have no shape')
        ->press('List', '.lens')
        ->see('2 selected');
    $me->press('Hide from shoppers', '#panel')
        ->see('Hid from shoppers:', '.toast')
        ->see('held', 'tbody')
        ->keys('u')
        ->see('Took back', '.toast');
    // What is selected stays so while others are searched for and paged to, in sight, and can be let go there.
    $me->open('/values/color')
        ->click('tbody tr:nth-child(2) .pick')
        ->see('1 selected')
        ->type('[data-find]', 'sap')
        ->keys(WebDriverKeys::ENTER)
        ->see('Alizarin Crimson hue', '.elsewhere')
        ->click('tbody tr:nth-child(1) .pick')
        ->see('2 selected')
        ->see('Merge into one?', '#panel')
        ->type('[data-find]', 'nothing is called so')
        ->keys(WebDriverKeys::ENTER)
        ->see('No value fits')
        ->press('Show all', '.work')
        ->see('2 selected')
        ->press('Next', '.foot')
        ->see('2 of 2', '.foot')
        ->see('2 selected')
        ->press('Alizarin Crimson hue', '.elsewhere')
        ->see('1 selected');
    $me->open('/values/finish')->focus('tbody tr:nth-child(1) .pick')->keys(WebDriverKeys::F2)->find('input[form="rename"]');
    $me->keys('Very glossy', WebDriverKeys::ENTER)->see('to Very glossy (Finish)', '.toast')->see('Very glossy', 'tbody');
    $me->open('/values/color/map')
        ->see('grays')
        ->click('label[data-says^="Viridian ·"]')
        ->see('Viridian', '#panel')
        ->see('1 selected')
        ->click('label[data-says^="Emerald green ·"]')
        ->see('Merge into one?', '#panel')
        ->see('Emerald green ·', '[data-map-says]')
        ->keys('a')
        ->see('Kept apart', '.toast');
    // Everything since an entry, told first, goes at once; one that stands alone is asked for as before.
    $me->open('/values/finish')
        ->type('#new', 'Eggshell')
        ->press('Make it', '#panel')
        ->see('Made the value Eggshell', '.toast')
        ->open('/values/finish')
        ->type('#new', 'Chalky')
        ->press('Make it', '#panel')
        ->see('Made the value Chalky', '.toast')
        ->open('/history?q=Eggshell')
        ->press('New value Eggshell', '.work')
        ->see('Take this back?', '#panel')
        ->press('Everything since then', '#panel')
        ->see('2 entries would be taken back', '#panel')
        ->press('Only this entry', '#panel')
        ->see('an entry of its own', '#panel')
        ->press('Everything since then', '#panel')
        ->press('Take all of it back', '#panel')
        ->see('Took back 2 entries', '.toast')
        ->open('/values/finish')
        ->notSee('Eggshell', '.work')
        ->notSee('Chalky', '.work')
        ->open('/values/color/map');
    expect($me->accessibilityProblems())->toBe([]);
    foreach (['/values/brush-size/map', '/values/weight', '/values/volume', '/values/color'] as $path) {
        expect($me->open($path)->accessibilityProblems())->toBe([], $path);
    }
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test(
    'newcomers of a later delivery are settled with one key each and many at once; an old merge is taken back',
    function (): void {
        $site = bench();
        $file = sys_get_temp_dir().'/lokum-later-'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents(
            $file,
            "sku,name,category,Colour\nNEW-1,One,Paint > Oil,\"Viridian, \"\nNEW-2,Two,Paint > Oil,\"Sienna, raw \"\n".
            "NEW-3,Three,Paint > Oil,Gamboge nova\nNEW-4,Four,Paint > Oil,Virridian\nNEW-5,Five,Paint > Oil,Cobalt Bleu\n",
        );
        expect($site->command(['feed:read', $file, '--feed=Tarnbeck'])[0])->toBe(0);
        unlink($file);
        $me = (new Person($site))->signIn()->open('/')->see('newcomers')->open('/newcomers/color')->see('Virridian')->see('Gamboge nova');
        // Said by typing, in the row's own field: what is not there is refused at its row, and nothing is lost.
        $me->focus('tbody tr:nth-child(1) .pick')
            ->keys('i')
            ->keys('Gambodge', WebDriverKeys::ENTER)
            ->see('Color has no value "Gambodge"', 'tbody tr:nth-child(1)')
            ->type('tbody tr:nth-child(1) [data-values]', 'indian y')
            ->holds('document.querySelector("tbody tr:nth-child(1) datalist option")?.value.toLowerCase() === "indian yellow"')
            ->type('tbody tr:nth-child(1) [data-values]', 'indian yellow')
            ->keys(WebDriverKeys::ENTER)
            ->see('Settled 1 newcomer as values that were there (Color)', '.toast')
            ->keys('u')
            ->see('Took back', '.toast')
            ->open('/newcomers/color')
            ->see('Gamboge nova');
        $row = fn (string $text): string => 'tr[data-row]:has([aria-label="Select '.$text.'"]) .pick';
        $me->focus($row('Gamboge nova'))
            ->keys('n')
            ->see('0 merged, 0 gathered, 1 kept', '.toast')
            ->notSee('Gamboge nova', 'tbody');
        $me->focus($row('Virridian'))->keys('m')->see('1 merged', '.toast');
        $me->press('All', '#panel')
            ->see('Settled', '.toast')
            ->keys('u')
            ->see('Took back', '.toast')
            ->see('Found their place by themselves');
        expect($me->accessibilityProblems())->toBe([]);
        $me->click('[aria-label="Select all"]')->keys('t')->see('Settled', '.toast');
        // The merge of Virridian is older than what was settled since; it is taken back alone.
        $me->open('/history')
            ->press('Settled 1 newcomer: 1 merged', '#work')
            ->see('Take back', '#panel')
            ->press('Take back', '#panel')
            ->see('Took back: settled 1 newcomer', '.toast')
            ->open('/values/color?q=virridian')
            ->see('Virridian', 'tbody .name');
        expect($me->complaints())->toBe([]);
        $me->leave();
    },
);

test('a value wears as many colors as are chosen, by picker and by name', function (): void {
    $shown = '[...document.querySelectorAll(\'[name="colors[]"]\')].filter(e => ! e.hidden).length === arguments[0]';
    $me = (new Person(bench()))->signIn()->open('/values/finish')->click('[data-name="Satin"] a.name')->see('Satin', '#panel');
    $me->holds($shown, 1)
        ->set('[name="colors[]"]', '#aa3355')
        ->holds('document.querySelector("#color_count").value === "1"')
        ->choose('#color_count', '3')
        ->holds($shown, 3)
        ->choose('#color_count', '2')
        ->holds($shown, 2)
        ->press('Save', '#panel')
        ->see('Changed Satin', '.toast');
    expect($me->script('return document.querySelectorAll(\'[data-name="Satin"] .cube svg rect[fill^="#"]\').length'))->toBe(2);
    $me->click('[data-name="Satin"] a.name')
        ->see('Satin', '#panel')
        ->holds($shown, 2)
        ->type('[name="color_name"]', 'black and white')
        ->press('Save', '#panel')
        ->see('Changed Satin', '.toast')
        ->holds('document.querySelector(\'[data-name="Satin"] .cube svg rect\').getAttribute("fill") === "#000000"')
        ->keys('u')
        ->see('Took back', '.toast');
    expect($me->complaints())->toBe([]);
    $me->leave();
});
