<?php

declare(strict_types=1);

use App\Draft\DraftLineups;
use App\Editions\EditionFile;
use App\Editions\Served;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Storefront\ListingAddress;
use App\Storefront\ShopPage;
use Illuminate\Http\Request;
use Lokum\Facet\Combine;

/* Addresses of listings: short, stable, the same for the same picks, and understood whatever stands in them. */

beforeEach(function (): void {
    $this->read(
        "sku,category,price,Color,Size,Weight,Notes\nA,Paint,4,Red,S,10,soft\nB,Paint,6,Blue,M,20,hard\n".
        "C,Paper,8,Green,L,30,soft\nD,Paper,9,Grün & Co,XL,,\n",
        '{"columns": {"Color": {"kind": "choice"}, "Size": {"kind": "choice"}, "Weight": {"kind": "number"}, "Notes": {"kind": "text"}}}',
    );
    array_map(app(EditLineup::class)->add(...), ['color', 'size', 'price', 'weight', 'notes']);
    $given = DraftLineups::load()->of('shop')->filters['size']->given;
    app(ChangeFilter::class)->save('size', ['combine' => 'one'] + $given, 'shop', ChangeFilter::token($given));
    $this->publish();
});

function shopEdition(): EditionFile
{
    return Served::now()->file();
}

function address(string $query): ListingAddress
{
    return ListingAddress::read(Request::create("/shop?{$query}"), shopEdition(), ShopPage::ofShop());
}

test('the same picks have one address, whatever was written', function (string $query, string $address): void {
    expect(address($query)->url())
        ->toBe($address)
        ->and(address((string) parse_url($address, PHP_URL_QUERY))->url())
        ->toBe($address);
})->with([
    'nothing' => ['', '/shop'],
    'order of terms' => ['color=red,blue', '/shop?color=blue,red'],
    'twice the same' => ['color=red,red', '/shop?color=red'],
    'a form' => ['color[]=red&color[]=blue&price[from]=5&price[to]=', '/shop?color=blue,red&price=5..'],
    'order of filters' => ['size=m&color=red', '/shop?color=red&size=m'],
    'single choice keeps the last' => ['size=s,m', '/shop?size=s'],
    'unknown terms' => ['color=nosuch,red', '/shop?color=red'],
    'unknown filters' => ['nosuch=1&color=red', '/shop?color=red'],
    'empty ends' => ['price=..', '/shop'],
    'ends that are no numbers' => ['price=a..b', '/shop'],
    'one end' => ['price=..5', '/shop?price=..5'],
    'words' => ['notes=so%20ft', '/shop?notes=so%20ft'],
    'blank words' => ['notes=%20', '/shop'],
    'first page' => ['page=1', '/shop'],
    'a page' => ['page=3', '/shop?page=3'],
    'no page' => ['page=-3', '/shop'],
    'an unknown sort' => ['sort=nosuch', '/shop'],
    'letters of other languages' => ['color='.rawurlencode('grün-co'), '/shop?color='.rawurlencode('grün-co')],
]);

test('picking a term and picking it again leads back', function (): void {
    mt_srand(8);
    $queries = ['', 'color=red', 'color=blue,red&price=5..', 'size=m&notes=soft', 'weight=10..20&color=green'];
    foreach ($queries as $query) {
        foreach (['color' => Combine::Any, 'size' => Combine::One] as $key => $combine) {
            $attribute = shopEdition()->attribute($key) ?? throw new RuntimeException("No {$key}.");
            foreach (shopEdition()->terms($attribute) as $term) {
                $address = address($query);
                $there = $address->toggled($key, $term->slug, $combine);
                $picked = in_array($term->slug, $address->terms[$key] ?? [], true);
                expect(in_array($term->slug, $there->terms[$key] ?? [], true))->toBe(! $picked);
                if ($combine === Combine::Any || ! isset($address->terms[$key])) {
                    expect($there->toggled($key, $term->slug, $combine)->url())->toBe($address->url());
                }
            }
        }
    }
});

test('one filter is cleared alone, all are cleared together, and paging and sorting stay out of it', function (): void {
    $address = address('color=red&price=5..&notes=soft&page=2');
    expect($address->isNarrowed())
        ->toBeTrue()
        ->and($address->without('color')->url())
        ->toBe('/shop?price=5..&notes=soft')
        ->and($address->without('price')->url())
        ->toBe('/shop?color=red&notes=soft')
        ->and($address->without('notes')->url())
        ->toBe('/shop?color=red&price=5..')
        ->and($address->cleared()->url())
        ->toBe('/shop')
        ->and($address->cleared()->isNarrowed())
        ->toBeFalse()
        ->and($address->onPage(3)->url())
        ->toBe('/shop?color=red&price=5..&notes=soft&page=3');
});
