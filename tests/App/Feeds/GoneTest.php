<?php

declare(strict_types=1);

use App\Cells\Narrowing;
use App\Feeds\ReadingFigures;
use App\History\TakeBack;
use App\Models\Feed;
use App\Models\Item;
use App\Support\Refused;
use Lokum\Feed\Gone;
use Tests\Support\Acts;

/* Products that a feed, which sends all it has, sends no longer: what is gone is said first, goes as the feed says, and comes back. */

const WHOLE = "sku,parent_sku,name,category,price,stock,Color\nP,,Oil,Paint,,,\nP-1,P,,,5,3,Red\nP-2,P,,,6,4,Blue\n".
    "Q,,Brush,Brushes,4,2,Red\nR,,Pad,Paper,7,1,\n";

/** @return array<string, string> stock and whether it is out, by sku */
function standing(): array
{
    return Item::query()
        ->orderBy('sku')
        ->get()
        ->mapWithKeys(fn (Item $item): array => [$item->sku => ($item->stock ?? '–').($item->out_since === null ? '' : ' out')])
        ->all();
}

/** The file without the lines that begin so. */
function without(string ...$skus): string
{
    $lines = explode("\n", WHOLE);

    return implode("\n", array_filter($lines, fn (string $line): bool => ! in_array(explode(',', $line)[0], $skus, true) || $line === ''));
}

function says(Gone $gone): void
{
    Feed::query()->sole()->update(['gone' => $gone, 'whole' => true]);
}

beforeEach(fn () => $this->read(WHOLE));

test('what is gone is counted before anything is done, and stays where the feed says nothing', function (): void {
    $figures = $this->read(without('Q', 'P-2'), check: true);
    expect($figures->gone)->toBe(['products' => 0, 'variants' => 0]);
    says(Gone::Stay);
    $before = standing();
    $figures = $this->read(without('Q', 'P-2'), check: true);
    expect($figures->gone)
        ->toBe(['products' => 1, 'variants' => 1])
        ->and(ReadingFigures::judged($figures->toKeep())->gone)
        ->toBe(2);
    $this->read(without('Q', 'P-2'));
    expect(standing())->toBe($before);
});

test('gone ones are sold out, come back with the same row, and all of it is taken back', function (): void {
    says(Gone::SoldOut);
    $before = standing();
    $this->read(without('Q', 'P', 'P-1', 'P-2'));
    expect(implode(', ', standing()))->toBe('–, 0, 0, 0, 1');
    // Sent again as it was.
    $this->read(WHOLE);
    expect(standing())->toBe($before);
    $this->read(without('R'));
    expect(standing()['R'])->toBe('0');
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(standing())->toBe($before);
});

test('gone products go out of the shop with their variants, and out of every count, until they are sent again', function (): void {
    $this->publish();
    $all = $this->counts();
    says(Gone::Out);
    $this->read(without('P', 'P-1', 'P-2'));
    expect(implode(', ', standing()))->toBe('– out, 3 out, 4 out, 2, 1');
    $edition = $this->publish();
    expect([$edition->products, $edition->variants])->toBe([2, 2]);
    $this->read(WHOLE);
    expect(standing()['P'])->toBe('–');
    $this->publish();
    expect($this->counts())->toEqual($all);
});

test('a gone variant of a product that is still sent is sold out, whatever the feed says of products', function (): void {
    says(Gone::Out);
    $figures = $this->read(without('P-2'));
    expect($figures->gone)->toBe(['products' => 0, 'variants' => 1])->and(standing()['P-2'])->toBe('0')->and(standing()['P'])->toBe('–');
    expect($this->read(without('P-2'))->gone)->toBe(['products' => 0, 'variants' => 0]);
});

test('what another feed sends is not gone, and a row that is refused was sent', function (): void {
    says(Gone::Out);
    $this->read("sku,price\nQ,3\n", feed: 'Prices');
    expect($this->read(without('Q'))->gone)
        ->toBe(['products' => 0, 'variants' => 0])
        ->and($this->read(str_replace('R,,Pad,Paper,7', 'R,,Pad,Paper,dear', WHOLE))->gone)
        ->toBe(['products' => 0, 'variants' => 0]);
});

test('jumps of prices and unknown headings are counted', function (): void {
    $figures = $this->read(str_replace([',5,3', ',6,4', 'Color'], [',500,3', ',7,4', 'Tint'], WHOLE), check: true);
    expect([$figures->jumps, $figures->headings])->toBe([1, ['Tint']]);
});

test('a person takes products out and brings them back, and feeds leave them as they were put', function (): void {
    $this->actingAs($this->person());
    $id = Item::query()->where('sku', 'P')->value('id');
    $this->post('/products/out', ['pick' => [$id], 'out' => 'out'])->assertSessionHas('done', 'Took 1 product out of the shop');
    expect(implode(', ', standing()))->toBe('– out, 3 out, 4 out, 2, 1');
    $this->read(str_replace('5,3,Red', '5,9,Red', WHOLE));
    expect(implode(', ', standing()))->toBe('– out, 9 out, 4 out, 2, 1');
    $this->get('/products')->assertDontSee('>Oil<', false)->assertSee('>Brush<', false);
    $this->get('/products?where[]=gone:out')->assertSee('>Oil<', false)->assertDontSee('>Brush<', false);
    expect(fn () => Narrowing::where(['gone:soon']))->toThrow(Refused::class, 'is neither');
    // Another number of products was shown than match now.
    $back = ['all' => 1, 'where' => ['gone:out'], 'out' => 'back'];
    $this->post('/products/out', $back + ['products' => 2])
        ->assertSessionHasErrors(['refused' => 'It would be done to 1 products now, not to 2. Look at the figures again.']);
    $this->post('/products/out', $back + ['products' => 1])->assertRedirect();
    expect(implode(', ', standing()))->toBe('–, 9, 4, 2, 1');
    $this->post('/products/out', ['pick' => [$id], 'out' => 'back'])->assertSessionHasErrors();
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(implode(', ', standing()))->toBe('– out, 9 out, 4 out, 2, 1');
});

test('variants are in the shop or out of it with their product, whichever of them a delivery has', function (): void {
    $this->actingAs($this->person());
    $this->post('/products/out', ['pick' => [Item::query()->where('sku', 'P')->value('id')], 'out' => 'out']);
    $this->read("sku,parent_sku,price,stock,Color\nP-3,P,9,1,Green\n");
    expect(standing()['P-3'])->toBe('1 out');
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(standing())->not->toHaveKey('P-3');
    $this->post('/products/out', ['all' => 1, 'where' => ['gone:out'], 'out' => 'back']);
    says(Gone::Out);
    $this->read(without('P', 'P-1', 'P-2'));
    expect(implode(', ', standing()))->toBe('– out, 3 out, 4 out, 2, 1');
    // One of its variants comes again, in a part.
    Feed::query()->update(['whole' => false]);
    $this->read("sku,parent_sku,price,stock,Color\nP-1,P,5,3,Red\n");
    expect(implode(', ', standing()))->toBe('–, 3, 4, 2, 1');
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(implode(', ', standing()))->toBe('– out, 3 out, 4 out, 2, 1');
});
