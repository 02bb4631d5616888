<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Definitions\SayExpected;
use App\Models\Category;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Models\SavedView;
use App\Products\EditViews;
use App\Products\GridTokens;
use App\Support\Refused;
use App\Vocabulary\RepairSpellings;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Changes of many cells at once: what they would do, what they do, and the way back. */

beforeEach(
    fn () => $this->read(
        "sku,parent_sku,name,category,price,stock,Color,Finish,Volume,Notes\n".
            "P,,Oil set,Paint > Oil,,,,Gloss,,old stock\nP-1,P,,,5,3,Red,,37 ml,\nP-2,P,,,9,0,Blue,,60 ml,\n".
            "Q,,Brush,Brushes,4,2,Green|Red,,,\nR,,Gouache,Paint > Gouache,7,1,,Matt,0.1 l,Old and new\n",
        '{"columns": {"Color": {"kind": "choice", "multiple": true, "level": "variant"}, "Finish": {"kind": "choice", "level": '.
        '"product"}, "Volume": {"kind": "number", "unit": "ml", "level": "variant"}, "Notes": {"kind": "text", "level": "product"}}}',
    ),
);

/** @return array<string, string> what items carry of a definition, by sku */
function held(string $slug): array
{
    $held = [];
    foreach (
        DB::table('assignments as a')
            ->join('items as i', 'i.id', '=', 'a.item_id')
            ->join('spellings as s', 's.id', '=', 'a.spelling_id')
            ->leftJoin('attribute_values as v', 'v.id', '=', 's.value_id')
            ->where('a.definition_id', Acts::definition($slug)->id)
            ->orderBy('i.sku')
            ->orderBy('s.id')
            ->get(['i.sku', 's.text', 'v.label']) as $cell
    ) {
        $held[$cell->sku] = (isset($held[$cell->sku]) ? $held[$cell->sku].'|' : '').($cell->label ?? $cell->text);
    }

    return $held;
}

/** @param  list<string>  $where */
function chosen(array $where = []): Chosen
{
    return Chosen::all(Narrowing::where($where));
}

test('every way to change cells does what its figures said, and goes back exactly', function (
    string $slug,
    array $input,
    array $where,
    array $after,
    array $figures,
): void {
    $before = held($slug);
    $change = CellChange::from(Acts::definition($slug), $input);
    $said = app(ChangeCells::class)->consequences(chosen(array_values($where)), $change)->toArray();
    expect($said)->toMatchArray($figures)->and(held($slug))->toBe($before);
    $done = app(ChangeCells::class)(chosen(array_values($where)), $change);
    expect(held($slug))->toBe($after);
    if ($done !== null) {
        Acts::takeBack($done);
    }
    expect(held($slug))->toBe($before);
})->with([
    'set on all that match' => [
        'finish',
        ['value' => 'Satin'],
        ['category:paint'],
        ['P' => 'Satin', 'R' => 'Satin'],
        [
            'items' => 2,
            'changed' => 2,
            'replaced' => 2,
            'new_values' => ['Satin'],
        ],
    ],
    'set where empty only' => [
        'finish',
        ['value' => 'Gloss', 'empty_only' => '1'],
        [],
        ['P' => 'Gloss', 'Q' => 'Gloss', 'R' => 'Matt'],
        ['items' => 3, 'changed' => 1, 'replaced' => 0],
    ],
    'add' => [
        'color',
        ['mode' => 'add', 'value' => 'Red'],
        [],
        [
            'P-1' => 'Red',
            'P-2' => 'Red|Blue',
            'Q' => 'Red|Green',
            'R' => 'Red',
        ],
        ['items' => 4, 'changed' => 2, 'unchanged' => 2],
    ],
    'remove' => [
        'color',
        ['mode' => 'remove', 'value' => 'red'],
        [],
        ['P-2' => 'Blue', 'Q' => 'Green'],
        ['changed' => 2, 'replaced' => 2],
    ],
    'clear' => ['color', ['mode' => 'clear'], ['stock:3..'], ['Q' => 'Red|Green'], ['changed' => 2]],
    'copy to another level' => [
        'notes',
        ['mode' => 'copy', 'source' => 'color'],
        [],
        ['P' => 'old stock', 'R' => 'Old and new'],
        ['changed' => 0, 'skipped' => 2],
    ],
    'find and replace' => [
        'notes',
        ['mode' => 'replace', 'find' => 'OLD', 'replace' => 'new $1'],
        [],
        ['P' => 'new $1 stock', 'R' => 'new $1 and new'],
        ['changed' => 2],
    ],
    'raise by per cent' => [
        'volume',
        ['mode' => 'percent', 'amount' => '10'],
        [],
        ['P-1' => '40.7 ml', 'P-2' => '66 ml', 'R' => '110 ml'],
        ['changed' => 3],
    ],
    'lower by an amount' => [
        'volume',
        ['mode' => 'raise', 'amount' => '-7'],
        ['category:oil'],
        ['P-1' => '30 ml', 'P-2' => '53 ml', 'R' => '0.1 l'],
        ['changed' => 2],
    ],
    'round' => [
        'volume',
        ['mode' => 'round', 'amount' => '25'],
        [],
        ['P-1' => '25 ml', 'P-2' => '50 ml', 'R' => '100 ml'],
        ['changed' => 3],
    ],
]);

