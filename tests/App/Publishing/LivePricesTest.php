<?php

declare(strict_types=1);

use App\Editions\Served;
use App\History\TakeBack;
use App\Lineups\EditLineup;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\Item;
use App\Models\Token;
use App\Publishing\CurrentDrift;
use App\Publishing\LayOver;
use Illuminate\Testing\TestResponse;
use Lokum\Lineup\SortOrder;
use Symfony\Component\HttpFoundation\Response;

/* Prices and stock that are said by the minute: shoppers see them at once, and the next edition has them. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,name,category,price,stock,Color,List price,Weight\nP,,Tube,Paint,,,,,2\nP-1,P,,,4,2,Sage,10,\n".
        "P-2,P,,,6,0,Olive,10,\nQ,,Brush,Paint,9,1,Sage,,1\nR,,Paper,Paper,5,0,,,2\nS,,Ink,Ink,7,,Olive,8,\nT,,Pad,Paper,5,3,,,1\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "List price": {"kind": "number"}, "Weight": {"kind": "number", '.
        '"level": "product"}}}',
    );
    Definition::query()->update(['state' => 'accepted']);
    app(EditLineup::class)->several(['color', 'price', 'stock', 'discount']);
    $sorts = [];
    foreach (SortOrder::usual() as $usual) {
        $sorts[] = $usual->toArray();
    }
    foreach (
        [
            'weight' => [['weight', false], ['price', true]],
            'stock' => [['stock', true], ['price', false], ['name', true]],
            'price-new' => [['price', false], ['new', true]],
        ] as $slug => $by
    ) {
        $sorts[] = (new SortOrder($slug, $slug, $by))->toArray();
    }
    app(EditLineup::class)->page(['sorts' => $sorts], 'shop');
    $this->publish();
    $this->token = Token::issue('The shop', saysPrices: true);
});

/**
 * @param  list<mixed>  $products
 * @return TestResponse<Response>
 */
function sayPrices(Tests\Support\CatalogTestCase $test, array $products): TestResponse
{
    return $test->patchJson('/api/products', ['products' => $products], ['Authorization' => 'Bearer '.$test->token]);
}

/** @return array<string, mixed> */
function listingOf(Tests\Support\CatalogTestCase $test, string $query = ''): array
{
    $answer = $test->get("/api/listing?{$query}", ['Authorization' => 'Bearer '.$test->token]);
    expect($answer->getStatusCode())->toBe(200, $query.' '.$answer->getContent());

    return (array) $answer->json();
}

/** All that the shop, and programs, are told of the edition, by way of many pages. */
function everythingShown(Tests\Support\CatalogTestCase $test): string
{
    $shown = [];
    $queries = [
        ...array_map(fn (string $order): string => "sort={$order}", ['price', 'price-down', 'weight', 'stock', 'price-new']),
        ...['', 'stock=yes', 'price=5..8', 'color=sage', 'color=sage&stock=yes', 'price=..5&sort=price', 'category=paint'],
        ...['category=paint&stock=yes', 'price=5..&sort=weight', 'stock=no&sort=stock'],
    ];
    foreach ($queries as $query) {
        $listing = listingOf($test, $query);
        unset($listing['edition']);
        $shown[$query] = $listing;
    }
    $shown['terms'] = $test->get('/api/terms/stock', ['Authorization' => 'Bearer '.$test->token])->assertOk()->json();
    foreach (['P', 'Q', 'R', 'S', 'T'] as $sku) {
        $shown[$sku] = $test->get("/api/products/{$sku}", ['Authorization' => 'Bearer '.$test->token])->json();
    }

    return (string) json_encode($shown, JSON_PRETTY_PRINT);
}

test('what was said is seen at once, and the next edition says the same', function (): void {
    $rows = [
        ['sku' => 'P-2', 'stock' => 4],
        ['sku' => 'P-1', 'stock' => 2],
        ['sku' => 'Q', 'price' => 3.5, 'stock' => 0],
        ['sku' => 'R', 'price' => 12, 'stock' => 5],
    ];
    sayPrices($this, $rows)
        ->assertOk()
        ->assertJson(['edition' => 1, 'seen' => 4, 'refused' => 0])
        ->assertJson(['products' => [['sku' => 'P-2', 'result' => 'changed']]]);
    expect(array_column(listingOf($this, 'sort=price')['items'], 'sku'))
        ->toBe(['Q', 'P', 'T', 'S', 'R'])
        ->and(array_column(listingOf($this, 'stock=yes')['items'], 'sku'))
        ->toEqualCanonicalizing(['P', 'R', 'T'])
        ->and(listingOf($this, 'color=olive&stock=yes')['products'])
        ->toBe(1)
        ->and(listingOf($this, 'price=10..20')['products'])
        ->toBe(1);
    $laidOver = everythingShown($this);
    $this->publish();
    expect(is_file(Edition::directory().'/'.Edition::current()?->file.'.live'))
        ->toBeFalse()
        ->and(everythingShown($this))
        ->toBe($laidOver);
});

