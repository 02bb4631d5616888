<?php

declare(strict_types=1);

use App\Catalog\Coverage;
use App\Catalog\Expected;
use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Definitions\CreateDefinition;
use App\Definitions\DefinitionForm;
use App\Definitions\EndDefinition;
use App\Definitions\LikeNames;
use App\Definitions\MergeDefinitions;
use App\Definitions\ReadAgain;
use App\Definitions\SaveDefinition;
use App\Definitions\SayExpected;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\History\TakeBack;
use App\Lineups\EditLineup;
use App\Models\Category;
use App\Models\Definition;
use App\Models\Lineup;
use App\Models\Role;
use App\Models\State;
use App\Support\Refused;
use App\Values\FindValue;
use App\Vocabulary\MergeValues;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Definitions that fit the catalog: what is expected where, merging two of them, retiring and deleting. */

beforeEach(
    fn () => $this->read(
        "sku,parent_sku,name,category,Color,Colour,Finish,Volume\n".
            "P,,Oil,Paint > Oil,,,Gloss,\nP-1,P,,,Red,,,37\nP-2,P,,,Blue,blue,,60\nQ,,Brush,Brushes,,Green,,\n".
            "R,,Gouache,Paint > Gouache,,Sap green,Matt,\n",
        '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Colour": {"attribute": "colour", "kind": "choice", '.
        '"level": "variant"}, "Finish": {"kind": "choice", "level": "product"}, "Volume": {"kind": "number", "unit": "ml", '.
        '"level": "variant"}}}',
    ),
);

test('what is expected is taken over downwards, dropped lower down, and taken back', function (): void {
    $category = fn (string $slug): Category => Category::query()->where('slug', $slug)->firstOrFail();
    $say = app(SayExpected::class);
    $say(null, [Acts::definition('finish')->id], true);
    $say($category('paint'), [Acts::definition('color')->id, Acts::definition('volume')->id], true);
    $dropped = $say($category('gouache'), [Acts::definition('volume')->id, Acts::definition('finish')->id], false);
    $in = fn (?string $slug): array => Definition::query()
        ->whereKey(Expected::load()->in($slug === null ? null : $category($slug)->id))
        ->orderBy('slug')
        ->pluck('slug')
        ->all();
    expect($in(null))
        ->toBe(['finish'])
        ->and($in('brushes'))
        ->toBe(['finish'])
        ->and($in('oil'))
        ->toBe(['color', 'finish', 'volume'])
        ->and($in('gouache'))
        ->toBe(['color']);
    $figures = app(Coverage::class)->ofExpected(Expected::load());
    expect($figures[Acts::definition('finish')->id])
        ->toBe(['expected' => 2, 'carried' => 1])
        ->and($figures[Acts::definition('color')->id])
        ->toBe(['expected' => 2, 'carried' => 1])
        ->and($figures[Acts::definition('volume')->id])
        ->toBe(['expected' => 1, 'carried' => 1]);
    $gap = fn (string $slug): array => Narrowing::where(["gap:{$slug}"])
        ->query()
        ->orderBy('sku')
        ->pluck('sku')
        ->all();
    expect($gap('finish'))
        ->toBe(['Q'])
        ->and($gap('color'))
        ->toBe(['R'])
        ->and($gap('volume'))
        ->toBe([])
        ->and($gap('colour'))
        ->toBe([]);
    Acts::takeBack($dropped);
    expect($in('gouache'))->toBe(['color', 'finish', 'volume']);
    $say($category('gouache'), [Acts::definition('volume')->id], false);
    $say($category('gouache'), [Acts::definition('volume')->id], null);
    expect($in('gouache'))->toBe(['color', 'finish', 'volume']);
    $this->actingAs($this->person())->get('/expected?category=paint')->assertOk()->assertSee('Most products here carry Colour');
    $this->get('/products?where[]=category:oil')
        ->assertSee('data-column="volume"', false)
        ->assertDontSee('data-column="colour"', false);
});

/** @return list<mixed> everything that a merge of definitions may touch */
function everything(): array
{
    return [
        DB::table('assignments')->orderBy('item_id')->orderBy('definition_id')->orderBy('spelling_id')->get()->all(),
        DB::table('spellings')->orderBy('id')->get()->all(),
        DB::table('attribute_values')
            ->orderBy('id')
            ->get(['id', 'definition_id', 'label', 'slug', 'look'])
            ->all(),
        DB::table('headings')->orderBy('id')->get()->all(),
        DB::table('filters')
            ->orderBy('id')
            ->get(['id', 'definition_id', 'title'])
            ->all(),
        DB::table('fill_rules')
            ->orderBy('id')
            ->get(['id', 'definition_id'])
            ->all(),
        DB::table('expectations')->orderBy('id')->get()->all(),
        DB::table('definitions')
            ->orderBy('id')
            ->get(['id', 'slug', 'state', 'kind', 'level'])
            ->all(),
    ];
}

