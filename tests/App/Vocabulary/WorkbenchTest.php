<?php

declare(strict_types=1);

use App\Catalog\ProductCounts;
use App\History\TakeBack;
use App\History\WayBack;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Models\Value;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Values\FindValue;
use App\Values\SuggestValues;
use App\Vocabulary\ChangeValues;
use App\Vocabulary\FindNewcomers;
use App\Vocabulary\GatherValues;
use App\Vocabulary\KeepApart;
use App\Vocabulary\MapLens;
use App\Vocabulary\MergeValues;
use App\Vocabulary\MoveSpelling;
use App\Vocabulary\Newcomer;
use App\Vocabulary\PagesTouched;
use App\Vocabulary\ProposeMerges;
use App\Vocabulary\ProposeUmbrellas;
use App\Vocabulary\SaveValue;
use App\Vocabulary\SettleCertain;
use App\Vocabulary\SettleNewcomers;
use App\Vocabulary\ValueTable;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Tests\Support\Acts;

/* The workbench of one attribute: merging, gathering, taking spellings out, newcomers, and all of it taken back. */

const FIRST = "sku,category,Color\nA,Paint > Oil,Matte\nB,Paint > Oil,Matt\nC,Paint > Ink,matte \nD,Paper,Gloss\nE,Paper,Satin\n".
    "F,Paper,Silk\n";

const COLOR_MAP = '{"columns": {"Color": {"attribute": "color", "label": "Color", "kind": "choice", "level": "product"}}}';

beforeEach(fn () => $this->read(FIRST, COLOR_MAP));

function one(string $label): Value
{
    return FindValue::named(Acts::definition('color'), $label);
}

function mergeInto(string $keep, string ...$labels): Change
{
    $merge = app(MergeValues::class);
    $going = array_map(fn (string $label): int => one($label)->id, array_values($labels));

    return $merge(Acts::definition('color'), $merge->plan(Acts::definition('color'), one($keep)->id, $going));
}

/** @return array<string, list<mixed>> everything that says what the words mean */
function whole(): array
{
    $rows = fn (string $table, string ...$columns): array => array_map(
        fn (stdClass $row): array => (array) $row,
        array_values(DB::table($table)->orderBy('id')->get($columns)->all()),
    );

    return [
        'values' => $rows(
            'attribute_values',
            'id',
            'label',
            'slug',
            'look',
            'held',
            'retired',
            'merged_into',
            'umbrella_id',
            'position',
        ),
        'spellings' => $rows('spellings', 'id', 'text', 'value_id', 'settled'),
        'umbrellas' => $rows('umbrellas', 'id', 'label', 'slug', 'look'),
        'apart' => $rows('kept_apart', 'one_id', 'other_id'),
        'cells' => array_values(DB::table('assignments')->orderBy('item_id')->get()->all()),
    ];
}

/** @return array<string, Newcomer> by text */
function newcomers(): array
{
    return array_column(app(FindNewcomers::class)->of(Acts::definition('color')), null, 'text');
}

test(
    'an old merge is taken back alone while later ones stand, and says what stands in the way where it cannot',
    function (): void {
        $first = mergeInto('Matte', 'Matt');
        $second = mergeInto('Satin', 'Silk');
        Acts::takeBack($first);
        expect(one('Matt')->label)
            ->toBe('Matt')
            ->and(one('Silk')->label)
            ->toBe('Satin')
            ->and(one('Matt')->merged_into)
            ->toBeNull();
        // A merge of the merged: the inner one has to wait for the outer.
        $inner = mergeInto('Gloss', 'Matt');
        $outer = mergeInto('Matte', 'Gloss');
        $way = WayBack::of($inner->refresh());
        expect($way->isOpen())
            ->toBeFalse()
            ->and(implode(' ', $way->obstacles))
            ->toContain("Entry {$outer->id}")
            ->toContain('Merged Gloss into Matte')
            ->and(fn () => Acts::takeBack($inner))
            ->toThrow(Refused::class, 'stands in the way');
        Acts::takeBack($outer);
        Acts::takeBack($inner->refresh());
        expect(one('Matt')->label)->toBe('Matt')->and(one('Gloss')->label)->toBe('Gloss');
    },
);

