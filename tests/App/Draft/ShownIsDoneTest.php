<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Definitions\MergeDefinitions;
use App\Draft\DraftLineups;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Lineups\PageWorth;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Umbrella;
use App\Models\Value;
use App\Publishing\CurrentDrift;
use App\Publishing\DriftInWords;
use App\Support\Refused;
use App\Vocabulary\FindNewcomers;
use App\Vocabulary\GatherValues;
use App\Vocabulary\MergeValues;
use App\Vocabulary\SaveValue;
use App\Vocabulary\SettleNewcomers;
use Illuminate\Support\Facades\DB;
use Lokum\Fill\WordFinder;
use Lokum\Fill\WordLine;
use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Tests\Support\Acts;

/* What is shown is what is done: names, figures, picks in addresses, newcomers, drift. */

const LAMPS = '{"columns": {"Color": {"kind": "choice", "level": "product"}, "Watts": {"kind": "number", "unit": "W", "level": '.
    '"product"}, "Notes": {"kind": "text", "level": "product"}}}';

beforeEach(function (): void {
    $this->read(
        "sku,category,price,Color,Watts,Notes\nA,Desk,8,Red,4,bright\nB,Desk,12,Green,7,\nC,Floor,23,Sage,40,\n".
        "D,Floor,44,Olive,60,warm\nE,Floor,91,Blue,,\n",
        LAMPS,
    );
    app(EditLineup::class)->several(['color', 'watts', 'price', 'notes']);
    $this->color = Definition::query()->where('slug', 'color')->firstOrFail();
    $this->actingAs($this->person());
});

function valueOf(string $label): Value
{
    return Value::query()->with('definition')->where('label', $label)->firstOrFail();
}

/** @param  array<string, mixed>  $properties */
function change(string $key, array $properties, string $placement = 'shop'): void
{
    $given = DraftLineups::load()->of('shop')->filters[$key]->given;
    app(ChangeFilter::class)->save($key, $properties + $given, $placement, ChangeFilter::token($given));
}

test('two terms never go by one name', function (): void {
    $ids = [valueOf('Sage')->id, valueOf('Olive')->id];
    // What shoppers read of a value is its name, too; under a value's own name that value comes in.
    app(SaveValue::class)(valueOf('Blue'), 'Blue', new Look([], 'Azure'), Showing::Everywhere, valueOf('Blue')->version);
    expect(fn () => app(GatherValues::class)($this->color, 'Azure', $ids))->toThrow(Refused::class, 'There is a value Blue');
    app(GatherValues::class)($this->color, 'Green', $ids);
    expect(valueOf('Green')->umbrella_id)
        ->not->toBeNull()
        ->toBe(valueOf('Sage')->umbrella_id);
    app(GatherValues::class)($this->color, 'Warm', [valueOf('Red')->id]);
    $umbrella = Umbrella::query()->with('definition')->where('label', 'Warm')->firstOrFail();
    expect(fn () => app(GatherValues::class)->save($umbrella, 'Blue', new Look(), $umbrella->version))
        ->toThrow(Refused::class, 'There is a value Blue')
        ->and(fn () => app(SaveValue::class)(valueOf('Blue'), 'Blue', new Look([], 'Warm'), Showing::Everywhere, valueOf('Blue')->version))
        ->toThrow(Refused::class, 'There is an umbrella Warm')
        ->and(fn () => app(GatherValues::class)->release($this->color, [valueOf('Green')->id]))
        ->toThrow(Refused::class, 'Rename the umbrella first')
        ->and(fn () => change('color', ['looks' => [valueOf('Blue')->id => ['label' => 'Warm']]]))
        ->toThrow(Refused::class, 'Warm');
    // One that comes with a delivery under an umbrella's name comes under it.
    $this->read("sku,Color\nF,warm\n", LAMPS);
    expect(valueOf('warm')->umbrella_id)->toBe($umbrella->id);
    $this->publish();
    $this->get('/shop')->assertOk();
});

test('bands with equal ends are refused, and proposed ones hold products', function (): void {
    $this->from('/line-ups')
        ->put('/line-ups/price', [
            'title' => 'Price',
            'control' => 'bands',
            'bands' => [['from' => '1', 'to' => '5'], ['from' => '1,0', 'to' => '5.0']],
            'page' => 'shop',
            'token' => ChangeFilter::token(DraftLineups::load()->of('shop')->filters['price']->given),
        ])
        ->assertSessionHasErrors('bands');
    $this->get('/line-ups?filter=price')->assertSee('has the same ends as band 1')->assertSee('value="1,0"', false);
    $this->get('/line-ups?filter=price&bands=steps&number=12')->assertOk()->assertDontSee('holds no product here');
});