test('definitions with names alike are pointed out', function (): void {
    app(CreateDefinition::class)(DefinitionForm::from(['label' => 'Finishes', 'kind' => 'choice']));
    app(CreateDefinition::class)(DefinitionForm::from(['label' => 'Vol ume (ml)', 'kind' => 'number']));
    app(CreateDefinition::class)(DefinitionForm::from(['label' => 'Oberfläche', 'kind' => 'choice']));
    $groups = array_map(
        fn (array $group): array => array_map(fn (Definition $one): string => $one->label, $group),
        LikeNames::among(Definition::query()->get()->toBase()),
    );
    expect($groups)->toBe([['Color', 'Colour'], ['Finish', 'Finishes', 'Oberfläche'], ['Volume', 'Vol ume (ml)']]);
});

test(
    'two definitions become one: values by their letters, conflicts told, deliveries land, and it goes back exactly',
    function (): void {
        $edit = app(EditLineup::class);
        $edit->add('colour');
        app(EditRules::class)->add(
            RuleForm::from([
                'definition' => 'colour',
                'source' => 'fixed',
                'value' => 'Red',
                'scope' => ['sku:P'],
            ]),
        );
        app(SayExpected::class)(Category::query()->where('slug', 'paint')->firstOrFail(), [Acts::definition('colour')->id], true);
        $before = everything();
        $merge = app(MergeDefinitions::class);
        $figures = $merge->consequences(Acts::definition('color'), Acts::definition('colour'))->toArray();
        expect($figures)
            ->toMatchArray([
                'values' => ['joined' => 2, 'moved' => 2],
                'headings' => ['Colour'],
                'filters' => ['Colour'],
                'rules' => 1,
            ])
            ->and(everything())
            ->toEqual($before);
        $done = $merge(Acts::definition('color'), Acts::definition('colour'));
        $held = DB::table('assignments as a')
            ->join('items as i', 'i.id', '=', 'a.item_id')
            ->join('spellings as s', 's.id', '=', 'a.spelling_id')
            ->join('attribute_values as v', 'v.id', '=', 's.value_id')
            ->where('a.definition_id', Acts::definition('color')->id)
            ->orderBy('i.sku')
            ->pluck('v.label', 'i.sku')
            ->all();
        expect($held)
            ->toBe([
                'P-1' => 'Red',
                'P-2' => 'Blue',
                'Q' => 'Green',
                'R' => 'Sap green',
            ])
            ->and(DB::table('assignments')->where('definition_id', Acts::definition('colour')->id)->exists())
            ->toBeFalse()
            ->and(Lineup::query()->where('placement', 'shop')->firstOrFail()->filters()->pluck('definition_id')->all())
            ->toBe([Acts::definition('color')->id]);
        Acts::takeBack($done);
        expect(everything())->toEqual($before);
        $merge(Acts::definition('color'), Acts::definition('colour'));
        $this->read("sku,Colour\nS,blue\n");
        expect(DB::table('assignments')->where('definition_id', Acts::definition('color')->id)->count())->toBe(5);
    },
);

test('a product that has both keeps what the one that stays says', function (): void {
    $this->read(
        "sku,Tone,Shade\nX,Dark,Light\nY,Dark,dark\nZ,,Light\n",
        '{"columns": {"Tone": {"kind": "choice", "level": "product"}, "Shade": {"kind": "choice", "level": "variant"}}}',
        feed: 'Tones',
    );
    expect(app(MergeDefinitions::class)->consequences(Acts::definition('tone'), Acts::definition('shade'))->toArray())->toMatchArray([
        'items' => 3,
        'come' => 1,
        'same' => 1,
        'conflicts' => 1,
        'samples' => [['item' => 'X', 'stays' => 'Dark', 'goes' => 'Light']],
    ]);
});

