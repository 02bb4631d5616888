<?php

declare(strict_types=1);

use App\Catalog\ProductCounts;
use App\Cells\CellChange;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Definitions\DefinitionForm;
use App\Definitions\SaveDefinition;
use App\History\TakeBack;
use App\History\WayBack;
use App\Lineups\EditLineup;
use App\Models\Change;
use App\Models\Definition;
use App\Models\FormerAddress;
use App\Models\Item;
use App\Models\State;
use App\Models\Value;
use App\Support\Refused;
use App\Values\FindValue;
use App\Vocabulary\MergeConsequences;
use App\Vocabulary\MergeValues;
use App\Vocabulary\SaveValue;
use App\Vocabulary\ValueTable;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Tests\Support\Acts;

const COLORS = '{"columns": {"Color": {"attribute": "color", "label": "Color", "kind": "choice", "level": "product", "multiple": true}}}';

function merge(string $keep, string ...$others): Change
{
    $merge = app(MergeValues::class);
    $ids = array_map(fn (string $label): int => FindValue::named(Acts::definition('color'), $label)->id, $others);

    $color = Acts::definition('color');

    return $merge($color, $merge->plan($color, FindValue::named($color, $keep)->id, array_values($ids)));
}

/**
 * Everything that a way back must restore.
 *
 * @return array<mixed>
 */
function vocabulary(): array
{
    return [
        DB::table('spellings')
            ->orderBy('id')
            ->get(['id', 'text', 'value_id'])
            ->toArray(),
        DB::table('attribute_values')
            ->orderBy('id')
            ->get(['id', 'label', 'slug', 'merged_into', 'look', 'held', 'position'])
            ->toArray(),
        DB::table('assignments')->orderBy('item_id')->orderBy('spelling_id')->get()->toArray(),
        DB::table('definitions')
            ->orderBy('id')
            ->get(['id', 'label', 'kind', 'unit', 'state', 'multiple'])
            ->toArray(),
    ];
}

beforeEach(function (): void {
    $this->read("sku,Color\nA,Green\nB,green \nC,grn\nD,Olive|Green\nE,Verde|grn\n", COLORS);
});

test('spellings with equal keys are one value from the start', function (): void {
    $rows = app(ValueTable::class)->of(Acts::definition('color'));
    expect(
        array_map(fn ($row): array => [$row->value->label, $row->products, array_column($row->spellings, 'text')], $rows),
    )->toBe([['Green', 3, ['Green', 'green ']], ['grn', 2, ['grn']], ['Olive', 1, ['Olive']], ['Verde', 1, ['Verde']]]);
});

test('a merge moves spellings and no assignment, says before what it will do, and goes back exactly', function (): void {
    $before = vocabulary();
    $merge = app(MergeValues::class);
    $plan = $merge->plan(Acts::definition('color'), FindValue::named(Acts::definition('color'), 'Green')->id, [
        FindValue::named(Acts::definition('color'), 'grn')->id,
        FindValue::named(Acts::definition('color'), 'Verde')->id,
    ]);
    expect(MergeConsequences::of(Acts::definition('color'), $plan, app(ProductCounts::class))->toArray())->toMatchArray([
        'products' => 2,
        'products_after' => 5,
        'values' => ['before' => 4, 'after' => 2],
        'terms' => ['before' => 4, 'after' => 2],
        'redirects' => ['grn' => 'green', 'verde' => 'green'],
    ]);
    $change = $merge(Acts::definition('color'), $plan);
    expect(vocabulary()[2])
        ->toEqual($before[2])
        ->and($change->rows()->count())
        ->toBe(4)
        ->and(app(ValueTable::class)->of(Acts::definition('color'))[0]->products)
        ->toBe(5);
    Acts::takeBack($change);
    expect(vocabulary())->toEqual($before);
});

test('what was taken back can be done again by taking that back', function (): void {
    $after = (function (): array {
        merge('Green', 'grn');

        return vocabulary();
    })();
    $back = Acts::takeBack(Change::query()->latest('id')->firstOrFail());
    Acts::takeBack($back);
    expect(vocabulary())
        ->toEqual($after)
        ->and(WayBack::of(Change::query()->whereKey($back->takes_back)->firstOrFail())->isOpen())
        ->toBeTrue();
});