test('a text that becomes a choice has another control, in the shop and beside the work', function (): void {
    $notes = Definition::query()->where('slug', 'notes')->firstOrFail();
    $this->put("/definitions/{$notes->id}", [
        'label' => 'Notes',
        'kind' => 'choice',
        'level' => 'product',
        'separator' => '|',
        'policy' => 'follow',
        'state' => 'accepted',
        'version' => $notes->version,
    ])->assertSessionHas('done');
    $this->publish();
    $this->get('/shop')->assertSee('name="notes[]"', false);
    $this->get('/line-ups?filter=notes')->assertSee('<option value="ticks" selected', false);
});

test('every pick in an address narrows with a chip, or is answered with a sentence', function (
    string $query,
    string $said,
    bool $narrows,
): void {
    change('color', ['terms' => 'except', 'chosen' => [valueOf('Blue')->id]]);
    app(MergeValues::class)(
        $this->color,
        app(MergeValues::class)->plan($this->color, valueOf('Green')->id, [valueOf('Olive')->id]),
    );
    Value::query()
        ->where('label', 'Red')
        ->update(['held' => true]);
    change('watts', ['step' => 5.0]);
    $this->publish();
    $page = $this->followingRedirects()
        ->get("/shop?{$query}")
        ->assertOk()
        ->assertSee($said);
    if ($narrows) {
        $page->assertSee('Clear all');
    } else {
        $page->assertDontSee('Clear all')->assertSee('5 products');
    }
})->with([
    'not offered' => ['color=blue', 'Blue is not offered here', false],
    'hidden' => ['color=red', 'is not offered here', false],
    'nothing of that name' => ['color=mauve', 'is not offered here', false],
    'merged' => ['color=olive', 'Color: Green', true],
    'a filter that the page does not have' => ['brand=x', '5 products', false],
    'a number that is none' => ['watts=abc..', 'is not a number', false],
    'a number that is too great' => ['watts=1e400..', 'is not a number', false],
    'a number between two stops' => ['watts=1..23', '23 was taken as 25', true],
    'beyond the scale' => ['price=..5000', 'Price goes from', true],
]);

test('a pick of a definition that was merged leads on', function (): void {
    $this->read(
        "sku,Colour\nA,red\nB,Green\n",
        '{"columns": {"Colour": {"attribute": "colour", "label": "Colour", "kind": "choice", "level": "product"}}}',
    );
    app(MergeDefinitions::class)(Definition::query()->where('slug', 'colour')->firstOrFail(), $this->color);
    $this->publish();
    $this->get('/shop?color=red')->assertRedirect('/shop?colour=red');
    $this->followingRedirects()->get('/shop?color=green')->assertSee('Clear all');
});

test('a shopper\'s search is of few words, and says which it left out', function (): void {
    $this->publish();
    $this->get('/shop/search?q='.rawurlencode('a b c d'))->assertSee('Words of a single letter');
    $this->get('/shop/search?q='.rawurlencode('aa bb cc dd ee ff gg hh'))->assertSee('Only the first 6 words');
});

test('sorting keeps what was asked for, and a page beyond the end leads back', function (): void {
    app(EditLineup::class)->page(['sold_out' => 'hidden'], 'shop');
    $this->publish();
    $this->get('/shop?sold-out=1&watts=5..40')
        ->assertSee('<input type="hidden" name="sold-out" value="1">', false)
        ->assertSee('<input type="hidden" name="watts" value="5..40">', false);
    $this->get('/shop?page=999')->assertOk()->assertDontSee('page=998');
});

test('an order that takes another\'s place has an address of its own', function (): void {
    $this->post('/line-ups/settings', [
        'page' => 'shop',
        'sorts' => [
            [
                'slug' => 'name',
                'name' => 'Name',
                'by' => ['name', ''],
                'active' => '1',
            ],
            [
                'slug' => 'price',
                'name' => 'Brightest',
                'by' => ['watts down', ''],
                'active' => '1',
            ],
        ],
    ]);
    $sorts = array_column((array) DraftLineups::load()->of('shop')->settings['sorts'], 'slug', 'name');
    expect($sorts)->toBe(['Name' => 'name', 'Brightest' => 'brightest']);
});

test('zero is a number, in previews too', function (): void {
    $figures = app(ChangeCells::class)->consequences(
        Chosen::items([Item::query()->where('sku', 'A')->value('id')]),
        CellChange::set(Definition::query()->where('slug', 'watts')->firstOrFail(), ['0']),
    );
    expect($figures->samples[0]['after'])->toBe('0');
    $this->blade('<x-samples :samples="$samples" />', ['samples' => $figures->samples])
        ->assertSee('>0<', false)
        ->assertDontSee('none');
});

test('a bulk change is refused when it would be done to others than were counted', function (): void {
    $this->post('/products/give', [
        'all' => '1',
        'give' => 'color',
        'mode' => 'set',
        'value' => ['Red'],
        'counted' => '4',
    ])->assertSessionHasErrors('refused');
    $this->post('/products/give', [
        'all' => '1',
        'give' => 'color',
        'mode' => 'set',
        'value' => ['Red'],
        'counted' => '5',
    ])->assertSessionHas('done');
});