test('copying leaves items with several values to choose from as they are', function (): void {
    $done = app(ChangeCells::class)(chosen(), CellChange::from(Acts::definition('notes'), ['mode' => 'copy', 'source' => 'color']));
    expect($done)
        ->toBeNull()
        ->and(held('notes'))
        ->toBe(['P' => 'old stock', 'R' => 'Old and new']);
    app(ChangeCells::class)(chosen(['color:green']), CellChange::from(Acts::definition('color'), ['mode' => 'remove', 'value' => 'Red']));
    $copy = CellChange::from(Acts::definition('notes'), ['mode' => 'copy', 'source' => 'color', 'empty_only' => true]);
    app(ChangeCells::class)(chosen(), $copy);
    expect(held('notes')['Q'])->toBe('Green');
});

test('what was set by hand can be spared', function (): void {
    app(ChangeCells::class)(chosen(['category:gouache']), CellChange::set(Acts::definition('finish'), ['Satin']));
    $all = CellChange::set(Acts::definition('finish'), ['Gloss']);
    expect(app(ChangeCells::class)->consequences(chosen(), $all)->byHand)->toBe(1);
    app(ChangeCells::class)(chosen(), CellChange::set(Acts::definition('finish'), ['Matt'], spareHand: true));
    expect(held('finish'))->toBe(['P' => 'Matt', 'Q' => 'Matt', 'R' => 'Satin']);
});

test('cells that cannot be are refused with the field', function (string $slug, array $input, string $reason): void {
    $count = Change::query()->count();
    expect(fn () => CellChange::from(Acts::definition($slug), $input))
        ->toThrow(Refused::class, $reason)
        ->and(Change::query()->count())
        ->toBe($count);
})->with([
    ['volume', ['value' => 'much'], 'is not a number'],
    ['finish', ['value' => ['Gloss', 'Matt']], 'takes one value'],
    ['finish', ['mode' => 'add', 'value' => 'Gloss'], 'does not go with'],
    ['volume', ['mode' => 'percent', 'amount' => 'x'], 'is not a number'],
    ['volume', ['mode' => 'round', 'amount' => '0'], 'above 0'],
    ['color', ['mode' => 'add', 'value' => ' '], 'Say which value'],
    ['notes', ['mode' => 'copy', 'source' => 'notes'], 'from itself'],
    ['notes', ['value' => str_repeat('x', 70000)], 'at most 65,536'],
]);

