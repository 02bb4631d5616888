<?php

declare(strict_types=1);

use Tests\Browser\Person;
use Tests\Support\Site;

/* The way from a supplier's file to a filter that follows the catalog, walked with the mouse from an empty catalog. */

const FEED = <<<'CSV'
sku,parent_sku,name,category,brand,price,currency,stock,Colour,Volume,Finish ,Vegan
T1,,Ninefold oil,Paint > Oil,Ninefold,,,,,,Gloss,yes
T1-a,T1,,,,4.50,EUR,3,Burnt Sienna,37 ml,,
T1-b,T1,,,,9.50,EUR,0,Sienna burnt,120 ml,,
T1-c,T1,,,,6.50,EUR,5,Viridian ,37 ml,,
T2,,Tarnbeck studio,Paint > Acrylic,Tarnbeck,,,,,,gloss,no
T2-a,T2,,,,5.00,EUR,2, viridian,60 ml,,
T2-b,T2,,,,7.00,EUR,0,Burnt sienna,2 cl,,
T3,,Ostrelle half pan,Paint > Watercolor,Ostrelle,3.20,EUR,9,Cerulean,5 ml,Matte,yes
T4,,"<script>alert(1)</script>",Paint > Watercolor,Ostrelle,"12,50 €",EUR,9,Cerulean,5 ml,Matte,yes
T5,,Brannoch wash,Brushes,Brannoch,8.00,EUR,4,,,Matte,no
T6,,"<img src=x onerror=alert(2)> brush",Brushes,Brannoch,8.00,EUR,4,,,Matte,no

CSV;

const LATER = <<<'CSV'
sku,parent_sku,name,category,brand,price,currency,stock,Colour,Volume,Finish ,Vegan
T1,,Ninefold oil,Paint > Oil,Ninefold,,,,,,Gloss,yes
T1-b,T1,,,,9.90,EUR,4,Sienna burnt,120 ml,,
T7,,Loxholm gouache,Paint > Gouache,Loxholm,6.10,EUR,2,Phthalo blue,14 ml,Matte,yes
T8,,Loxholm gouache two,Paint > Gouache,Loxholm,6.10,EUR,2,SIENNA  BURNT,14 ml,Matte,yes

CSV;

function csvFile(string $csv, string $name): string
{
    $path = sys_get_temp_dir().'/'.bin2hex(random_bytes(4)).'-'.$name;
    file_put_contents($path, $csv);

    return $path;
}