test(
    'an old merge is taken back while a later one stands; one that was built upon says what stands in the way',
    function (): void {
        $first = merge('Green', 'grn');
        $second = merge('Olive', 'Verde');
        expect(WayBack::of($first)->isOpen())->toBeTrue();
        $third = merge('Olive', 'Green');
        expect(WayBack::of($first)->obstacles)
            ->toBe(["Entry {$third->id} stands in the way: Merged Green into Olive (Color). Take that back first."])
            ->and(WayBack::of($second)->isOpen())
            ->toBeTrue();
        expect(fn () => Acts::takeBack($first))->toThrow(Refused::class, 'stands in the way');
    },
);

test('a later delivery lands on the value that stayed, and goes back with its elder', function (): void {
    $change = merge('Green', 'grn');
    $figures = $this->read("sku,Color\nF,GRN.\n", COLORS);
    expect($figures->values)
        ->toBe(['added' => 0, 'resolved' => 1, 'held' => 0])
        ->and(FindValue::named(Acts::definition('color'), 'GRN.')->label)
        ->toBe('Green');
    Acts::takeBack($change);
    expect(FindValue::named(Acts::definition('color'), 'GRN.')->label)->toBe('grn');
});

test('a value is renamed, keeps its address, and its new name is its own spelling', function (): void {
    $value = FindValue::named(Acts::definition('color'), 'grn');
    app(SaveValue::class)($value, 'Grass green', new Look(['#00aa00']), Showing::Everywhere, $value->version);
    expect($value->refresh()->slug)->toBe('grn')->and(FindValue::known(Acts::definition('color'), 'GRASS GREEN')?->id)->toBe($value->id);
    expect(fn () => app(SaveValue::class)($value, 'olive', new Look(), Showing::Everywhere, $value->version))
        ->toThrow(Refused::class, 'Merge the two instead')
        ->and(fn () => app(SaveValue::class)($value, 'Other', new Look(), Showing::Everywhere, 1))
        ->toThrow(Refused::class, 'Someone else saved');
});

test('values are set and added by hand, counted before, and taken back', function (): void {
    $before = vocabulary();
    $items = Chosen::items(
        array_values(Item::query()->whereIn('sku', ['A', 'C', 'D'])->pluck('id')->all()),
    );
    $change = app(ChangeCells::class);
    $figures = fn (array $texts, CellMode $mode): array => $change
        ->consequences($items, CellChange::set(Acts::definition('color'), array_values($texts), $mode))
        ->toArray();
    expect($figures(['Olive'], CellMode::Add))
        ->toMatchArray([
            'items' => 3,
            'changed' => 2,
            'unchanged' => 1,
            'replaced' => 0,
        ])
        ->and($figures(['Olive'], CellMode::Set))
        ->toMatchArray(['changed' => 3, 'replaced' => 3])
        ->and($figures(['Sage'], CellMode::Set)['new_values'])
        ->toBe(['Sage']);
    $added = $change($items, CellChange::set(Acts::definition('color'), ['Olive'], CellMode::Add));
    expect(app(ValueTable::class)->of(Acts::definition('color'))[2]->products)->toBe(3);
    $change($items, CellChange::set(Acts::definition('color'), ['Sage']));
    expect(FindValue::named(Acts::definition('color'), 'Sage')->look()->colors)
        ->toBe(['#9cab86'])
        ->and(fn () => Acts::takeBack($added))
        ->toThrow(Refused::class, 'stands in the way');
    Acts::takeBack(app(TakeBack::class)->newest());
    Acts::takeBack($added);
    expect(vocabulary())->toEqual($before);
});

test('two people on one product: the second is told', function (): void {
    $item = Item::query()->firstOrFail();
    $save = fn (string $text) => app(ChangeCells::class)(Chosen::items([$item->id]), CellChange::set(Acts::definition('color'), [$text]), [
        $item->id => $item->version,
    ]);
    $save('Olive');
    expect(fn () => $save('Verde'))->toThrow(Refused::class, 'Someone else saved A');
});

test('a change of kind loses nothing and goes back', function (): void {
    $this->read(
        "sku,Size\nS1,10\nS2,20 cm\nS3,big\n",
        '{"columns": {"Size": {"kind": "choice", "level": "product"}}}',
        feed: 'Sizes',
    );
    $before = vocabulary();
    $size = Definition::query()->where('slug', 'size')->firstOrFail();
    $form = fn (string $kind, ?string $unit = null) => DefinitionForm::from([
        'label' => 'Size',
        'kind' => $kind,
        'level' => 'product',
        'unit' => $unit,
    ]);
    $change = app(SaveDefinition::class)($size, $form('number', 'mm'), State::Accepted, $size->version);
    expect(DB::table('spellings')->where('definition_id', $size->id)->orderBy('id')->pluck('number', 'text')->all())->toBe([
        '10' => 10.0,
        '20 cm' => 200.0,
        'big' => null,
    ]);
    Acts::takeBack($change);
    expect(vocabulary())->toEqual($before);
    expect(fn () => app(SaveDefinition::class)($size->refresh(), $form('choice'), State::Accepted, 1))->toThrow(
        Refused::class,
        'Someone else saved',
    );
});

