<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\Definitions\EndDefinition;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Fill\RuleState;
use App\Fill\RunRules;
use App\History\TakeBack;
use App\Models\Definition;
use App\Models\FillRule;
use App\Models\Item;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Tests\Support\Acts;

/* Fill rules: each source, what wins over what, readings, and the way back. */

const RULED =
    "sku,parent_sku,name,category,price,stock,Color,Finish,Volume,Range\n".
    "P,,Sap green oil semi-gloss,Paint > Oil,,,,,,\nP-1,P,,,5,3,,,37 ml,\nP-2,P,,,9,0,Red,,250 ml,\n".
    "Q,,Round brush glossy handle,Brushes > Round,4,2,,Matt,,\nR,,Gouache red and green,Paint > Gouache,7,1,,,600 ml,Studio\n";
const RULED_MAP = '{"columns": {"Color": {"kind": "choice", "level": "variant"}, "Finish": {"kind": "choice", "level": '.
    '"product"}, "Volume": {"kind": "number", "unit": "ml", "level": "variant"}, "Range": {"kind": "choice", "multiple": true, '.
    '"level": "product"}}}';

beforeEach(fn () => $this->read(RULED, RULED_MAP));

/** @param  array<string, mixed>  $input */
function rule(array $input): FillRule
{
    app(EditRules::class)->add(RuleForm::from($input));

    return FillRule::query()->latest('id')->firstOrFail();
}

/** @return array<string, string> filled by rules: value and rule, by sku */
function ruled(string $slug): array
{
    return DB::table('assignments as a')
        ->join('items as i', 'i.id', '=', 'a.item_id')
        ->join('spellings as s', 's.id', '=', 'a.spelling_id')
        ->leftJoin('attribute_values as v', 'v.id', '=', 's.value_id')

        ->where('a.definition_id', Definition::query()->where('slug', $slug)->value('id'))
        ->where('a.origin', '>', 0)
        ->orderBy('i.sku')
        ->selectRaw('i.sku, COALESCE(v.label, s.text) AS shown')
        ->pluck('shown', 'sku')
        ->all();
}

test('each source fills what is missing, and nothing else', function (array $input, array $filled, array $figures): void {
    $before = DB::table('assignments')->orderBy('item_id')->orderBy('spelling_id')->get()->all();
    $form = RuleForm::from($input);
    $said = app(RunRules::class)->consequences(EditRules::draft($form, null))->toArray();
    expect($said)
        ->toMatchArray($figures)
        ->and(DB::table('assignments')->count())
        ->toBe(count($before));
    app(EditRules::class)->add($form);
    expect(ruled($input['definition']))->toBe($filled);
    Acts::takeBack(app(TakeBack::class)->newest());
    expect(DB::table('assignments')->orderBy('item_id')->orderBy('spelling_id')->get()->all())
        ->toEqual($before)
        ->and(FillRule::query()->count())
        ->toBe(0);
})->with([
    'a branch of the tree' => [
        ['definition' => 'range', 'source' => 'category', 'branch' => 'paint'],
        ['P' => 'Oil'],
        ['filled' => 1, 'differ' => 1, 'new_values' => ['Oil']],
    ],
    'words, told' => [
        [
            'definition' => 'finish',
            'source' => 'words',
            'in' => ['name'],
            'lines' => "Gloss: glossy, gloss - semi-gloss\nSemi-gloss: semi gloss",
        ],
        ['P' => 'Semi-gloss'],
        ['filled' => 1, 'differ' => 1],
    ],
    'words, the values themselves' => [
        ['definition' => 'color', 'source' => 'words', 'lines' => "Sap green:\nRed:\nGreen:"],
        ['P-1' => 'Sap green'],
        ['filled' => 1, 'differ' => 1, 'undecided' => 1],
    ],
    'bands of a number' => [
        [
            'definition' => 'range',
            'source' => 'number',
            'field' => 'volume',
            'bands' => "..50: Small\n50..500: Medium\n500..: Large",
        ],
        ['P' => 'Medium'],
        ['fits' => 2],
    ],
    'bands of the price' => [
        [
            'definition' => 'finish',
            'source' => 'number',
            'field' => 'price',
            'bands' => "..7: Cheap\n7..: Dear",
        ],
        ['R' => 'Dear'],
        ['undecided' => 1, 'differ' => 1],
    ],
    'another definition' => [
        [
            'definition' => 'finish',
            'source' => 'definition',
            'from' => 'color',
            'table' => 'Red: Gloss',
        ],
        ['P' => 'Gloss'],
        ['filled' => 1],
    ],
    'always the same, narrowed' => [
        [
            'definition' => 'finish',
            'source' => 'fixed',
            'value' => 'Matt',
            'scope' => ['category:paint', 'price:6..'],
        ],
        ['P' => 'Matt', 'R' => 'Matt'],
        ['filled' => 2, 'new_values' => []],
    ],
]);

