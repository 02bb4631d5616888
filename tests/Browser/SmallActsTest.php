<?php

declare(strict_types=1);

use Tests\Browser\Person;
use Tests\Support\Site;

/* The small acts between the large ones, one after the other in several rooms, each seen and taken back where that matters. */

test('filters under a heading, shared and dressed; a definition with another address; units; a planned publication', function (): void {
    $site = Site::start(built: true);
    $me = (new Person($site))->signIn();
    foreach (['brand', 'volume'] as $filter) {
        $me->open("/line-ups?page=shop&filter={$filter}")
            ->type('#group', 'What it is')
            ->press('Save', '.filter-card')
            ->see('Changed the filter', '.toast');
    }
    $me->see('What it is', '#live')->see('What it is', '.lineup-work table');
    // One filter of Paper is had in Brushes, too: its title changes at both.
    $me->open('/line-ups?page=brushes');
    $shared = $me->script("return [...document.querySelectorAll('#source option')].find((one) => one.value.startsWith('shared:')).value");
    $me->choose('#source', (string) $shared)
        ->press('Add', 'main')
        ->see('Shared the filter', '.toast')
        ->see('Shared with Paper', '.filter-card')
        ->type('#title', 'Free of acid')
        ->press('Save', '.filter-card')
        ->open('/line-ups?page=paper')
        ->see('Free of acid', '.lineup-work table')
        ->open('/line-ups?page=brushes&filter=acid-free')
        ->press('its own from now on', '.filter-card')
        ->notSee('Shared with', '.filter-card');
    // A term is dressed for the pages of Paint alone, and lets go of it.
    $me->open('/line-ups?page=paint&filter=color')->script("document.querySelector('.filter-card details').open = true");
    $me->click('[aria-label="Dress Blue for this filter alone"]')
        ->see('What is left empty stays')
        ->type('#look_label', 'Deep sea')
        ->press('Save', '.filter-card')
        ->see('Deep sea', '#live')
        ->open('/line-ups')
        ->notSee('Deep sea', '#live');
    // Another word in addresses: the one before leads on, here and in the shop.
    $me->open('/definitions?open=finish')->script("[...document.querySelectorAll('#panel details')].at(-1).open = true");
    $me->type('#address', 'Surface sheen')
        ->press('Change the address', '#panel')
        ->see('"finish" leads there', '.toast')
        ->open('/values/finish')
        ->see('Satin')
        ->open('/publishing')
        ->see('finish=… will lead to surface-sheen=…');
    // Units of one's own are counted while they are typed, and what is none is said beside the field.
    $me->open('/definitions/units')
        ->type('#units', "tube, tubes = 12 pieces\n")
        ->see('Texts that can be read then', '#panel')
        ->press('Save')
        ->see('Changed the units', '.toast')
        ->type('#units', 'crate = 3 boxfuls')
        ->press('Save')
        ->see('is not a number with a unit that Lokum knows');
    // A publication for later, and called off.
    $me->open('/publishing')->script("[...document.querySelectorAll('#panel details')].at(-1).open = true");
    $me->set('#at', now()->addDays(2)->format('Y-m-d\TH:i'))
        ->press('Plan it', '#panel')
        ->see('unless shoppers lose more', '#panel')
        ->press('Call it off', '#panel')
        ->see('called off', '.toast');
    expect($me->complaints())->toBe([]);
});

test('a product stands in a second category, several yes and no at once, out of the shop, and gone for good', function (): void {
    $site = Site::start(built: true);
    $me = (new Person($site))->signIn();
    $me->open('/products?where[]=category:acrylic')->click('tbody tr:nth-child(3) a.name')->see('should carry');
    $name = trim($me->text('h1'));
    $me->choose('[aria-label="Put it into a further category"]', 'drawing-ink')
        ->press('Put in', 'main')
        ->see('also in', 'main')
        ->open('/products?where[]=category:drawing-ink&where[]=category:acrylic')
        ->see($name)
        ->open('/products?where[]=category:acrylic&all=1&give=yes:no')
        ->choose('#flag-vegan', 'yes')
        ->see('Set ', '#panel')
        ->press('Set ', '#panel .deed')
        ->see('Set Vegan Yes on', '.toast')
        ->press('Take back', '.toast');
    // Out of the shop, and then for good: counted first.
    $me->open('/products?where[]=category:drawing-ink&where[]=category:acrylic')
        ->click('tbody tr:nth-child(1) .pick')
        ->see('1 product selected', '#panel')
        ->script("document.querySelector('#panel button[value=out][formaction\$=\"/out\"]').closest('details').open = true");
    $me->press('Take out: 1 product', '#panel')->see('out of the shop', '.toast');
    $me->open('/products?where[]=gone:out&all=1')->script("[...document.querySelectorAll('#panel details')].at(-1).open = true");
    $me->press('Count what would go', '#panel')
        ->see('This cannot be taken back', '#panel')
        ->press('Delete 1 product for good', '#panel')
        ->see('Deleted 1 product for good', '.toast')
        ->open('/history')
        ->see('Deleted 1 product for good');
    expect($me->complaints())->toBe([]);
});