test('everything taken back to the start leaves the vocabulary as it was', function (): void {
    $this->read("sku,Color\nG,matte\nH,Glos\nI,Pearl\n", COLOR_MAP);
    $start = whole();
    $changes = [
        mergeInto('Matte', 'Matt'),
        app(GatherValues::class)(Acts::definition('color'), 'Shiny', [one('Gloss')->id, one('Satin')->id]),
        app(KeepApart::class)(Acts::definition('color'), [one('Satin')->id, one('Silk')->id]),
        app(SaveValue::class)(one('Silk'), 'Silky', new Look(['#ffffff'], 'Silk look', 'soft'), Showing::Everywhere, one('Silk')->version),
        app(MoveSpelling::class)(Acts::definition('color'), Spelling::query()->where('text', 'Matt')->firstOrFail(), null),
        app(SettleNewcomers::class)(
            Acts::definition('color'),
            array_fill_keys(array_map(fn (Newcomer $one): int => $one->spelling, array_values(newcomers())), 'proposed'),
        ),
        app(ChangeValues::class)(Acts::definition('color'), 'retire', [one('Silky')->id]),
        mergeInto('Gloss', 'Pearl'),
    ];
    app(CreateValue::class)(Acts::definition('color'), 'Chalky');
    expect(whole())->not->toEqual($start);
    while (($newest = app(TakeBack::class)->newest()) !== null && $newest->room === Room::Values) {
        Acts::takeBack($newest);
    }
    expect(whole())->toEqual($start)->and(count(array_filter($changes)))->toBe(8);
});

test('a merge says what becomes of the pages that shoppers visit', function (): void {
    $pages = PagesTouched::of(Acts::definition('color'), [one('Matte')->id], [one('Matte')->id, one('Matt')->id, one('Silk')->id]);
    expect(array_map(fn ($page): array => [$page->page, $page->before, $page->after, $page->fewer], $pages))->toBe([
        ['Paint', 2, 3, 1],
        ['Paint > Oil', 1, 2, 1],
        ['Paper', 0, 1, 0],
    ]);
});

test('a spelling is taken out into a value of its own, or into another, and the next delivery follows', function (): void {
    mergeInto('Matte', 'Matt', 'Silk');
    $move = app(MoveSpelling::class);
    expect(fn () => $move(Acts::definition('color'), Spelling::query()->where('text', 'matte ')->firstOrFail(), null))->toThrow(
        Refused::class,
        'It is what Matte is called',
    );
    // The value that it was before comes back, with its address.
    $change = $move(Acts::definition('color'), Spelling::query()->where('text', 'Silk')->firstOrFail(), null);
    expect(one('Silk')->slug)
        ->toBe('silk')
        ->and(one('Silk')->merged_into)
        ->toBeNull()
        ->and(Value::query()->where('definition_id', Acts::definition('color')->id)->count())
        ->toBe(5);
    $move(Acts::definition('color'), Spelling::query()->where('text', 'Matt')->firstOrFail(), one('Gloss'));
    $this->read("sku,Color\nG,SILK\nH,matt\n", COLOR_MAP);
    $of = fn (string $sku): string => (string) DB::table('assignments as a')
        ->join('spellings as s', 's.id', '=', 'a.spelling_id')
        ->join('attribute_values as v', 'v.id', '=', 's.value_id')
        ->where('a.item_id', Item::query()->where('sku', $sku)->value('id'))
        ->value('v.label');
    expect($of('G'))->toBe('Silk')->and($of('H'))->toBe('Gloss');
    Acts::takeBack($change);
    expect($of('F'))->toBe('Matte')->and($of('G'))->toBe('Matte');
});

