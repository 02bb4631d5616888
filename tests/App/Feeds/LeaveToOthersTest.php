<?php

declare(strict_types=1);

use App\Definitions\MergeDefinitions;
use App\Feeds\LeaveToOthers;
use App\Models\Category;
use App\Models\Change;
use App\Models\Feed;
use App\Models\Heading;
use App\Models\Item;
use App\Products\PutInCategory;
use App\Sources\SaveSource;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Two feeds that send the same products: price and stock from one, texts and colors from the other, in whatever order they come. */

const HOUSE = "sku,name,price,stock,Color\nA,Mug,1,1,Red\nB,Bowl,2,2,Blue\nC,Dish,3,3,Green\n";
const DEALER = "sku,name,price,stock,Color\nA,MUG 0.3L,10,7,rd\nB,BOWL,20,8,bl\nD,JUG,40,9,Gray\n";

/** @param  list<string>  $keys */
function leaves(string $feed, array $keys): void
{
    $feed = Feed::query()->where('name', $feed)->sole();
    app(SaveSource::class)($feed, ['kind' => 'hand', 'whole' => 1, 'leaves' => $keys], $feed->version);
}

function shows(string $sku): string
{
    $item = Item::query()->where('sku', $sku)->sole();

    return "{$item->name} {$item->price} {$item->stock} ".DB::scalar(
        'SELECT GROUP_CONCAT(s.text) FROM assignments a JOIN spellings s ON s.id = a.spelling_id WHERE a.item_id = ?',
        [$item->id],
    );
}

beforeEach(function (): void {
    $this->read(HOUSE, '{"columns": {"Color": {"kind": "choice", "level": "product"}}}', feed: 'House');
    $this->read(DEALER, feed: 'Dealer');
    $this->actingAs($this->person());
});

test('each column is said by the feed that is said to know it, whichever was read last', function (): void {
    expect(shows('A'))->toBe('MUG 0.3L 10 7 rd');
    $color = Heading::ofDefinition(Acts::definition('color')->id);
    leaves('House', ['price', 'stock', 'nonsense']);
    leaves('Dealer', ['name', $color]);
    expect(Feed::query()->where('name', 'House')->sole()->leaves)->toBe(['price', 'stock']);
    $big = str_replace('Mug', 'Big mug', HOUSE);
    foreach ([['House', HOUSE], ['Dealer', DEALER], ['House', $big], ['Dealer', DEALER]] as [$feed, $rows]) {
        $this->read($rows, feed: $feed);
    }
    expect(array_map(shows(...), ['A', 'B', 'C', 'D']))->toBe([
        'Big mug 10 7 Red',
        'Bowl 20 8 Blue',
        // Sent by one alone, that one says all.
        'Dish 3 3 Green',
        'JUG 40 9 Gray',
    ]);
    // Prices of the dealer change alone, and a check says so.
    $check = $this->read(str_replace('Mug', 'Mug ', HOUSE), feed: 'House', check: true);
    expect($check->products['changed'])->toBe(1);
});

test('where all leave a column, the one read last says it; what one sends no longer is the other\'s again', function (): void {
    leaves('House', ['price']);
    leaves('Dealer', ['price']);
    $this->read(HOUSE, feed: 'House');
    expect(shows('A'))->toContain(' 1 1 ');
    leaves('Dealer', []);
    $this->read(DEALER, feed: 'Dealer');
    $this->read(HOUSE, feed: 'House');
    expect(shows('A'))->toBe('Mug 10 1 Red');
    // The dealer sends A no longer: the house's row is the same as before, and counts again.
    $this->read(str_replace("A,MUG 0.3L,10,7,rd\n", '', DEALER), feed: 'Dealer');
    $this->read(HOUSE, feed: 'House');
    expect(shows('A'))->toBe('Mug 1 1 Red');
});

