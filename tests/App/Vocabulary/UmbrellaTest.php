<?php

declare(strict_types=1);

use App\Catalog\ProductCounts;
use App\Cells\Narrowing;
use App\Editions\Picks;
use App\History\Journal;
use App\History\Ledger;
use App\History\TakeBack;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Origin;
use App\Models\Room;
use App\Models\Umbrella;
use App\Models\Value;
use App\Publishing\CurrentDrift;
use App\Support\Refused;
use App\Values\FindValue;
use App\Values\SpellingsFor;
use App\Vocabulary\GatherValues;
use App\Vocabulary\ListValues;
use App\Vocabulary\MergeConsequences;
use App\Vocabulary\MergeValues;
use App\Vocabulary\ProposeUmbrellas;
use App\Vocabulary\TakeInValues;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Umbrellas: several values that shoppers tick as one; products keep their own. */

beforeEach(function (): void {
    $this->read(
        "sku,parent_sku,Color,Size\nP,,,\nP-1,P,Sage,S\nP-2,P,Olive,M\nQ,,Olive,M\nR,,Green,L\nS,,Red,S\nT,,Sage,L\n",
        '{"columns": {"Color": {"attribute": "color", "kind": "choice", "level": "variant"}, "Size": {"attribute": "size", '.
        '"kind": "choice", "level": "variant"}}}',
    );
    app(EditLineup::class)->add('color');
});

/** @return list<int> */
function shades(string ...$labels): array
{
    return array_values(array_map(fn (string $label): int => FindValue::named(Acts::definition('color'), $label)->id, $labels));
}

test('values under an umbrella are one term, counted as products once, and their addresses lead to it', function (): void {
    $this->publish();
    $gather = app(GatherValues::class);
    expect($gather->consequences(Acts::definition('color'), 'Green', shades('Sage', 'Olive', 'Green'))->toArray())->toMatchArray([
        'umbrella' => 'Green',
        'new' => true,
        'products' => 4,
        'terms' => ['before' => 4, 'after' => 2],
        'filters' => ['Color'],
    ]);
    $cells = DB::table('assignments')->get()->all();
    $change = $gather(Acts::definition('color'), 'Green', shades('Sage', 'Olive', 'Green'));
    expect(DB::table('assignments')->get()->all())
        ->toEqual($cells)
        ->and($change?->rows()->count())
        ->toBe(4)
        ->and(app(CurrentDrift::class)()->differences())
        ->toBeGreaterThan(0);
    $this->publish();
    expect($this->counts()[1]['color'])
        ->toBe(['green' => 4, 'red' => 1])
        ->and($this->counts(new Picks(['color' => ['green'], 'size' => ['m']]))[0])
        ->toBe(2);
    $this->get('/shop?color=sage')->assertRedirect('/shop?color=green');
    $this->get('/shop/p/Q')->assertSee('Olive');
    $this->get('/shop?color=green')->assertOk()->assertSee('Color: Green');
    expect(
        Narrowing::where(['color:Sage'])
            ->query()
            ->count(),
    )->toBe(2);
    Acts::takeBack($change);
    $this->publish();
    expect($this->counts()[1]['color'])
        ->toBe([
            'green' => 1,
            'olive' => 2,
            'red' => 1,
            'sage' => 2,
        ])
        ->and(Umbrella::query()->count())
        ->toBe(0);
});

test('a value is in one umbrella at most, and an empty umbrella goes', function (): void {
    $gather = app(GatherValues::class);
    $gather(Acts::definition('color'), 'Greens', shades('Sage', 'Olive'));
    expect($gather->consequences(Acts::definition('color'), 'Muted', shades('Sage'))->toArray())->toMatchArray([
        'new' => true,
        'from' => ['Greens'],
        'terms' => ['before' => 3, 'after' => 4],
    ]);
    $gather(Acts::definition('color'), 'Muted', shades('Sage', 'Olive'));
    expect(Umbrella::query()->pluck('label')->all())->toBe(['Muted']);
    $gather->release(Acts::definition('color'), shades('Sage', 'Olive'));
    expect(Umbrella::query()->count())->toBe(0);
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(Umbrella::query()->pluck('label')->all())
        ->toBe(['Muted'])
        ->and(fn () => $gather(Acts::definition('color'), ' ', shades('Sage')))
        ->toThrow(Refused::class)
        ->and(fn () => $gather(Acts::definition('color'), 'X', []))
        ->toThrow(Refused::class, 'at least one value');
});