test('a newcomer is said to be any value that is there, by its name or a spelling', function (): void {
    $this->actingAs($this->person());
    $this->read("sku,Color\nG,Glosss\nH,Pearl\nI,Nacre\n", COLOR_MAP, feed: 'Later');
    $found = newcomers();
    $send = fn (array $is) => $this->from('/newcomers/color')->post('/newcomers/color', ['do' => 'said', 'is' => $is]);
    $send([$found['Pearl']->spelling => 'Mother of pearl'])->assertSessionHasErrors([
        "is.{$found['Pearl']->spelling}" => 'Color has no value "Mother of pearl".',
    ]);
    $send([$found['Pearl']->spelling => 'pearl'])->assertSessionHasErrors("is.{$found['Pearl']->spelling}");
    $send([$found['Pearl']->spelling => 'Nacre', $found['Nacre']->spelling => 'Matte'])->assertSessionHasErrors(
        "is.{$found['Nacre']->spelling}",
    );
    $send([])->assertSessionHasErrors();
    expect(newcomers())->toHaveCount(3);
    $send([$found['Pearl']->spelling => 'GLOSS', $found['Nacre']->spelling => 'Gloss', $found['Glosss']->spelling => ' '])
        ->assertSessionHasNoErrors()
        ->assertSessionHas('done', 'Settled 2 newcomers as values that were there (Color)');
    expect(array_keys(newcomers()))
        ->toBe(['Glosss'])
        ->and(one('Pearl')->label)
        ->toBe('Gloss');
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(newcomers())->toHaveCount(3);
    // What it seemed to be when it was looked at is asked for by its row.
    $glosss = $found['Glosss']->spelling;
    $merge = fn (int $same) => $this->post('/newcomers/color', ['do' => "merge:{$glosss}", 'same' => [$glosss => $same]]);
    $merge(one('Matte')->id)->assertSessionHasErrors();
    $merge(one('Gloss')->id)->assertSessionHasNoErrors();
});

test(
    'newcomers come with a later delivery, with the best proposal, and what found its place by itself is listed too',
    function (): void {
        expect(newcomers())->toBe([]);
        app(GatherValues::class)(Acts::definition('color'), 'Shiny', [one('Gloss')->id]);
        $this->read("sku,Color\nG,GLOSS\nH,Glosss\nI,Pearl\nJ,very shiny\n", COLOR_MAP, feed: 'Later');
        $found = newcomers();
        expect(array_keys($found))
            ->toBe(['Glosss', 'Pearl', 'very shiny', 'GLOSS'])
            ->and($found['GLOSS']->resolved)
            ->toBeTrue()
            ->and($found['GLOSS']->value->label)
            ->toBe('Gloss')

            ->and($found['Glosss']->same?->label)
            ->toBe('Gloss')
            ->and($found['Glosss']->certain)
            ->toBeFalse()
            ->and($found['Glosss']->proposes())
            ->toBe('merge')

            ->and($found['Pearl']->proposes())
            ->toBe('keep')
            ->and($found['very shiny']->under)
            ->toBe('Shiny')
            ->and($found['very shiny']->proposes())
            ->toBe('gather');
        $change = app(SettleNewcomers::class)(
            Acts::definition('color'),
            array_map(fn (Newcomer $one): string => 'proposed', array_column($found, null, 'spelling')),
        );
        expect($change->summary)
            ->toBe('Settled 4 newcomers: 1 merged, 1 gathered, 2 kept (Color)')
            ->and(newcomers())
            ->toBe([])
            ->and(one('Glosss')->label)
            ->toBe('Gloss')
            ->and(one('very shiny')->umbrella?->label)
            ->toBe('Shiny');
        Acts::takeBack($change);
        expect(array_keys(newcomers()))->toBe(array_keys($found));
    },
);