test('a product that both have sent is gone once neither sends it', function (): void {
    Feed::query()->update(['whole' => true, 'gone' => 'out']);
    $this->read(str_replace("A,MUG 0.3L,10,7,rd\n", '', DEALER), feed: 'Dealer');
    expect(Item::query()->where('sku', 'A')->sole()->out_since)->toBeNull();
    $this->read(str_replace("A,Mug,1,1,Red\n", '', HOUSE), feed: 'House');
    expect(Item::query()->where('sku', 'A')->sole()->out_since)->not->toBeNull();
});

test('its page offers what its columns lead to', function (): void {
    $feed = Feed::query()->where('name', 'House')->sole();
    expect(LeaveToOthers::choices($feed))
        ->toBe([
            'name' => 'Name',
            'price' => 'Price',
            'stock' => 'Stock',
            Heading::ofDefinition(Acts::definition('color')->id) => 'Color',
        ])
        ->and(Heading::query()->count())
        ->toBeGreaterThan(3);
    $this->get("/feeds/sources/{$feed->id}")->assertOk()->assertSee('Left to another feed');
    $this->put("/feeds/sources/{$feed->id}", ['kind' => 'hand', 'leaves' => ['price'], 'version' => $feed->version])
        ->assertSessionHasNoErrors();
    expect($feed->refresh()->leaves)
        ->toBe(['price'])
        ->and(Change::query()->latest('id')->firstOrFail()->summary)
        ->toContain('leaves Price to other feeds');
    // The product's page says whose word each is.
    $item = Item::query()->where('sku', 'A')->sole();
    $this->get("/products/{$item->id}")->assertOk()->assertSeeInOrder(['Sent by', 'Color', 'the last read of', 'Price', 'Dealer']);
});

test('categories are left, too, and none is made that no row is put into', function (): void {
    $with = fn (string $rows, string $category): string => str_replace(
        [',price', ',1,1,', ',2,2,', ',3,3,', ',10,7,', ',20,8,', ',40,9,'],
        [',category,price', ",{$category},1,1,", ",{$category},2,2,", ",{$category},3,3,", ",{$category},10,7,", ",{$category},20,8,",
            ",{$category},40,9,"],
        $rows,
    );
    $this->read($with(DEALER, 'Kitchen'), feed: 'Dealer');
    leaves('Dealer', ['category']);
    $this->read($with(HOUSE, 'Kitchen | Gifts'), feed: 'House');
    $this->read(str_replace("D,JUG,Odd,40,9,Gray\n", '', $with(DEALER, 'Odd')), feed: 'Dealer');
    $of = fn (string $sku): array => [
        Item::query()->where('sku', $sku)->sole()->category?->name,
        array_map(fn (Category $one): string => $one->name, PutInCategory::of(Item::query()->where('sku', $sku)->sole())),
    ];
    expect([$of('A'), $of('B')])
        ->toBe([['Kitchen', ['Gifts']], ['Kitchen', ['Gifts']]])
        ->and(Category::query()->orderBy('name')->pluck('name')->all())
        ->toBe(['Gifts', 'Kitchen']);
    // One that only the dealer sends has the dealer's.
    $this->read($with(DEALER, 'Odd'), feed: 'Dealer');
    expect($of('D'))->toBe(['Odd', []]);
});

test('what is left to a feed that has no such column is said all the same, and a merged definition is left on', function (): void {
    leaves('House', ['price', Heading::ofDefinition(Acts::definition('color')->id)]);
    $this->read("sku,name,Shade\nA,Mug,Dark red\n", '{"columns": {"Shade": {"kind": "choice", "level": "product"}}}', feed: 'Names');
    DB::table('sent')->where('feed_id', Feed::query()->where('name', 'Dealer')->sole()->id)->delete();
    $this->read(HOUSE, feed: 'House');
    // Names sends A, and neither price nor color: the house's word counts.
    expect(shows('A'))->toContain(' 1 1 ')->toContain('Red');
    app(MergeDefinitions::class)(Acts::definition('shade'), Acts::definition('color'));
    expect(Feed::query()->where('name', 'House')->sole()->leaves)
        ->toBe(['price', Heading::ofDefinition(Acts::definition('shade')->id)]);
    $this->read(str_replace('Red', 'Crimson', HOUSE), feed: 'House');
    expect(shows('A'))->not->toContain('Crimson');
});
