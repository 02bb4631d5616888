<?php

declare(strict_types=1);

use Tests\Browser\Person;
use Tests\Support\Site;

/* Deliveries as they come and go: a renamed column, a check, a reading, and its way back. */

test('a delivery with a renamed column is read, and taken back as one', function (): void {
    $me = (new Person(Site::start(built: true)))->signIn()->open('/feeds');
    $me->press('Look at it', 'tbody tr:last-child')
        ->see('Check it first')
        ->see('Colour name')
        ->see('values are those of Color')
        ->holds('document.querySelector("[aria-label=\"Column Colour name leads to\"]").value === "color"')
        ->press('Check', '#panel')
        ->see('Read it like this?', '#panel')
        ->see('It can be taken back', '#panel')
        ->press('Read 84 rows', '#panel')
        ->see('See what taking it back would do', '#panel');
    expect($me->accessibilityProblems())->toBe([]);
    $me->open('/products')->see('1,122 products');
    $me->back()
        ->press('See what taking it back would do', '#panel')
        ->see('Take this back?', '#panel')
        ->see('Products or variants go again', '#panel')
        ->keys('u')
        ->see('Took back: read Tarnbeck', '.toast')
        ->open('/products')
        ->see('1,098 products')
        ->open('/feeds')
        ->see('taken back', '#readings');
    $me->press('Tarnbeck', '#readings')->see('Read, and taken back', '#panel');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('a source is said with its bounds, what is beyond them is held, and an edition is served again', function (): void {
    $site = Site::start(built: true);
    $me = (new Person($site))->signIn()->open('/feeds')->press('Brannoch', 'table')->see('Where its files come from');
    // Fields come with what they are about.
    $me->click('[name="kind"][value="address"]')->see('Address', '#source');
    $me->click('[name="kind"][value="inbox"]')->notSee('Password', '#source');
    $me->type('#pattern', 'brush-*.csv')->set('#times', 'soon')->click('[name="by_itself"]');
    $me->keys('s');
    $me->press('Save', '#panel')->see('is no time', '#source');
    $me->set('#times', 'weekdays 05:30')->press('Save', '#panel')->see('weekdays 05:30, read by itself within bounds', '.toast');
    expect($me->accessibilityProblems())->toBe([]);
    // Half of what is usual.
    $lines = file(dirname(__DIR__, 2).'/demo/feeds/brannoch.csv') ?: [];
    $later = [...$lines, "BR-NEW,,New brush,Brushes,Brannoch\n"];
    foreach (['brush-1.csv' => array_slice($lines, 0, 200), 'brush-2.csv' => $later] as $name => $sent) {
        file_put_contents("{$site->data}/inbox/{$name}", $sent);
        touch("{$site->data}/inbox/{$name}", time() - 60);
    }
    $me->press('Look now', '#panel')->see('rows, at least', '#source ~ section')->see('held', '#source ~ section');
    $me->see('1 new', '#source ~ section');
    $me->open('/')->see('Brannoch is held')->see('rows, at least')->see('By itself, since yesterday');
    expect($me->accessibilityProblems())->toBe([]);
    $me->press('Look at it', '.cards')->see('It came by itself and is held', '#panel')->keys('x')->see('Put brush-1.csv aside', '.toast');
    $me->open('/')->notSee('Brannoch is held');
    $me->open('/feeds/runs')->choose('#run-state', 'held')->press('Show', 'main')->see('brush-1.csv')->notSee('brush-2.csv');
    expect($me->accessibilityProblems())->toBe([]);
    // An edition before is served again.
    expect($site->command(['publish'])[0])->toBe(0);
    $me->open('/publishing')->press('Compare, serve again')->see('Serve it again?', '#panel')->see('−1', '#panel')->keys('s');
    $me->see('Edition 1 is served again, as edition 3', '.toast')->see('Edition 3', '.status');
    $me->open('/shop')->see('1,098 products', '[role="status"]');
    expect($me->complaints())->toBe([]);
    $me->leave();
});