test(
    'a newcomer that is kept although it looked like a value is never proposed for it again, and a held one is shown',
    function (): void {
        DB::table('definitions')->update(['policy' => 'hold']);
        $this->read("sku,Color\nG,Glosss\n", COLOR_MAP);
        expect(newcomers()['Glosss']->value->held)->toBeTrue();
        app(SettleNewcomers::class)(Acts::definition('color'), [newcomers()['Glosss']->spelling => 'keep']);
        expect(one('Glosss')->held)
            ->toBeFalse()
            ->and(
                array_filter(
                    app(ProposeMerges::class)->of(Acts::definition('color')),
                    fn ($proposal): bool => in_array(one('Glosss')->id, $proposal->values, true),
                ),
            )
            ->toBe([])
            ->and(fn () => app(SettleNewcomers::class)(Acts::definition('color'), [1 => 'keep']))
            ->toThrow(Refused::class, 'decided on them meanwhile');
    },
);

test('a delivery of forty new spellings needs no more than five decisions', function (): void {
    $names = [
        'Ultramarine',
        'Viridian',
        'Burnt sienna',
        'Raw umber',
        'Cadmium red',
        'Cobalt teal',
        'Lamp black',
        'Titanium white',
        'Rose madder',
        'Naples yellow',
    ];
    $this->read(
        "sku,Color\n".implode("\n", array_map(fn (int $i, string $name): string => "N{$i},{$name}", array_keys($names), $names)),
        COLOR_MAP,
    );
    $came = array_map(fn (Newcomer $one): int => $one->spelling, array_values(newcomers()));
    app(SettleNewcomers::class)(Acts::definition('color'), array_fill_keys($came, 'keep'));
    $ways = [
        fn (string $name): string => mb_strtoupper($name),
        fn (string $name): string => " {$name}",
        fn (string $name): string => str_replace(' ', "\u{00A0}", $name).' ',
        fn (string $name): string => str_contains($name, ' ') ? implode(', ', array_reverse(explode(' ', $name))) : "{$name}.",
    ];
    $rows = [];
    foreach ($names as $i => $name) {
        foreach ($ways as $n => $way) {
            $rows[] = "L{$i}-{$n},\"{$way($name)}\"";
        }
    }
    $before = Spelling::query()->where('definition_id', Acts::definition('color')->id)->count();
    $this->read("sku,Color\n".implode("\n", [...$rows, 'X1,Gamboge', 'X2,Bronze']), COLOR_MAP);
    expect(Spelling::query()->where('definition_id', Acts::definition('color')->id)->count() - $before)->toBeGreaterThanOrEqual(40);
    $page = $this->actingAs($this->person());
    $decisions = 0;
    foreach (['certain', 'resolved'] as $all) {
        $page->post('/newcomers/color', ['do' => $all])->assertRedirect();
        $decisions++;
    }
    foreach (newcomers() as $one) {
        $page->post('/newcomers/color', ['do' => 'keep:'.$one->spelling])->assertRedirect();
        $decisions++;
    }
    expect(newcomers())
        ->toBe([])
        ->and($decisions)
        ->toBeLessThanOrEqual(5)
        ->and(Acts::definition('color')->values()->count())
        ->toBe(5 + 10 + 2);
});

test('what the shop merged and kept apart in one attribute teaches another', function (): void {
    $this->read(
        "sku,Surface,Frame\nS1,Cad. red,Sand\nS2,Cadmium red,Beach\nS3,Ivory,Fog\nS4,Eggshell,Grey\n",
        '{"columns": {"Surface": {"attribute": "surface", "kind": "choice"}, "Frame": {"attribute": "frame", "kind": "choice"}}}',
    );
    $surface = Definition::query()->where('slug', 'surface')->firstOrFail();
    $frame = Definition::query()->where('slug', 'frame')->firstOrFail();
    expect(app(ProposeMerges::class)->of($frame))->toBe([]);
    $merge = app(MergeValues::class);
    $merge($frame, $merge->plan($frame, FindValue::named($frame, 'Grey')->id, [FindValue::named($frame, 'Fog')->id]));
    $merge(
        $surface,
        $merge->plan($surface, FindValue::named($surface, 'Ivory')->id, [FindValue::named($surface, 'Eggshell')->id]),
    );
    $this->read("sku,Color\nT1,Fog\nT2,Grey\nT3,Ivory\nT4,Eggshell\n", COLOR_MAP);
    $labels = fn (): array => array_map(
        fn ($proposal): array => [
            array_map(fn (int $id): string => Value::query()->findOrFail($id)->label, $proposal->values),
            $proposal->evidence,
        ],
        app(ProposeMerges::class)->of(Acts::definition('color')),
    );
    expect($labels())
        ->toContain([['Fog', 'Grey'], ['merged in this shop before']])
        ->toContain([['Ivory', 'Eggshell'], ['merged in this shop before']]);
    app(KeepApart::class)($surface, [FindValue::named($surface, 'Cadmium red')->id, FindValue::named($surface, 'Ivory')->id]);
    app(KeepApart::class)(Acts::definition('color'), [one('Ivory')->id, one('Eggshell')->id]);
    expect(array_column($labels(), 0))->not->toContain(['Ivory', 'Eggshell']);
});