test('members come and go with one save of the umbrella, from where they are, and all of it is one step back', function (): void {
    $this->actingAs($this->person());
    $gather = app(GatherValues::class);
    $gather(Acts::definition('color'), 'Greens', shades('Sage', 'Olive'));
    $gather(Acts::definition('color'), 'Warm', shades('Red'));
    $greens = Umbrella::query()->where('label', 'Greens')->firstOrFail();
    $page = "/values/color/list?umbrella={$greens->id}";
    // Found by a spelling, told where it is now, and kept ticked while the next one is looked for.
    $this->get("{$page}&join=gree&add[]=".shades('Red')[0])
        ->assertSeeInOrder(['now under Warm', 'Green'])
        ->assertSee('name="add[]" value="'.shades('Red')[0].'"', false);
    $this->get("{$page}&join=zzz")->assertSee('No other value is called or spelled like that');
    $before = Value::query()->orderBy('id')->pluck('umbrella_id', 'label')->all();
    $this->put("/values/color/umbrellas/{$greens->id}", [
        'label' => 'Greens',
        'version' => $greens->version,
        'listed' => shades('Sage', 'Olive'),
        'stays' => shades('Olive'),
        'add' => shades('Red', 'Green'),
    ])->assertSessionHasNoErrors();
    expect(Umbrella::query()->pluck('label')->all())
        ->toBe(['Greens'])
        ->and($greens->values()->pluck('label')->all())
        ->toBe(['Green', 'Olive', 'Red']);
    expect(app(TakeBack::class)->newest()?->summary)->toBe('Changed the umbrella Greens: 2 in, 1 out (Color)');
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(Value::query()->orderBy('id')->pluck('umbrella_id', 'label')->all())
        ->toBe($before)
        ->and(Umbrella::query()->pluck('label')->all())
        ->toBe(['Greens', 'Warm']);
    // The last one out takes the umbrella along; one of the umbrella's name cannot leave while it stays.
    $gather(Acts::definition('color'), 'Red', shades('Red', 'Sage'));
    $red = Umbrella::query()->where('label', 'Red')->firstOrFail();
    $this->put("/values/color/umbrellas/{$red->id}", [
        'label' => 'Red',
        'version' => $red->version,
        'listed' => shades('Red', 'Sage'),
        'stays' => shades('Sage'),
    ])->assertSessionHasErrors(['label' => 'An umbrella is called Red, too, so shoppers would read the name twice. Rename the '.
        'umbrella first.']);
    $this->put("/values/color/umbrellas/{$red->id}", [
        'label' => 'Red',
        'version' => $red->version,
        'listed' => shades('Red', 'Sage'),
    ])->assertSessionHasNoErrors();
    expect(Umbrella::query()->pluck('label')->all())->toBe(['Greens']);
    // Nor can one that another umbrella is called after.
    $gather(Acts::definition('color'), 'Warm', shades('Red'));
    $warm = Umbrella::query()->where('label', 'Warm')->firstOrFail();
    $gather->save($warm, 'Olive', $warm->look(), $warm->version);
    expect($greens->values()->pluck('label')->all())->toBe(['Olive']);
    expect(fn () => $gather->release(Acts::definition('color'), shades('Olive')))->toThrow(
        Refused::class,
        'An umbrella is called Olive, too',
    );
});

test('gathering under the name of a value says so and brings that value in', function (): void {
    $gather = app(GatherValues::class);
    expect($gather->consequences(Acts::definition('color'), 'green', shades('Sage', 'Olive'))->toArray())->toMatchArray([
        'joins' => 'Green',
        'terms' => ['before' => 4, 'after' => 2],
        'products' => 4,
    ]);
    $gather(Acts::definition('color'), 'green', shades('Sage', 'Olive'));
    expect(Umbrella::query()->firstOrFail()->values()->pluck('label')->all())->toBe(['Green', 'Olive', 'Sage']);
});

test('merging into a value under an umbrella counts terms as shoppers see them', function (): void {
    app(GatherValues::class)(Acts::definition('color'), 'Greens', shades('Sage', 'Olive'));
    $merge = app(MergeValues::class);
    $plan = $merge->plan(Acts::definition('color'), shades('Sage')[0], shades('Olive'));
    expect(MergeConsequences::of(Acts::definition('color'), $plan, app(ProductCounts::class))->toArray()['terms'])->toBe([
        'before' => 3,
        'after' => 3,
    ]);
    $merge(Acts::definition('color'), $plan);
    $this->publish();
    expect($this->counts()[1]['color'])->toBe(['green' => 1, 'greens' => 3, 'red' => 1]);
    $this->get('/shop?color=olive')->assertRedirect('/shop?color=greens');
});

