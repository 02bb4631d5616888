<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Person;
use Tests\Support\Site;

/* Look-alikes one after the other with keys alone, the certain ones at once, and texts that cannot be read. */

test('look-alikes are merged, kept apart, put off and taken back with keys alone', function (): void {
    $me = (new Person(Site::start(built: true)))
        ->signIn()
        ->open('/values/color')
        ->see('Review', '.lens')
        ->keys('r')
        ->see('groups to decide on')
        ->see('The same thing?', '#panel')
        ->see('Next delivery', '#panel')
        ->holds('document.querySelectorAll("main ol li").length === 8');
    $count = fn (): int => (int) $me->script('return document.querySelector(".lens b").innerText');
    $before = $count();
    $first = $me->text('tbody tr:first-child .cube');
    $me->keys('m')
        ->see('Merged', '.toast')
        ->notSee($first, 'tbody tr:first-child')
        ->keys('a')
        ->see('Kept apart', '.toast')
        ->keys('l')
        ->notSee('Kept apart', '.toast');
    expect($count())->toBe($before - 3);
    // A member that is none of them is left out, and the one that stays is called by another name.
    $me->open('/values/color/look-alikes')
        ->click('tbody tr:last-child .pick')
        ->see('Tick at least two', '#panel')
        ->click('tbody tr:last-child .pick')
        ->see('Products whose value changes', '#panel')
        ->type('#label', 'A name of its own')
        ->press('Merge', '#panel')
        ->see('into A name of its own (Color)');
    $me->keys('u')->see('Took back', '.toast')->open('/values/color/look-alikes?batch=1')->see('Take the certain ones', '#panel');
    $problems = $me->accessibilityProblems();
    $me->keys('m')->see('values merged into', '.toast')->keys('u')->see('Took back', '.toast');
    $me->open('/values/volume/unread')
        ->type('input[aria-label="half pan means"]', '1.5 ml')
        ->keys(WebDriverKeys::ESCAPE)
        ->keys('s')
        ->see('read half pan as 1.5 ml', '.toast')
        ->see('Every text can be read');
    $me->open('/values/color/look-alikes');
    $problems = [...$problems, ...$me->accessibilityProblems()];
    foreach (
        ['/shop/a/brand', '/shop/a/brand/ninefold', '/values/weight/unread', '/values/brand', '/values/color/umbrellas'] as $path
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

test('values are gathered under an umbrella with keys, which is dressed, left and taken back', function (): void {
    $me = (new Person(Site::start(built: true)))
        ->signIn()
        ->open('/values/finish')
        ->see('4 values')
        ->click('tbody tr:nth-child(1) .pick')
        ->click('tbody tr:nth-child(4) .pick')
        ->see('Or let shoppers tick them as one', '#panel');
    $me->type('#under', 'Shiny')
        ->see('New umbrella Shiny', '#panel')
        ->see('4 → 3', '#panel')
        ->keys(WebDriverKeys::ESCAPE)
        ->keys('g')
        ->see('under Shiny (Finish)', '.toast')
        ->see('Shoppers tick', 'thead')
        ->see('Shiny', 'tbody .tray');
    $me->press('Shiny', 'tbody')
        ->see('Umbrella of 2 values', '#panel')
        ->type('#label', 'Shining')
        ->press('Save', '#panel')
        ->see('Changed the umbrella Shining', '.toast');
    $me->open('/publishing')
        ->see('Shining')
        ->open('/values/finish')
        ->click('tbody tr:nth-child(1) .pick')
        ->see('Take out of the umbrella', '#panel')
        ->press('Take out', '#panel')
        ->see('out of their umbrella', '.toast')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/values/finish?umbrella=1');
    expect($me->accessibilityProblems())->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});

test('values that say the same in other names are shown with the reason; only certain ones go at once', function (): void {
    $site = Site::start(built: true);
    $file = tempnam(sys_get_temp_dir(), 'fittings').'.csv';
    file_put_contents(
        $file,
        "sku,name,Fitting\nZ1,Cell,AA\nZ2,Cell,LR6\nZ3,Lamp,IP65\nZ4,Lamp,IP 65\nZ5,Knob,Brass\nZ6,Knob,Messing\nZ7,Knob,Oak\n",
    );
    file_put_contents("{$file}.json", '{"columns": {"Fitting": {"attribute": "fitting", "kind": "choice"}}}');
    [$status] = $site->command(['feed:read', $file, '--feed=Fittings', "--map={$file}.json"]);
    expect($status)->toBe(0);
    $me = (new Person($site))
        ->signIn()
        ->open('/values/fitting/look-alikes')
        ->see('3 groups to decide on')
        ->see('IEC 60086: LR6 is AA')
        ->see('same letters and digits, set apart differently: IP65, IP 65')
        ->see('the same in another language: Brass, Messing')
        ->open('/values/fitting/look-alikes?batch=1')
        ->see('IEC 60086: LR6 is AA', 'main')
        ->notSee('Messing', 'main')
        ->keys('m')
        ->see('merged into', '.toast')
        ->open('/values/fitting/look-alikes')
        ->see('2 groups to decide on')
        ->keys('m')
        ->see('Merged', '.toast')
        ->keys('u')
        ->see('Took back', '.toast');
    $me->open('/products?where[]=fitting:aa')->see('2 of ')->back()->reload()->see('2 groups to decide on', 'main');
    expect($me->complaints())->toBe([]);
    $me->leave();
});

test('values in five languages meet under the name of the shop, and a small delivery is in the shop right after', function (): void {
    $file = function (array $materials, float $price): string {
        $path = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'-stoves.csv';
        $lines = array_map(
            fn (string $material, int $i): string => "S{$i},Stove {$i},Stoves,".number_format($price * ($i + 1), 2, '.', '').",{$material}",
            $materials,
            array_keys($materials),
        );
        file_put_contents($path, "Art-Nr,Product,Category,Price EUR,Material\n".implode("\n", $lines)."\n");

        return $path;
    };
    $materials = ['ghisa', 'ghisa', 'Gusseisen', 'fonte', 'Cast iron', 'Stahl', 'Stahl', 'acier', 'Steel', 'Glass', 'Headband glass'];
    $site = Site::start(built: false);
    expect($site->command(['feed:read', $file($materials, 10.0), '--feed=Stoves'])[0])->toBe(0);
    $me = (new Person($site))->signIn()->open('/definitions')->press('Accept the ticked ones')->see('Accepted');
    // Two merges, quickly and by keys; each is called as an English shop calls it.
    $me->open('/values/material/look-alikes')
        ->see('the same in another language: ghisa, Gusseisen, Cast iron, fonte')
        ->holds('document.querySelector("#label").value === "Cast iron"')
        ->keys('m')
        ->see('into Cast iron (Material)', '.toast')
        ->see('Stahl', 'tbody')
        ->holds('document.querySelector("#label").value === "Steel"')
        ->keys('m')
        ->see('into Steel (Material)', '.toast')
        ->see('No look-alikes');
    $me->reload()->see('No look-alikes')->open('/line-ups')->choose('#source', 'material')->press('Add', 'main')->see('Added', '.toast');
    $me->open('/publishing')->press('Publish edition 1', '#panel')->see('Edition 1 is live', '.status');
    $me->open('/shop')->see('Cast iron', '#listing')->notSee('Gusseisen', '#listing')->open('/shop?material=gusseisen')->see('5 products');
    // Another room: the next delivery has other prices and one other material, and is published over the edition before.
    $me->open('/feeds')
        ->attach('#file', $file([...array_slice($materials, 0, 9), 'Steel', 'Steel'], 3.0))
        ->type('#feed', 'Stoves')
        ->press('Look at it', '#panel')
        ->press('Check', '#panel')
        ->see('Read it like this?', '#panel')
        ->press('Read 11 rows', '#panel')
        ->see('See what taking it back would do', '#panel');
    $me->open('/publishing')->press('Publish edition 2', '#panel')->see('Edition 2 is live', '.status');
    $me->open('/shop?sort=price-down')
        ->see('€33.00', '#listing main')
        ->open('/shop?material=steel')
        ->see('6 products')
        ->back()
        ->reload()
        ->see('€33.00', '#listing main');
    // And taken back from where it stood, with the shop as it was after the next publication.
    $me->open('/history')->press('Read Stoves', '.work')->see('Take this back?', '#panel')->keys('u')->see('Took back', '.toast');
    $me->open('/publishing')->press('Publish edition 3', '#panel')->see('Edition 3 is live', '.status');
    $me->open('/shop?sort=price-down')->see('€110.00', '#listing main')->open('/shop?material=steel')->see('4 products');
    expect($me->accessibilityProblems())->toBe([])->and($me->complaints())->toBe([]);
    $me->leave();
});