test(
    'several values are hidden, shown, retired and dressed at once; retired ones are not offered where values are typed',
    function (): void {
        $ids = [one('Gloss')->id, one('Satin')->id];
        $change = app(ChangeValues::class);
        expect($change(Acts::definition('color'), 'retire', $ids)?->summary)
            ->toBe('Retired: Gloss, Satin (Color)')
            ->and(one('Gloss')->held)
            ->toBeTrue()
            ->and(array_column(app(SuggestValues::class)(Acts::definition('color'), 'glo'), 'label'))
            ->not->toContain('Gloss');
        $this->publish();
        expect(array_keys($this->counts()[1]['color']))->toBe(['matt', 'matte', 'silk']);
        $change(Acts::definition('color'), 'restore', $ids);
        expect(one('Gloss')->retired)
            ->toBeFalse()
            ->and($change(Acts::definition('color'), 'hide', $ids))
            ->not->toBeNull()
            ->and($change(Acts::definition('color'), 'hide', $ids))
            ->toBeNull();
        app(CreateValue::class)(Acts::definition('color'), 'Viridian');
        DB::table('attribute_values')
            ->where('label', 'Viridian')
            ->update(['look' => null]);
        $change(Acts::definition('color'), 'dress', [one('Viridian')->id]);
        expect(one('Viridian')->look()->colors)
            ->toBe(['#2a7d62'])
            ->and(fn () => $change(Acts::definition('color'), 'burn', $ids))
            ->toThrow(Refused::class);
    },
);

test('umbrellas are proposed from words and from measures', function (): void {
    $this->read(
        "sku,Shade,Volume\nW1,Matte white,10 ml\nW2,\"White, titanium\",20 ml\nW3,White,\nW4,Burnt sienna,50 ml\n".
        "W5,Raw sienna,200 ml\nW6,Viridian,0.5 l\n",
        '{"columns": {"Shade": {"attribute": "shade", "kind": "choice"}, "Volume": {"attribute": "pack", "kind": "choice"}}}',
    );
    $of = fn (string $slug, string $way): array => array_map(
        fn (array $values): array => array_map(fn (Value $value): string => $value->label, $values),
        app(ProposeUmbrellas::class)->of(Definition::query()->where('slug', $slug)->firstOrFail(), $way),
    );
    expect($of('shade', 'words'))
        ->toBe(['Sienna' => ['Burnt sienna', 'Raw sienna'], 'White' => ['Matte white', 'White, titanium', 'White']])
        ->and($of('pack', 'measure'))
        ->toBe(['Under 200 ml' => ['10 ml', '20 ml', '50 ml'], '200 ml and more' => ['200 ml', '0.5 l']]);
});