test('a cleaned list goes to another shop and comes back the same, and a bad one is refused by its line', function (): void {
    app(GatherValues::class)(Acts::definition('color'), 'Greens', shades('Sage', 'Olive'));
    $merge = app(MergeValues::class);
    $merge(Acts::definition('color'), $merge->plan(Acts::definition('color'), shades('Green')[0], shades('Red')));
    $csv = app(ListValues::class)->write(Acts::definition('color'), 'csv');
    $this->read("sku,Tone\nX,red\n", '{"columns": {"Tone": {"attribute": "tone", "kind": "choice"}}}', feed: 'Other');
    $tone = Definition::query()->where('slug', 'tone')->firstOrFail();
    $open = function (string $text) {
        return Acts::file($text);
    };
    $take = app(TakeInValues::class);
    $figures = $take->consequences($tone, $open($csv));
    expect($figures)
        ->toMatchArray(['values' => 3, 'umbrellas' => 1])
        ->and($tone->values()->count())
        ->toBe(1);
    $change = $take($tone, $open($csv));
    expect(app(ListValues::class)->write($tone, 'csv'))
        ->toContain('Green,,Red')
        ->toContain('Sage,Greens,Sage')
        ->and($take($tone, $open($csv)))
        ->toBeNull();
    Acts::takeBack($change);
    expect($tone->values()->pluck('label')->all())->toBe(['red']);
    expect(fn () => $take($tone, $open("value,spelling\nRed,x\nBlue,x\n")))
        ->toThrow(Refused::class, 'Line 3: "x" stands for "Red" and for "Blue"')

        ->and(fn () => $take($tone, $open("name\nRed\n")))
        ->toThrow(Refused::class, 'no column "value"')
        ->and(fn () => $take($tone, $open("value\n,\n\"\"\n")))
        ->toThrow(Refused::class);
});

test('umbrellas are proposed by basic color and taken as one step', function (): void {
    $this->actingAs($this->person())
        ->get('/values/color/umbrellas')
        ->assertOk()
        ->assertSee('Green')
        ->assertDontSee('groups[Red]');
    $proposals = app(ProposeUmbrellas::class)->of(Acts::definition('color'));
    expect(
        array_map(fn (array $values): array => array_map(fn (Value $value): string => $value->label, $values), $proposals),
    )->toBe(['Green' => ['Sage', 'Olive', 'Green']]);
    $this->post('/values/color/umbrellas', [
        'groups' => ['Green' => array_map(fn (Value $value): int => $value->id, $proposals['Green'])],
    ])->assertSessionHas('done', 'Gathered 3 values under Green (Color)');
    expect(app(ProposeUmbrellas::class)->of(Acts::definition('color')))->toBe([]);
    $this->post('/values/color/umbrellas')->assertSessionHasErrors();
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(Umbrella::query()->count())->toBe(0);
});

test('a value that a list names after one of its own umbrellas comes under it, and no two terms share an address', function (): void {
    $color = Acts::definition('color');
    app(TakeInValues::class)($color, Acts::file("value,umbrella\nCrimson,\nMoss,Pine tones\nPine tones,\nFern,Pine tones\n"));
    $umbrella = Umbrella::query()->where('label', 'Pine tones')->firstOrFail();
    $named = Value::query()->where('label', 'Pine tones')->firstOrFail();
    expect($named->umbrella_id)->toBe($umbrella->id)->and($named->slug)->not->toBe($umbrella->slug);
});

test('hundreds of new values are made in one act without looking all of them through for each', function (): void {
    $color = Acts::definition('color');
    $asked = 0;
    DB::listen(function (QueryExecuted $query) use (&$asked): void {
        $asked += str_contains($query->sql, 'select "slug" from "attribute_values"') ? 1 : 0;
    });
    $sheet = new SpellingsFor($color);
    $numbers = array_map(fn (int $i): int => $sheet->text("Tone {$i}")[0], range(1, 40));
    app(Ledger::class)->record(Room::Values, function (Journal $journal) use ($sheet, $color, $numbers): string {
        $journal->cells()->clear();
        foreach ($numbers as $item => $number) {
            DB::insert('INSERT INTO temp.coming VALUES (?, ?, ?, ?)', [$item, $color->id, $number, Origin::HAND]);
        }
        $sheet->make($journal);

        return 'Made 40 values';
    });
    expect($asked)->toBe(1)->and($color->values()->where('label', 'like', 'Tone %')->count())->toBe(40);
});