test('the nine steps, with the mouse', function (): void {
    $me = new Person(Site::start(built: false));
    $me->signInByForm()->see('From files to your shop');

    // 2. A feed is looked at, checked and read.
    $me->press('Feeds', 'nav')
        ->attach('#file', csvFile(FEED, 'harbour.csv'))
        ->type('#feed', 'Harbour')
        ->press('Look at it', '#panel')
        ->see('comma between cells')
        ->see('UTF-8')
        ->see('Finish·')
        ->see('Burnt Sienna')
        ->see('Check it first');
    $me->press('Check', '#panel')
        ->see('Read it like this?')
        ->see('Refused rows 1')
        ->see('carries a currency')
        ->see('New products 5')
        ->see('New variants 5');
    expect($me->site->command(['values', 'colour'])[0])->toBe(1);
    $me->press('Read the good rows', '#panel')
        ->press('Read 10 rows', '#panel')
        ->see('done', '#panel')
        ->see('New products 5')
        ->see('Refused rows 1');

    // 3. Its columns stand as proposals.
    $me->press('Look over the definitions')->see('Proposed')->see('Colour')->see('Finish');
    $me->press('Colour', '.work')
        ->see('Burnt Sienna', '.work')
        ->type('#label', 'Color')
        ->press('Accept', '#panel')
        ->see('Accepted Color');
    $me->press('Volume', '.work')->see('Volume', '#panel h2')->press('Accept', '#panel')->see('Accepted Volume');
    $me->press('Accept the ticked ones')
        ->see('Accepted')
        ->press('Vegan', '.work')
        ->see('In use', '#panel')
        ->press('Merge, retire or delete', '#panel')
        ->see('What it holds together', '#panel')
        ->press('Retire', '#panel')
        ->see('Retired Vegan');
    $me->press('New definition', '.work')
        ->see('New definition', '#panel h2')
        ->type('#label', 'Weight')
        ->choose('#kind', 'number')
        ->find('#unit');
    $me->type('#unit', 'g')->press('Define', '#panel')->see('Defined Weight')->see('Number, g');
    $me->open('/definitions?open=new')
        ->type('#label', 'color')
        ->press('Define', '#panel')
        ->see('There is a definition Color already');

    // 4. Products: narrowed, one opened, several given a value.
    $me->press('Products', 'nav')->see('5 of 5 products')->see('<img src=x onerror=alert(2)> brush');
    $me->press('narrow')
        ->choose('#category', 'category:brushes')
        ->press('Narrow', '.work form')
        ->see('2 of 5 products')
        ->see('in Brushes and below');
    $me->press('in Brushes')->see('5 of 5 products');
    $me->open('/products?where[]=missing:colour')
        ->see('2 of 5 products')
        ->open('/products?where[]=finish:gloss')
        ->see('2 of 5 products')
        ->open('/products?q=half+pan')
        ->see('1 of 5 products');
    $me->press('Ostrelle half pan', '.work')
        ->press('more definition', '.work')
        ->type('input[aria-label="Weight of T3 in g"]', '12')
        ->press('Save', '.work')
        ->see('Set Weight 12 on T3');
    $me->open('/products?where[]=category:brushes')
        ->click('tbody tr:nth-child(1) .pick')
        ->click('tbody tr:nth-child(2) .pick')
        ->see('2 products selected', '#panel')
        ->choose('#give-what', 'finish')
        ->find('#give-value');
    $me->type('#give-value', 'Satin')
        ->see('has no value “Satin” yet', '#panel')
        ->see('Lose another value 2', '#panel')
        ->press('Set: 2', '#panel')
        ->see('Set Finish Satin on 2 products');
    $me->press('Take back', '.toast')->see('Took back', '.toast');

    // 5. Values: two merged, taken back, merged again; one renamed and dressed; the order changed.
    $me->press('Values', 'nav')->press('Color', '.work')->see('Viridian·')->see('·viridian')->see('4 values');
    $select = fn () => $me
        ->press('none', '.bar')
        ->click('input[aria-label="Select Burnt Sienna"]')
        ->see('1 selected')
        ->click('input[aria-label="Select Sienna burnt"]')
        ->see('Merge into one?', '#panel');
    $select()
        ->see('4 → 3', '#panel')
        ->see('…/sienna-burnt leads to …/burnt-sienna', '#panel')
        ->press('Merge, keep', '#panel')
        ->see('Merged Sienna burnt into Burnt Sienna')
        ->see('3 values', '.work');
    $me->press('Take back', '.toast')->see('4 values', '.work');
    $select()->press('Merge, keep', '#panel')->see('3 values', '.work');
    $me->press('Cerulean', '.work')
        ->see('Save', '#panel')
        ->type('#label', 'Cerulean blue')
        ->type('#look_help', 'A cool blue')
        ->press('Save', '#panel')
        ->see('Renamed Cerulean to Cerulean blue');
    $me->choose('#order', 'products')->see('Ordered Color by products')->choose('#order', 'hand')->see('Ordered Color by hand');
    $first = $me->script('return document.querySelector("tbody tr").dataset.name');
    $me->drag('tbody tr:nth-child(1) .handle', 'tbody tr:nth-child(3) .handle')
        ->holds('document.querySelector("tbody tr").dataset.name !== arguments[0]', $first)
        ->see('Ordered Color by hand')
        ->reload()
        ->holds('document.querySelector("tbody tr").dataset.name !== arguments[0]', $first);

    // 6. The line-up.
    $me->press('Line-ups', 'nav')->see('No filters yet');
    foreach (
        [
            'colour' => 'Color',
            'price' => 'Price',
            'stock' => 'In stock',
            'brand' => 'Brand',
            'volume' => 'Volume',
            'finish' => 'Finish',
        ] as $source => $title
    ) {
        $me->choose('#source', $source)
            ->press('Add', '.work')
            ->see("Added the filter {$title}");
    }
    $me->see('cubes with their looks · any of · follows · 3 terms');
    $me->open('/line-ups')
        ->press('Finish', '.work')
        ->see('Title', '.filter-card')
        ->type('#title', 'Sheen')
        ->choose('#control', 'menu')
        ->choose('#empty_terms', 'unavailable')
        ->press('Starts open', '.filter-card')
        ->press('Save', '.filter-card')
        ->see('Changed the filter Sheen')
        ->see('drop-down');
    $me->open('/line-ups')
        ->press('Price', '.work')
        ->see('Step', '.filter-card')
        ->type('#step', '0')
        ->press('Save', '.filter-card')
        ->see('The step is a number above zero')
        ->type('#step', '0.5')
        ->press('Save', '.filter-card')
        ->see('step 0.5');
    $me->open('/line-ups')
        ->drag('tbody tr:nth-child(6) .handle', 'tbody tr:nth-child(2) .handle')
        ->see("Reordered the shop's line-up")
        ->holds(
            'document.querySelector("tbody tr:nth-child(2), tbody tr:nth-child(3)").parentElement.innerText.indexOf("Sheen") < '.
            'document.querySelector("tbody").innerText.indexOf("Volume")',
        );

    // 7. Edition 1 and the storefront.
    $me->see('Nothing published yet', '.status')
        ->press('Nothing published yet')
        ->see('Publish edition 1', '#panel')
        ->press('Publish edition 1', '#panel')
        ->see('Edition 1 is live', '.status')
        ->see('no drift', '.status');
    $me->press('Storefront', 'nav')->see('All products')->see('5 products')->see('<img src=x onerror=alert(2)> brush');
    $me->press('Paint', 'nav')
        ->see('3 products')
        ->click('input[value="burnt-sienna"]')
        ->see('Color: Burnt Sienna')
        ->see('2 products');
    $me->at('/shop/c/paint?colour=burnt-sienna');
    $me->click('input[name="stock"][value="yes"]')->see('1 product')->notSee('Tarnbeck studio', '.goods');
    $me->at('/shop/c/paint?colour=burnt-sienna&stock=yes');
    $me->reload()->see('In stock: In stock')->see('1 product');
    $me->back()
        ->see('2 products')
        ->forward()
        ->see('In stock: In stock')
        ->press('Color: Burnt Sienna')
        ->see('3 products')
        ->press('Clear all')
        ->see('3 products');
    $me->choose('#sort', 'price-down')->see('3 products');
    expect($me->address())->toContain('sort=price-down');
    $me->type('input[name="price[to]"]', '4')
        ->keys("\t")
        ->see('Price: up to 4 €')
        ->see('1 product')
        ->press('Ostrelle half pan', '.goods')
        ->see('Cerulean blue')
        ->see('€3.20');

    // 8. A later delivery: growth without a hand on the line-up.
    $me->open('/feeds')
        ->attach('#file', csvFile(LATER, 'harbour.csv'))
        ->type('#feed', 'Harbour')
        ->press('Look at it', '#panel')
        ->see('as in the last reading')

        ->press('Check', '#panel')
        ->see('New values 2', '#panel')
        ->see('Spellings that resolve by themselves 1', '#panel')
        ->press('Read 4 rows', '#panel')
        ->see('done', '#panel');
    $me->open('/values/colour?q=burnt')->see('SIENNA··BURNT')->open('/values/colour?q=phthalo')->see('Phthalo blue');
    expect($me->script('return document.querySelector("tbody .cube rect").getAttribute("fill")'))->toBe('#0f4c94');
    $me->see('differences', '.status')
        ->press('differences', '.status')
        ->see('Phthalo blue · 1 product')
        ->press('Publish edition 2', '#panel')
        ->see('Edition 2 is live', '.status');
    $me->open('/shop/c/gouache')->see('2 products')->open('/shop?colour=sienna-burnt')->see('Color: Burnt Sienna');
    $me->at('/shop?colour=burnt-sienna');

    // 9. History.
    $me->press('To the line-up')
        ->press('History', 'nav')
        ->see('Published edition 2')
        ->see('Maren Quill')
        ->see('Merged Sienna burnt into Burnt Sienna');
    $me->press('Renamed Cerulean to Cerulean blue', '.work')
        ->see('Take this back?', '#panel')
        ->press('Take back', '#panel')
        ->see('Took back: renamed Cerulean to Cerulean blue');
    expect($me->complaints())->toBe([]);
    $me->leave();
});