test('the map knows the shape of colors, sizes and measures, and forces none on the rest', function (): void {
    $this->read(
        "sku,Shade,Size,Pack,Width\nM1,Red,S,10 ml,10 cm\nM2,Sky blue,XL,20 ml,100 mm\nM3,Gray,M,30 ml,12 cm\n".
        "M4,Moody,Other,1 l,13 cm\nM5,,,25 ml,5 m\nM6,,,20ml,11 cm\n",
        '{"columns": {"Shade": {"attribute": "shade", "label": "Shade", "kind": "choice"}, "Size": {"attribute": "size", '.
        '"label": "Size", "kind": "choice"}, "Pack": {"attribute": "pack", "kind": "choice"}, "Width": {"attribute": "width", '.
        '"kind": "number", "unit": "cm"}}}',
    );
    $map = fn (string $slug): MapLens => MapLens::ofValues(
        $definition = Definition::query()->where('slug', $slug)->firstOrFail(),
        app(ValueTable::class)->of($definition),
    );
    expect($map('color')->shape)
        ->toBe('none')
        ->and($map('shade')->shape)
        ->toBe('colors')
        ->and(count($map('shade')->plane->dots ?? []))
        ->toBe(3)
        ->and(array_map(fn ($row) => $row->value->label, $map('shade')->beside))
        ->toBe(['Moody'])

        ->and($map('size')->shape)
        ->toBe('sizes')
        ->and(array_map(fn (array $rows): string => $rows[0]->value->label, array_values($map('size')->ladders[0]['rungs'])))
        ->toBe(['S', 'M', 'XL'])

        ->and($map('pack')->shape)
        ->toBe('numbers')
        ->and(array_column($map('pack')->points, 'label'))
        ->toBe(['10 ml', '20 ml', '25 ml', '30 ml', '1,000 ml'])
        ->and(array_column(array_filter($map('pack')->points, fn ($point) => $point['outlier']), 'label'))
        ->toBe(['1,000 ml']);
    $numbers = MapLens::ofNumbers(Definition::query()->where('slug', 'width')->firstOrFail(), app(ProductCounts::class));
    expect(array_column($numbers->points, 'number'))
        ->toBe([10.0, 11.0, 12.0, 13.0, 500.0])
        ->and(array_column($numbers->points[0]['members'], 'label'))
        ->toBe(['10 cm', '100 mm'])
        ->and($numbers->points[4]['outlier'])
        ->toBeTrue();
    foreach (
        ['/values/shade/map', '/values/size/map', '/values/pack/map', '/values/color/map', '/values/width', '/values/color/flow'] as $page
    ) {
        $this->actingAs($this->person())->get($page)->assertOk();
    }
});

test('every panel of the workbench can be drawn, in every lens', function (): void {
    app(GatherValues::class)(Acts::definition('color'), 'Shiny', [one('Satin')->id]);
    $this->actingAs($this->person());
    $two = 'pick[]='.one('Gloss')->id.'&pick[]='.one('Satin')->id;
    foreach (['', '/flow', '/map'] as $lens) {
        foreach (
            [
                '' => 'Select values',
                $two => 'Merge into one?',
                "{$two}&under=Shiny" => 'Products under it',
                'pick[]='.one('Gloss')->id.'&under=New' => 'New umbrella',
                'value='.one('Gloss')->id => 'Spellings: open one',
                'spelling='.Spelling::query()->where('text', 'matte ')->value('id') => 'A spelling of',
                'umbrella='.Umbrella::query()->value('id') => 'Umbrella of 1 value',
            ] as $query => $says
        ) {
            $this->get("/values/color{$lens}?{$query}")
                ->assertOk()
                ->assertSee($says);
        }
    }
    foreach (['color', 'words', 'measure'] as $way) {
        $this->get("/values/color/umbrellas?by={$way}")->assertOk();
    }
    $this->get('/values/color/look-alikes')->assertOk();
    $this->get('/newcomers')->assertOk();
});