test('lists are narrowed by everything a product has', function (string $line, array $skus): void {
    expect(
        Narrowing::where([$line])
            ->query()
            ->orderBy('items.id')
            ->pluck('sku')
            ->all(),
    )->toBe($skus);
})->with([
    ['category:paint', ['P', 'R']],
    ['words:oil set', ['P']],
    ['words:p-2', ['P']],
    ['missing:finish', ['Q']],
    ['missing:color', ['R']],
    ['color:red', ['P', 'Q']],
    ['color:Red', ['P', 'Q']],
    ['price:..5', ['P', 'Q']],
    ['price:7', ['R']],
    ['stock:2..', ['P', 'Q']],
    ['volume:50..100', ['P', 'R']],
    ['notes:NEW', ['R']],
    ['feed:Test', ['P', 'Q', 'R']],
    ['changed:2099-01-01', []],
    ['origin:finish=feed', ['P', 'R']],
    ['origin:finish=hand', []],
    ['sku:P-1', ['P']],
]);

test('narrowings that make no sense are refused by name', function (string $line, string $reason): void {
    expect(fn () => Narrowing::where([$line]))->toThrow(Refused::class, $reason);
})->with([
    ['category:nowhere', 'no category "nowhere"'],
    ['color:plaid', 'no value of Color "plaid"'],
    ['shape:round', 'no definition "shape"'],
    ['price:cheap', 'is not a number'],
    ['changed:yesterday', 'not a date'],
    ['origin:color=aunt', 'is no origin'],
]);

test('what a field cannot read is said once, for all products and later deliveries, and taken back', function (): void {
    $csv = "sku,Volume\nH,half pan\nK,half pan\n";
    $this->read($csv, feed: 'Second');
    [$unread] = RepairSpellings::unread(Acts::definition('volume'));
    expect($unread)->text->toBe('half pan')->items->toBe(2);
    $repair = app(RepairSpellings::class);
    expect(fn () => $repair(Acts::definition('volume'), [$unread->id => 'tiny']))->toThrow(Refused::class, 'is not a number');
    $done = $repair(Acts::definition('volume'), [$unread->id => '0.15 cl']);
    expect(DB::table('spellings')->where('id', $unread->id)->value('number'))
        ->toBe(1.5)
        ->and(RepairSpellings::unread(Acts::definition('volume')))
        ->toBe([]);
    $this->read(str_replace('K,', 'L,', $csv), feed: 'Second');
    expect(
        Narrowing::where(['volume:1.5'])
            ->query()
            ->count(),
    )->toBe(3);
    $this->actingAs($this->person())->get('/values/volume/unread')->assertOk()->assertSee('Every text can be read');
    Acts::takeBack($done);
    $this->get('/values/volume/unread')->assertSee('half pan');
});

test('the grid is told in JSON what it typed, what cannot be placed and why', function (): void {
    $this->actingAs($this->person());
    $cell = fn (string $sku, string $definition, string $text): array => [
        'item' => DB::table('items')->where('sku', $sku)->value('id'),
        'definition' => $definition,
        'text' => $text,
        'was' => (new GridTokens([($item = Item::query()->where('sku', $sku)->with('variants')->firstOrFail())]))
            ->of($item, Acts::definition($definition))
            ->token(),
    ];
    $answer = $this->putJson('/products/cells', [
        'cells' => [
            $cell('P', 'finish', 'Matt'),
            $cell('P-1', 'volume', '2 fl oz'),
            $cell('R', 'finish', 'Shiny'),
            $cell('P-1', 'finish', 'Matt'),
            ['was' => 'stale'] + $cell('Q', 'finish', 'Matt'),
        ],
    ])
        ->assertOk()
        ->json();
    expect(array_column($answer['refused'], 'reason'))
        ->toBe([
            'Finish has no value "Shiny"',
            'it belongs to the product, not to a variant',
            'somebody else has changed it to nothing',
        ])

        ->and(held('finish')['P'])
        ->toBe('Matt')
        ->and(held('volume')['P-1'])
        ->toBe('2 fl oz')
        ->and($answer['done'])
        ->toBe('Typed 2 cells of Finish, Volume');
    $this->putJson('/products/cells', ['cells' => [$cell('R', 'finish', 'Shiny')], 'make' => true])->assertOk();
    expect(held('finish')['R'])->toBe('Shiny');
    $this->putJson('/products/cells', ['cells' => [$cell('R', 'finish', '')]])->assertOk();
    expect(held('finish'))->not->toHaveKey('R');
    $this->putJson('/products/cells', ['cells' => array_fill(0, 5001, $cell('R', 'finish', 'Matt'))])
        ->assertStatus(422)
        ->assertJson(['message' => 'At most 5,000 cells at a time. Paste in parts, or change them together with the panel.']);
    expect(
        $this->putJson('/products/cells', [
            'cells' => [$cell('P', 'finish', 'Gloss'), $cell('Q', 'color', 'Plaid')],
            'check' => true,
        ])->json('panel'),
    )
        ->toContain('Put 2 cells in?')
        ->toContain('Plaid')
        ->and(held('finish')['P'])
        ->toBe('Matt');
    $this->getJson('/products/suggest?definition=finish&q=Mat')->assertJsonFragment(['label' => 'Matt', 'near' => false]);
    $this->getJson('/products/suggest?definition=finish&q=Glass')->assertJsonFragment(['label' => 'Gloss', 'near' => true]);
});

