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
        ->see('taken back', 'tbody');
    $me->press('Tarnbeck', 'tbody')->see('Read, and taken back', '#panel');
    expect($me->complaints())->toBe([]);
    $me->leave();
});