test('a look takes a color by name, and a picture by its content', function (): void {
    $page = $this->actingAs($this->person());
    $value = one('Gloss');
    $picture = imagecreatetruecolor(20, 20);
    imagepng($picture, $path = tempnam(sys_get_temp_dir(), 'look'));
    $page
        ->put("/values/color/{$value->id}", [
            'label' => 'Gloss',
            'version' => $value->version,
            'color_name' => 'black and white',
            'look_picture' => new Illuminate\Http\UploadedFile($path, 'pattern.txt', null, null, true),
        ])
        ->assertSessionHasNoErrors();
    expect(one('Gloss')->look()->colors)
        ->toBe(['#000000', '#ffffff'])
        ->and(one('Gloss')->look()->picture)
        ->toMatch('/^[a-f0-9]{32}\.webp$/');
    $page
        ->put("/values/color/{$value->id}", [
            'label' => 'Gloss',
            'version' => one('Gloss')->version,
            'color_name' => 'no such shade at all',
        ])
        ->assertSessionHasErrors('colors');
    file_put_contents($path, '<svg xmlns="http://www.w3.org/2000/svg"/>');
    $page
        ->put("/values/color/{$value->id}", [
            'label' => 'Gloss',
            'version' => one('Gloss')->version,
            'look_picture' => new Illuminate\Http\UploadedFile($path, 'pattern.png', null, null, true),
        ])
        ->assertSessionHasErrors('picture');
    unlink($path);
});

test('spellings of one new value wait for one decision', function (): void {
    $this->read("sku,Color\nG,Chalky\nH,CHALKY\nI,chalky \nJ,satin \n", COLOR_MAP);
    $waiting = app(FindNewcomers::class)->of(Acts::definition('color'));
    expect(array_map(fn (Newcomer $one): array => [$one->resolved, $one->products, count($one->also)], $waiting))
        ->toBe([[false, 3, 2], [true, 1, 0]])
        ->and(app(FindNewcomers::class)->waiting()[0])
        ->toMatchArray(['new' => 1, 'resolved' => 1]);
    $change = app(SettleNewcomers::class)(Acts::definition('color'), [$waiting[0]->spelling => 'keep']);
    expect(newcomers())
        ->toHaveCount(1)
        ->and(Spelling::query()->where('value_id', one('Chalky')->id)->where('settled', false)->count())
        ->toBe(0);
    Acts::takeBack($change);
    expect(newcomers())->toHaveCount(2);
});

test('what is typed in another language, or by a standard, is found', function (string $typed, string $offered): void {
    $this->read(
        "sku,Color\nN1,Brass\nN2,AA\nN3,Stainless steel\nN4,Beech\n",
        '{"columns": {"Color": {"attribute": "color"}}}',
    );
    [$first] = app(SuggestValues::class)(Acts::definition('color'), $typed);
    expect([$first['label'], $first['near']])->toBe([$offered, true]);
})->with([['Messing', 'Brass'], ['LR6', 'AA'], ['acier inoxydable', 'Stainless steel'], ['Buche', 'Beech']]);

test('where an attribute says so, what is certain lands by itself, is listed, and is taken back; the rest waits', function (): void {
    $color = Acts::definition('color');
    $this->read("sku,Color\nK1,Burnt sienna\nK2,Viridian\n", COLOR_MAP);
    DB::table('spellings')->update(['settled' => true]);
    DB::table('definitions')->update(['policy' => 'certain']);
    $this->read("sku,Color\nK3,\"Sienna, burnt\"\nK4,Virdian\nK5,Something else\n", COLOR_MAP);
    // As a reading does it when it is through.
    [$change] = app(SettleCertain::class)();
    expect($change->summary)
        ->toBe('By itself settled 1 newcomer: 1 merged, 0 gathered, 0 kept (Color)')
        ->and(one('Sienna, burnt')->label)
        ->toBe('Burnt sienna')
        ->and(newcomers()['Sienna, burnt']->resolved)
        ->toBeTrue()
        ->and(newcomers()['Virdian']->resolved)
        ->toBeFalse()
        ->and(newcomers()['Virdian']->value->held)
        ->toBeTrue()
        ->and(app(SettleCertain::class)())
        ->toBe([]);
    Acts::takeBack($change);
    expect(newcomers()['Sienna, burnt']->resolved)->toBeFalse();
    app(SettleNewcomers::class)($color, [newcomers()['Sienna, burnt']->spelling => 'keep']);
    expect(app(SettleCertain::class)())->toBe([]);
});