test('nested JSON in an archive and a list of concepts lead to the shop', function (): void {
    $site = Site::start(built: true);
    $me = (new Person($site))->signIn();
    $rows = array_map(fn (int $i): array => [
        'sku' => "T-{$i}",
        'title' => "Teapot {$i}",
        'category' => 'Tea > Pots',
        'price' => 10 + $i,
        'attributes' => ['Glaze' => ['Celadon', 'Tenmoku', 'celadon'][$i % 3], 'Lid' => $i % 2 === 0],
    ], range(1, 30));
    $path = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'.json.gz';
    file_put_contents($path, gzencode((string) json_encode(['items' => $rows])));
    $me->open('/feeds')->attach('input[type=file]', $path)->press('Look at it')->see('Check it first');
    $me->see('Glaze')->press('Check', '#panel')->see('30', '#panel')->press('Read', '#panel')->see('was left as it is', '#panel');
    $me->open('/definitions?open=glaze')->press('Accept', '#panel')->see('Accepted Glaze', '.toast');
    $list = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'.ttl';
    file_put_contents(
        $list,
        "@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:g:1> skos:prefLabel \"Celadon\" ; skos:altLabel \"Seladon\"@de ;\n".
            "    skos:broader <urn:g:green> .\n<urn:g:green> skos:prefLabel \"Greens\" .\n",
    );
    $me->open('/values/glaze/vocabulary')
        ->attach('input[type=file]', $list)
        ->press('Look at it')
        ->see('Take this list in?', '#panel')
        ->press('Take it in', '#panel')
        ->see('Greens');
    $me->open('/line-ups?page=pots')->choose('#source', 'glaze')->press('Add', 'main')->see('Greens', '#live');
    $me->open('/publishing')->press('Publish edition 2', '#panel')->see('Edition 2')->open('/shop/c/pots')->see('Greens');
    $me->back()->reload();
    expect($me->complaints())->toBe([]);
    array_map(unlink(...), [$path, $list]);
});

test('a value is told on products alone, a feed leaves columns, lists come in whole, an edition is served again', function (): void {
    $site = Site::start(built: true);
    $me = (new Person($site))->signIn();
    // The term goes, and the product still says it.
    $me->open('/values/finish')->click('[data-name="Satin"] a.name')->see('Satin', '#panel')->choose('#shown', 'products');
    $me->press('Save', '#panel')
        ->see('Changed Satin', '.toast')
        ->see('not in filters', '[data-name="Satin"]')
        ->open('/publishing')
        ->see('Satin · had');
    // The same of what is ticked, and back.
    $me->open('/values/finish')
        ->click('[data-name="Gloss"] .pick')
        ->press('On products only', '#panel')
        ->see('Showed on products alone', '.toast');
    $me->press('Take back', '.toast')->notSee('not in filters', '[data-name="Gloss"]');
    $me->open('/publishing')->press('Publish edition 2', '#panel')->see('Edition 2');
    // Gone from the shop once more, with a reason.
    $me->open('/publishing')
        ->press('Compare, serve again')
        ->see('Serve it again?', '#panel')
        ->type('#why', 'Satin was missed')
        ->press('Serve edition 1 again', '#panel')
        ->see('Edition 1 is served again', '.toast')
        ->open('/history')
        ->see('as edition 3: Satin was missed');
    // What a feed leaves stays said when its page is opened again.
    $me->open('/feeds/sources/1')->script("document.querySelector('[name=\"leaves[]\"]').closest('details').open = true");
    $me->click('[name="leaves[]"][value="price"]')
        ->press('Save', '#panel')
        ->see('Left to another feed where it sends the same product: 1 column')
        ->reload()
        ->holds('document.querySelector("[name=\"leaves[]\"][value=price]").checked');
    // The whole vocabulary of another shop, looked at and taken in.
    $archive = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'.zip';
    $zip = new ZipArchive();
    $zip->open($archive, ZipArchive::CREATE);
    $zip->addFromString('finish.csv', "value,umbrella,spelling\nEggshell,Low sheen,egg shell\n");
    $zip->addFromString('hair.csv', "value\nMongoose\n");
    $zip->addFromString('nowhere.csv', "value\nNothing\n");
    $zip->close();
    $me->open('/values')
        ->attach('#list', $archive)
        ->press('Look at it', '#panel')
        ->see('Take these lists in?', '#panel')
        ->see('nowhere.csv', '#panel')
        ->keys('s')
        ->see('Took in lists for Finish, Hair', '.toast')
        ->open('/values/hair')
        ->see('Mongoose')
        ->open('/settings')
        ->set('#editions_mb', '500')
        ->press('Save', 'main')
        ->see('size of editions kept', '.toast');
    unlink($archive);
    expect($me->complaints())->toBe([]);
});