test('whatever is said in whatever order, pages are those of an edition made afterwards', function (int $seed): void {
    mt_srand($seed);
    for ($i = 0; $i < 6; $i++) {
        $rows = [];
        foreach ((array) array_rand(array_flip(['P-1', 'P-2', 'Q', 'R', 'S', 'T']), mt_rand(2, 4)) as $sku) {
            $row = ['sku' => $sku];
            if (mt_rand(0, 2) > 0) {
                $row['price'] = mt_rand(0, 9) === 0 ? null : mt_rand(100, 1500) / 100;
            }
            if (count($row) === 1 || mt_rand(0, 1) === 0) {
                $row['stock'] = mt_rand(0, 5) === 0 ? null : mt_rand(0, 2);
            }
            $rows[] = $row;
        }
        sayPrices($this, $rows)->assertOk();
        if (mt_rand(0, 3) === 0) {
            $this->publish();
        }
    }
    $laidOver = everythingShown($this);
    expect(app(CurrentDrift::class)()->differences())->toBe(0);
    $this->publish();
    expect(everythingShown($this))->toBe($laidOver);
})->with(range(1, 25));

test('the same said again changes nothing and makes no entry; one entry for each time that something is other', function (): void {
    $entries = Change::query()->count();
    $rows = [['sku' => 'Q', 'price' => 3], ['sku' => 'R', 'stock' => 1]];
    sayPrices($this, $rows)->assertOk();
    expect(array_column((array) sayPrices($this, $rows)->assertOk()->json('products'), 'result'))->toBe(['same', 'same']);
    expect(Change::query()->count())
        ->toBe($entries + 1)
        ->and(Change::query()->orderByDesc('id')->first()?->summary)
        ->toBe('Said price and stock of 2 skus')
        ->and(Change::query()->orderByDesc('id')->first()?->who())
        ->toBe('The shop, with a token');
});

test('each row has its answer, and one that is refused keeps no other from being done', function (): void {
    sayPrices($this, [
        ['sku' => 'Q', 'price' => 3],
        ['sku' => 'nosuch', 'price' => 3],
        ['sku' => 'P', 'price' => 3],
        ['sku' => 'R', 'price' => -1],
        ['sku' => 'S', 'stock' => 1.5],
        ['sku' => 'S'],
        ['sku' => 'Q', 'price' => 8],
        ['price' => 1],
        'text',
        ['sku' => 'S', 'price' => 1, 'name' => 'New'],
    ])
        ->assertStatus(207)
        ->assertJson(['refused' => 9, 'products' => [
            ['result' => 'changed'],
            ['problem' => 'There is no product of this sku.'],
            ['problem' => 'It has variants: say what each of them costs, by its own sku.'],
        ]]);
    expect(Item::query()->where('sku', 'Q')->value('price'))->toEqual(3);
    sayPrices($this, [['sku' => 'nosuch', 'price' => 3]])->assertStatus(422);
    sayPrices($this, [])->assertStatus(422);
    sayPrices($this, array_map(fn (int $i): array => ['sku' => "X{$i}", 'stock' => 1], range(1, 1001)))->assertStatus(422);
});

test('the room of publishing says what was said since', function (): void {
    $this->actingAs($this->person())->get('/publishing')->assertOk()->assertDontSee('were said since');
    sayPrices($this, [['sku' => 'Q', 'price' => 3], ['sku' => 'R', 'stock' => 1]])->assertOk();
    $this->actingAs($this->person())->get('/publishing')->assertOk()->assertSee('of 2 variants were said since edition 1');
});

test('a token that only reads says nothing', function (): void {
    $this->token = Token::issue('A reader');
    sayPrices($this, [['sku' => 'Q', 'price' => 3]])->assertStatus(403);
    expect(Item::query()->where('sku', 'Q')->value('price'))->toEqual(9);
});

test('an ETag of before does not hold after something was said', function (): void {
    $ask = fn (array $headers = []) => $this->get('/api/products/Q', $headers + ['Authorization' => 'Bearer '.$this->token]);
    $tag = (string) $ask()->headers->get('ETag');
    $ask(['If-None-Match' => $tag])->assertStatus(304);
    sayPrices($this, [['sku' => 'Q', 'price' => 2]])->assertOk();
    $ask(['If-None-Match' => $tag])->assertOk()->assertJson(['price_from' => 2]);
});

test('what is said while an edition is being made lies over that one, too', function (): void {
    sayPrices($this, [['sku' => 'Q', 'price' => 2]])->assertOk();
    $before = Edition::directory().'/'.Served::now()->edition?->file;
    $this->publish();
    $after = Edition::directory().'/'.Served::now()->edition?->file;
    // As if the newer one had been counted before.
    $file = new PDO("sqlite:{$after}");
    $file->exec("UPDATE meta SET value = '0' WHERE key = 'revision'");
    $file->exec("UPDATE products SET price_from = 9, price_to = 9 WHERE sku = 'Q'");
    unset($file);
    LayOver::carry($before, $after);
    expect(listingOf($this, 'price=..2')['products'])->toBe(1);
});

test('taken back in History the catalog is as before, and the next edition with it', function (): void {
    sayPrices($this, [['sku' => 'Q', 'price' => 2]])->assertOk();
    app(TakeBack::class)(Change::query()->orderByDesc('id')->firstOrFail());
    expect(Item::query()->where('sku', 'Q')->value('price'))->toEqual(9);
    $this->publish();
    expect(listingOf($this, 'price=..2')['products'])->toBe(0);
});