test('one value becomes several where a separator is named', function (): void {
    $this->read(
        "sku,Use\nU1,Studio/Gift\nU2,Gift\n",
        '{"columns": {"Use": {"kind": "choice", "level": "product"}}}',
        feed: 'Uses',
    );
    $use = Definition::query()->where('slug', 'use')->firstOrFail();
    $several = DefinitionForm::from([
        'label' => 'Use',
        'kind' => 'choice',
        'level' => 'product',
        'multiple' => true,
        'separator' => '/',
    ]);
    app(SaveDefinition::class)($use, $several, State::Accepted, $use->version);
    $products = array_column(
        array_map(fn ($row): array => [$row->value->label, $row->products], app(ValueTable::class)->of($use->refresh())),
        1,
        0,
    );
    expect($products)->toBe(['Gift' => 2, 'Studio' => 1]);
});

test('a merge over many assignments writes few rows', function (): void {
    DB::statement(
        "WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n
            WHERE i < 30000) INSERT INTO items (sku, created_at) SELECT 'N' || i, '2026-01-01' FROM n",
    );
    DB::statement(
        'INSERT INTO assignments SELECT i.id, s.definition_id, s.id, 0 FROM items i JOIN spellings s ON s.text = \'grn\'
            WHERE i.sku LIKE \'N%\'',
    );
    $rows = (int) DB::selectOne('SELECT total_changes() AS n')->n;
    merge('Green', 'grn', 'Verde');
    expect((int) DB::selectOne('SELECT total_changes() AS n')->n - $rows)
        ->toBeLessThan(100)
        ->and(app(ValueTable::class)->of(Acts::definition('color'))[0]->products)
        ->toBe(30005);
});

test('merged values that were merged on lead to the last one', function (): void {
    merge('grn', 'Verde');
    merge('Green', 'grn');
    $this->publish();
    $edition = App\Editions\Served::now()->file();
    expect($edition->redirect($edition->attribute('color') ?? throw new RuntimeException('No color.'), 'verde'))
        ->toBe('green')
        ->and(Value::query()->whereNull('merged_into')->count())
        ->toBe(2);
});

test('a value gets another address, the one it had leads on, and no other value takes it', function (): void {
    $this->read("sku,name,category,Shade\nA,Tea,Tea,Grn\nB,Tin,Tea,Red\nC,Cup,Tea,Red\n", '{"columns": {"Shade": {"kind": "choice"}}}');
    app(EditLineup::class)->add('shade');
    $this->publish();
    $shade = Acts::definition('shade');
    $value = FindValue::named($shade, 'Grn');
    $this->actingAs($this->person());
    $put = fn (string $address) => $this->put("/values/shade/{$value->id}/address", ['address' => $address]);
    $put('red')->assertSessionHasErrors('address');
    $put(' ')->assertSessionHasErrors('address');
    $put('Leaf green')->assertRedirect();
    $this->publish();
    // Old links narrow to the same.
    $this->get('/shop?shade=grn')->assertRedirect('/shop?shade=leaf-green');
    $this->get('/shop?shade=leaf-green')->assertSee('Tea')->assertDontSee('Tin<', false);
    // A value of that name comes anew, and goes by another word.
    $this->read("sku,name,category,Shade\nD,Jug,Tea,grn%\n", '{"columns": {"Shade": {"kind": "choice"}}}');
    expect(Value::query()->where('definition_id', $shade->id)->where('label', 'grn%')->value('slug'))->toBe('grn-2');
    // Back to what it was, and the way back of it all.
    $put('grn')->assertRedirect();
    expect(FormerAddress::query()->pluck('slug')->all())->toBe(['leaf-green']);
    Acts::takeBack(app(TakeBack::class)->newest());
    expect([$value->refresh()->slug, FormerAddress::query()->pluck('slug')->all()])->toBe(['leaf-green', ['grn']]);
});