test('retiring keeps the data, deleting takes it along, and both go back exactly', function (): void {
    app(EditLineup::class)->add('color');
    app(EditRules::class)->add(
        RuleForm::from([
            'definition' => 'color',
            'source' => 'fixed',
            'value' => 'Red',
            'scope' => ['sku:Q'],
        ]),
    );
    app(SayExpected::class)(null, [Acts::definition('color')->id], true);
    $merge = app(MergeValues::class);
    $merge(
        Acts::definition('color'),
        $merge->plan(Acts::definition('color'), FindValue::named(Acts::definition('color'), 'Red')->id, [
            FindValue::named(Acts::definition('color'), 'Blue')->id,
        ]),
    );
    $before = everything();
    $end = app(EndDefinition::class);
    expect($end->consequences(Acts::definition('color')))->toMatchArray([
        'products' => 2,
        'values' => 1,
        'filters' => ['Color'],
        'rules' => 1,
        'categories' => 1,
        'headings' => ['Color'],
    ]);
    $retired = $end->retire(Acts::definition('color'));
    expect(DB::table('filters')->count())
        ->toBe(0)
        ->and(DB::table('assignments')->where('definition_id', Acts::definition('color')->id)->count())
        ->toBe(3);
    Acts::takeBack($retired);
    expect(everything())->toEqual($before);
    $deleted = $end->delete(Acts::definition('color'));
    expect(Definition::query()->where('slug', 'color')->exists())
        ->toBeFalse()
        ->and(DB::table('assignments')->count())
        ->toBe(7);
    Acts::takeBack($deleted);
    expect(everything())
        ->toEqual($before)
        ->and(fn () => $end->delete((new Definition())->forceFill(['id' => 0, 'slug' => 'brand'])))
        ->toThrow(Refused::class, 'cannot be deleted');
});

test('cells follow their definition to the other level as far as variants agree, and back', function (): void {
    $this->read(
        "sku,parent_sku,Grain,Coat\nG,,Fine,\nG-1,G,,Thin\nG-2,G,,Thin\nH,,,\nH-1,H,,Thin\nH-2,H,,Thick\n",
        '{"columns": {"Grain": {"kind": "choice", "level": "product"}, "Coat": {"kind": "choice", "level": "variant"}}}',
        feed: 'Grains',
    );
    $held = fn (string $slug): array => DB::table('assignments as a')
        ->join('items as i', 'i.id', '=', 'a.item_id')
        ->where('a.definition_id', Acts::definition($slug)->id)
        ->orderBy('i.sku')
        ->pluck('i.sku')
        ->all();
    $save = fn (string $slug, string $level) => app(SaveDefinition::class)(
        Acts::definition($slug),
        DefinitionForm::from(['label' => ucfirst($slug), 'kind' => 'choice', 'level' => $level]),
        State::Accepted,
        Acts::definition($slug)->version,
    );
    $before = everything();
    $down = $save('grain', 'variant');
    expect($held('grain'))->toBe(['G-1', 'G-2']);
    expect(app(ReadAgain::class)->differing(Acts::definition('coat')))->toBe(1);
    $up = $save('coat', 'product');
    expect($held('coat'))
        ->toBe(['G', 'H-1', 'H-2'])
        ->and(app(Coverage::class)->products()[Acts::definition('coat')->id])
        ->toBe(1);
    $save('coat', 'variant');
    expect($held('coat'))->toBe(['G-1', 'G-2', 'H-1', 'H-2']);
    Acts::takeBack(app(TakeBack::class)->newest());
    Acts::takeBack($up);
    Acts::takeBack($down);
    expect(everything())->toEqual($before);
});

test('what only managers change is refused to an editor', function (): void {
    app(SaveDefinition::class)(
        Acts::definition('finish'),
        DefinitionForm::from([
            'label' => 'Finish',
            'kind' => 'choice',
            'level' => 'product',
            'edited_by' => 'manager',
            'section' => 'Look',
            'team_help' => 'Ask the lab.',
        ]),
        State::Accepted,
        Acts::definition('finish')->version,
    );
    expect(Acts::definition('finish'))->section->toBe('Look')->team_help->toBe('Ask the lab.');
    $this->actingAs($this->person(Role::Editor));
    $change = fn () => app(ChangeCells::class)(
        Chosen::all(Narrowing::where([])),
        CellChange::set(Acts::definition('finish'), ['Matt']),
    );
    expect($change)
        ->toThrow(Refused::class, 'Only managers change Finish')
        ->and(fn () => app(EndDefinition::class)->retire(Acts::definition('finish')))
        ->toThrow(Refused::class, 'Only managers');
    $this->actingAs($this->person());
    expect($change())->not->toBeNull();
});

test('new values are dressed as their definition says', function (?string $dress, ?string $look): void {
    app(SaveDefinition::class)(
        Acts::definition('finish'),
        DefinitionForm::from([
            'label' => 'Finish',
            'kind' => 'choice',
            'level' => 'product',
            'dress' => $dress,
            'term_order' => 'products',
        ]),
        State::Accepted,
        Acts::definition('finish')->version,
    );
    app(ChangeCells::class)(Chosen::all(Narrowing::where([])), CellChange::set(Acts::definition('finish'), ['Navy']));
    expect(FindValue::named(Acts::definition('finish'), 'Navy')->look()->colors)
        ->toBe($look === null ? [] : [$look])
        ->and(Acts::definition('finish')->term_order->value)
        ->toBe('products');
})->with([[null, null], ['colors', '#000080'], ['letters', null]]);