test('views are saved by name, replaced, proposed from expectations and removed', function (): void {
    $views = app(EditViews::class);
    $views->save('Mine', ['where' => ['category:paint'], 'columns' => ['finish'], 'all' => '1']);
    expect(SavedView::query()->firstOrFail()->query)->toBe(['where' => ['category:paint'], 'columns' => ['finish']]);
    $changed = $views->save('Mine', ['where' => [], 'sort' => 'sku']);
    expect(SavedView::query()->pluck('query')->all())->toBe([['sort' => 'sku']]);
    Acts::takeBack($changed);
    expect(SavedView::query()->firstOrFail()->query['columns'])
        ->toBe(['finish'])
        ->and(fn () => $views->save('Bad', ['where' => ['category:nowhere']]))
        ->toThrow(Refused::class, 'no category')
        ->and(fn () => $views->save(' ', []))
        ->toThrow(Refused::class);
    app(SayExpected::class)(Category::query()->where('slug', 'paint')->firstOrFail(), [Acts::definition('finish')->id], true);
    expect(EditViews::proposed())->toBe([
        ['name' => 'Paint', 'query' => ['where' => ['category:paint'], 'columns' => ['finish']]],
    ]);
});

test('a text field proposes what was written before, and says when a choice would do', function (): void {
    $this->read(
        "sku,name,category,Care\n".implode("\n", array_map(
            fn (int $i): string => "T{$i},Thing {$i},Things,".['Wash by hand', 'Wipe with a cloth', 'Dry clean'][$i % 3],
            range(1, 12),
        ))."\nT13,Thing,Things,Wash by Hand\n",
        '{"columns": {"Care": {"kind": "text", "level": "product"}}}',
    );
    $this->actingAs($this->person());
    $offers = fn (string $typed): array => array_map(
        fn (array $one): string => ($one['same'] ? '=' : ($one['near'] ? '~' : '')).$one['label'].' '.$one['products'],
        (array) $this->getJson('/products/suggest?definition=care&q='.urlencode($typed))->json(),
    );
    expect($offers('wash'))
        ->toBe(['Wash by hand 4', 'Wash by Hand 1'])
        ->and($offers('Wash by Hand'))
        ->toBe(['Wash by hand 4', '=Wash by Hand 1'])
        ->and($offers('Dry cleen'))
        ->toBe(['~Dry clean 4'])
        ->and($offers('something of its own'))
        ->toBe([]);
    $this->get('/definitions?open=care')->assertSee('come again and again')->assertSee('13 products or variants');
    $this->get('/definitions?open=care&kind=choice')->assertSee('arise')->assertDontSee('come again and again');
});