test('what was done and taken back is no drift', function (): void {
    $this->publish();
    $change = app(ChangeCells::class)(
        Chosen::all(Narrowing::where([])),
        CellChange::set(Definition::query()->where('slug', 'notes')->firstOrFail(), ['new']),
    );
    expect(app(CurrentDrift::class)()->differences())->toBe(1);
    Acts::takeBack($change);
    expect(app(CurrentDrift::class)()->differences())->toBe(0);
});

test('drift tells a gathered value and a changed filter as what they are', function (): void {
    $this->publish();
    app(GatherValues::class)($this->color, 'Green', [valueOf('Green')->id, valueOf('Sage')->id]);
    change('watts', ['step' => 5.0], 'below:1');
    $drift = app(CurrentDrift::class)();
    $lines = array_column(DriftInWords::lines($drift), 'text');
    expect($drift->new)
        ->toBe([])
        ->and($drift->filters['appearing'])
        ->toBe([])
        ->and($lines)
        ->toContain('Sage is ticked as Green from now on')
        ->toContain('Watts (Desk and below) has other settings');
});

test('held newcomers that are merged are shown, what somebody has hidden is not', function (): void {
    DB::table('definitions')
        ->where('slug', 'color')
        ->update(['policy' => 'hold']);
    $this->read("sku,Color\nF,Crimson\nG,Crimsonn\n", LAMPS);
    [$one, $other] = [valueOf('Crimson'), valueOf('Crimsonn')];
    app(MergeValues::class)($this->color, app(MergeValues::class)->plan($this->color, $one->id, [$other->id]));
    expect($one->refresh()->held)->toBeFalse();
    Value::query()
        ->whereIn('label', ['Red', 'Blue'])
        ->update(['held' => true]);
    app(MergeValues::class)($this->color, app(MergeValues::class)->plan($this->color, valueOf('Red')->id, [valueOf('Blue')->id]));
    expect(valueOf('Red')->held)->toBeTrue();
});

test('a newcomer is taken for what was shown, or not at all', function (): void {
    $this->read("sku,Color\nF,Gren\n", LAMPS);
    $newcomer = app(FindNewcomers::class)->of($this->color)[0];
    expect($newcomer->same?->label)->toBe('Green');
    expect(
        fn () => app(SettleNewcomers::class)(
            $this->color,
            [$newcomer->spelling => 'merge'],
            [$newcomer->spelling => valueOf('Red')->id],
        ),
    )->toThrow(Refused::class, 'has changed meanwhile');
    app(SettleNewcomers::class)($this->color, [$newcomer->spelling => 'merge'], [$newcomer->spelling => valueOf('Green')->id]);
    expect(valueOf('Gren')->merged_into)->toBe(valueOf('Green')->id);
});

test('very long words cost no more than others', function (): void {
    mt_srand(5);
    $words = [];
    for ($i = 0; $i < 400; $i++) {
        $words[] = implode('', array_map(fn (): string => chr(mt_rand(97, 122)), range(1, 490)));
    }
    memory_reset_peak_usage();
    $before = memory_get_usage();
    (new LookAlikes(Lexicon::shipped()))->among(array_map(fn (string $word): Candidate => new Candidate($word, 1), $words));
    expect(memory_get_peak_usage() - $before)->toBeLessThan(64 << 20);
    $finder = new WordFinder(array_map(fn (string $word): WordLine => new WordLine($word, [$word]), $words));
    expect($finder->values("before {$words[7]} behind"))->toBe([$words[7]]);
});

test('a list that is almost unique earns nothing, and price is not color', function (): void {
    $csv = "sku,parent_sku,category,price,Serial,Color,Watts\n";
    for ($i = 0; $i < 200; $i++) {
        $csv .=
            "N{$i},,Desk,,Serial {$i},,\nN{$i}-1,N{$i},,".
            (5 + ($i % 37)).
            ',,'.
            ['Red', 'Green', 'Blue'][$i % 3].
            ",4\nN{$i}-2,N{$i},,".
            (50 + ($i % 41)).
            ',,'.
            ['Sage', 'Olive'][$i % 2].
            ",60\n";
    }
    $this->read($csv, '{"columns": {"Serial": {"kind": "choice", "level": "product"}}}');
    app(EditLineup::class)->add('serial');
    $lineup = DraftLineups::load()->of('shop');
    $worth = app(PageWorth::class)->of('shop', $lineup);
    expect($worth['serial']->earns)
        ->toBeLessThan(0.05)
        ->and(app(PageWorth::class)->order('shop', $lineup)[count($lineup->filters) - 1])
        ->toBeIn(['serial', 'notes'])
        ->and($worth['price']->same === 'Color' && $worth['price']->overlap > 0.85)
        ->toBeFalse()
        ->and(array_map(fn ($one): string => $one->key, app(PageWorth::class)->proposal('shop', 8)))
        ->not->toContain('serial');
});