test('what a person or a feed says wins over a rule, an earlier rule over a later one', function (): void {
    $later = rule(['definition' => 'finish', 'source' => 'fixed', 'value' => 'Satin']);
    expect(ruled('finish'))->toBe(['P' => 'Satin', 'R' => 'Satin']);
    $first = rule([
        'definition' => 'finish',
        'source' => 'fixed',
        'value' => 'Gloss',
        'scope' => ['category:oil'],
    ]);
    expect(ruled('finish'))->toBe(['P' => 'Satin', 'R' => 'Satin']);
    app(EditRules::class)->order([$first->id, $later->id]);
    expect(ruled('finish'))->toBe(['P' => 'Gloss', 'R' => 'Satin']);
    app(ChangeCells::class)(Chosen::all(Narrowing::where(['sku:R'])), CellChange::set($first->definition, ['Matt']));
    app(RunRules::class)();
    expect(ruled('finish'))->toBe(['P' => 'Gloss']);
    $this->read(str_replace('Paint > Oil,,,,,,', 'Paint > Oil,,,,Matt,,', RULED), RULED_MAP);
    expect(ruled('finish'))->toBe([]);
    $this->read(RULED, RULED_MAP);
    expect(ruled('finish'))->toBe(['P' => 'Gloss']);
});

test('a rule runs after each reading, follows when it is changed, and goes with all it filled', function (): void {
    $rule = rule(['definition' => 'finish', 'source' => 'category', 'branch' => 'paint']);
    $this->read("sku,name,category\nN,New,Paint > Oil\n", feed: 'Second');
    expect(ruled('finish'))->toBe(['N' => 'Oil', 'P' => 'Oil', 'R' => 'Gouache']);
    app(EditRules::class)->save(
        $rule->refresh(),
        RuleForm::from([
            'definition' => 'finish',
            'source' => 'fixed',
            'value' => 'Satin',
            'scope' => ['category:oil'],
        ]),
        $rule->version,
    );
    expect(ruled('finish'))->toBe(['N' => 'Satin', 'P' => 'Satin']);
    app(EditRules::class)->pause($rule->refresh(), true);
    Item::query()
        ->where('sku', 'R')
        ->update(['category_id' => Item::query()->where('sku', 'P')->value('category_id')]);
    app(RunRules::class)();
    expect(ruled('finish'))->toBe(['N' => 'Satin', 'P' => 'Satin']);
    $removed = app(EditRules::class)->remove($rule->refresh());
    expect(ruled('finish'))->toBe([]);
    Acts::takeBack($removed);
    expect(ruled('finish'))
        ->toBe(['N' => 'Satin', 'P' => 'Satin'])
        ->and(
            fn () => app(EditRules::class)->save(
                $rule->refresh(),
                RuleForm::from(['definition' => 'finish', 'source' => 'fixed', 'value' => 'Matt']),
                1,
            ),
        )
        ->toThrow(Refused::class, 'Someone else saved');
});

test('rules that make no sense are refused by field', function (array $input, string $reason): void {
    expect(fn () => RuleForm::from($input + ['definition' => 'finish']))->toThrow(Refused::class, $reason);
})->with([
    [['source' => 'magic'], 'takes its values from'],
    [['source' => 'category', 'branch' => 'nowhere'], 'Choose the branch'],
    [['source' => 'number', 'field' => 'volume', 'bands' => '5..1: x'], 'ends before it begins'],
    [['source' => 'number', 'field' => 'volume', 'bands' => 'five: x'], 'Line 1 is not a band'],
    [['source' => 'number', 'field' => 'color', 'bands' => '..5: x'], 'Choose a number'],
    [['source' => 'definition', 'from' => 'finish'], 'from itself'],
    [['source' => 'fixed', 'value' => ''], 'A value is missing'],
    [['source' => 'words', 'lines' => ': a'], 'A value is missing'],
    [['definition' => 'volume', 'source' => 'words'], 'Say which words'],
    [['source' => 'fixed', 'value' => 'x', 'scope' => ['category:nowhere']], 'no category'],
]);

