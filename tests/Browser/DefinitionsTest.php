<?php

declare(strict_types=1);

use Tests\Browser\Person;
use Tests\Support\Site;

/* Definitions that fit the catalog: expectations, a change of kind and level, two that become one, retiring and deleting. */

test('definitions are expected, changed, merged, retired and taken back', function (): void {
    $me = (new Person(Site::start(built: true)))->signIn();
    $me->open('/expected?category=paper')
        ->see('Expected here', '#panel')
        ->click('[aria-label="expect Sheets"]')
        ->see('Sheets expected in Paper', '.toast')
        ->press('Sheets', 'tbody')
        ->see('expected and missing Sheets');
    // A gap leads to the products that miss the value.
    $me->open('/expected?category=paint')->press('Finish', 'tbody')->see('233 of')->see('expected and missing Finish');
    // A change of kind says what it finds before it is made.
    $me->open('/definitions?open=sheets')
        ->choose('#kind', 'text')
        ->see('every text can be read', '#panel')
        ->press('Save', '#panel')
        ->see('Changed Sheets')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/definitions?open=fibre')->choose('#kind', 'flag')->see('cannot be read and stay as text', '#panel');
    $me->open('/definitions?open=length-mm')->press('Accept', '#panel')->see('Accepted Length');
    // Level: down to the variants and back.
    $me->open('/definitions?open=finish')
        ->press('the variant', '#panel')
        ->press('Save', '#panel')
        ->see('Changed Finish')
        ->open('/products?where[]=category:oil&sort=sku&columns[]=finish&variants=1')
        ->see('gloss', 'tr.variant-row')
        ->open('/history')
        ->press('Changed Finish')
        ->press('Take back', '#panel')
        ->see('Took back', '.toast');
    // Names alike are pointed out; making them one shows what happens first.
    $me->open('/definitions?open=new')
        ->type('#label', 'Colours')
        ->press('Define', '#panel')
        ->see('Defined Colours')
        ->see('would be 2 filters where shoppers expect one')
        ->press('Make them one')
        ->see('Merge into Color?', '#panel')
        ->press('Merge, keep', '#panel')
        ->see('Merged Colours (colours) into Color')
        ->notSee('would be 2 filters');
    $me->open('/definitions?open=paper-tone&into=color')
        ->see('Next deliveries: “Color” leads to Color', '#panel')
        ->press('Merge, keep', '#panel')
        ->see('578 cells came')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/definitions?open=vegan')
        ->press('Merge, retire or delete', '#panel')
        ->see('What it holds together', '#panel')
        ->press('Retire', '#panel')
        ->see('Retired Vegan')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/definitions?open=vegan&end=1')
        ->press('Delete with', '#panel')
        ->see('Deleted Vegan')
        ->keys('u')
        ->see('Took back', '.toast')
        ->open('/definitions?open=vegan')
        ->see('In use', '#panel');
    $problems = [];
    foreach (
        [
            '/expected?category=paint',
            '/definitions?open=finish&end=1',
            '/definitions?open=paper-tone&into=color',
            '/rules',
            '/rules?definition=finish&source=words',
            '/products?where[]=category:oil&variants=1',
            '/products?all=1&give=finish',
        ] as $path
    ) {
        $me->open($path);
        $problems = [
            ...$problems,
            ...array_map(fn (string $problem): string => "{$path}: {$problem}", $me->accessibilityProblems()),
        ];
    }
    expect($problems)->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});
