<?php

declare(strict_types=1);

/* Takes the pictures in docs/screenshots anew, from the demo data: php tests/Support/pictures.php [name …] */

use Tests\Browser\Person;
use Tests\Support\Site;

require __DIR__.'/../../vendor/autoload.php';

$site = Site::start(built: true);
foreach (
    [
        ['feed:read', dirname(__DIR__, 2).'/demo/later/ostrelle.csv', '--feed=Ostrelle'],
        ['feed:read', dirname(__DIR__, 2).'/demo/later/pellworth.csv', '--feed=Pellworth'],
    ] as $command
) {
    [$status, , $why] = $site->command($command);
    if ($status !== 0) {
        fwrite(STDERR, $why);
    }
}
$me = (new Person($site))->signIn();
$oils = '/products?where[]=category:oil&sort=sku&columns[]=finish&columns[]=occasion&columns[]=transparent&columns[]=volume';
$pictures = [
    'today' => fn () => $me->open('/')->see('What waits for you')->see('look-alikes'),
    'feeds' => fn () => $me->open('/feeds')->press('Look at it', 'tbody tr:last-child')->see('Check it first'),
    'definitions' => fn () => $me->open('/definitions?open=finish')->see('Finish', '#panel'),
    'expected' => fn () => $me->open('/expected?category=paint')->see('Expected here', '#panel'),
    'products' => fn () => $me
        ->open('/products?where[]=category:paint&where[]=missing:finish&all=1&give=finish')
        ->type('#give-value', 'Satin')
        ->see('Change 257', '#panel'),
    'product' => fn () => $me->open('/products?where[]=category:acrylic')->click('tbody tr:nth-child(3) a.name')->see('should carry'),
    'grid' => fn () => $me
        ->open($oils)
        ->focus('.sheet tbody tr:nth-child(4) td[data-definition="finish"]')
        ->keys('Sattin')
        ->see('did you mean', '.cell-offers'),
    'rules' => fn () => $me->open('/rules')->press('Look at the rule')->see('Are filled', '#panel'),
    'flow' => fn () => $me
        ->open('/values/color/flow?q=ultramarine')
        ->click('[aria-label="Select Ultramarine blue"]')
        ->click('[aria-label="Select Blue, ultramarine"]')
        ->see('Merge into one?', '#panel'),
    'values' => fn () => $me->open('/values/color')->click('[data-name="Burnt Sienna"] a.name')->see('Burnt Sienna', '#panel'),
    'map' => fn () => $me->open('/values/color/map')->see('Without a color'),
    'newcomers' => fn () => $me->open('/newcomers/color')->see('Newcomers'),
    'look-alikes' => fn () => $me->open('/values/color/look-alikes')->see('The same thing?'),
    'line-ups' => fn () => $me
        ->open('/line-ups?page=paint&filter=price')
        ->see('Bands', '.filter-card')
        ->see('As shoppers would see it'),
    'storefront' => fn () => $me->open('/shop/c/paint?color=blue&price=10..15')->see('Clear all'),
    'outside' => fn () => $me
        ->open('/outside')
        ->press('Use the stand-in')
        ->see('Notices go to')
        ->press('Send now')
        ->see('delivered', '#notices'),
    'publishing' => fn () => $me->open('/publishing')->see('What shoppers would find different'),
    'history' => fn () => $me->open('/history')->press('Gathered')->see('Take this back?', '#panel'),
];
$morning = function () use (&$me): void {
    $me->leave();
    $site = Site::start(built: true);
    $site->command(['demo', '--no-serve', '--nights=5', '--port='.(1 + (int) parse_url($site->address, PHP_URL_PORT))]);
    $me = (new Person($site))->signIn()->open('/')->see('By itself, since yesterday');
};
$pictures['morning'] = $morning;
foreach (array_slice($argv, 1) ?: array_keys($pictures) as $name) {
    $pictures[$name]();
    usleep(900_000);
    $me->screenshot(dirname(__DIR__, 2)."/docs/screenshots/{$name}.png");
    echo "{$name}\n";
}
$me->leave();