test(
    'a rule that names something which is gone keeps what it filled, fills no more, and does not stop a reading',
    function (): void {
        $broken = rule([
            'definition' => 'finish',
            'source' => 'definition',
            'from' => 'color',
            'table' => 'Red: Gloss',
        ]);
        $other = rule([
            'definition' => 'range',
            'source' => 'fixed',
            'value' => 'All',
            'scope' => ['category:brushes'],
        ]);
        expect(ruled('finish'))->toBe(['P' => 'Gloss']);
        $deleted = app(EndDefinition::class)->delete(Definition::query()->where('slug', 'color')->firstOrFail());
        expect(RuleState::problem($broken->refresh()->load('definition')))
            ->toContain('Choose the definition')
            ->and(RuleState::problem($other->refresh()->load('definition')))
            ->toBeNull();
        $this->read("sku,name,category\nN,New,Brushes > Round\n", feed: 'Second');
        expect(ruled('finish'))
            ->toBe(['P' => 'Gloss'])
            ->and(ruled('range'))
            ->toBe(['N' => 'All', 'Q' => 'All']);
        $this->actingAs($this->person())->get('/rules')->assertOk()->assertSee('cannot run');
        $this->get("/rules?rule={$broken->id}")
            ->assertOk()
            ->assertSee('Choose the definition');
        Acts::takeBack($deleted);
        expect(RuleState::problem($broken->refresh()->load('definition')))->toBeNull();
    },
);

test('a rule that adds gives its value beside what products have, leaves what people set, and gives nothing twice', function (): void {
    $carried = fn (): array => DB::table('assignments as a')
        ->join('items as i', 'i.id', '=', 'a.item_id')
        ->join('spellings as s', 's.id', '=', 'a.spelling_id')
        ->where('a.definition_id', Acts::definition('range')->id)
        ->orderBy('i.sku')
        ->orderBy('s.text')
        ->get(['i.sku', 's.text'])
        ->map(fn (\stdClass $row): string => "{$row->sku} {$row->text}")
        ->all();
    app(ChangeCells::class)(Chosen::all(Narrowing::where(['sku:Q'])), CellChange::set(Acts::definition('range'), ['By hand']));
    $filling = ['definition' => 'range', 'source' => 'fixed', 'value' => 'Plain'];
    $input = ['value' => 'Gift', 'adds' => '1'] + $filling;

    $said = app(RunRules::class)->consequences(EditRules::draft(RuleForm::from($input), null));
    expect([$said->comes, $said->differ, $said->byHand])->toBe([2, 1, 1]);
    $rule = rule($input);
    $all = ['P Gift', 'Q By hand', 'R Gift', 'R Studio'];
    expect($rule->inWords())
        ->toStartWith('adds ')
        ->and($carried())
        ->toBe($all);

    // Running again changes nothing; a filling rule does not count what was added, and neither gives way to the other.
    [$change] = app(RunRules::class)();
    expect($change)->toBeNull();
    rule($filling);
    expect($carried())->toBe(['P Gift', 'P Plain', 'Q By hand', 'R Gift', 'R Studio']);
    [$change] = app(RunRules::class)();
    expect($change)->toBeNull();

    // What the supplier sends by itself is not given once more, and comes back to the rule when it is sent no longer.
    $this->read(str_replace('Studio', 'Gift', RULED), RULED_MAP);
    expect($carried())->toBe(['P Gift', 'P Plain', 'Q By hand', 'R Gift']);
    $this->read(RULED, RULED_MAP);
    expect($carried())->toBe(['P Gift', 'P Plain', 'Q By hand', 'R Gift', 'R Studio']);
    app(EditRules::class)->remove($rule);
    expect($carried())->toBe(['P Plain', 'Q By hand', 'R Studio']);
});
