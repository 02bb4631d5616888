<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use App\History\TakeBack;
use App\History\WayBack;
use App\Models\Change;
use App\Models\Definition;
use App\Models\Room;
use App\Models\Spelling;
use App\Models\Value;
use App\Support\Refused;
use App\Values\CreateValue;
use App\Vocabulary\ChangeValues;
use App\Vocabulary\GatherValues;
use App\Vocabulary\KeepApart;
use App\Vocabulary\MergeValues;
use App\Vocabulary\MoveSpelling;
use App\Vocabulary\SaveValue;
use Illuminate\Support\Facades\DB;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;
use Tests\Support\Acts;

/* Many acts at random, as of people at work for a day; then the way back, in order and out of order. */

const DAY_TABLES = [
    'attribute_values' => ['version', 'updated_at'],
    'spellings' => [],
    'umbrellas' => ['version', 'updated_at'],
    'kept_apart' => [],
    'definitions' => ['version', 'updated_at'],
    'lineups' => ['version', 'updated_at'],
    'filters' => ['version', 'updated_at'],
    'filter_changes' => ['version', 'updated_at'],
    'fill_rules' => ['version', 'updated_at'],
];

/** @return array<string, mixed> all that the acts can change, without versions and times */
function dayAsItIs(): array
{
    $state = [];
    foreach (DAY_TABLES as $table => $passing) {
        $state[$table] = array_map(
            fn (stdClass $row): array => array_diff_key((array) $row, array_flip([...$passing, 'updated_at', 'created_at'])),
            DB::table($table)->orderBy('id')->get()->all(),
        );
    }

    return $state + [
        'cells' => array_map(
            fn (stdClass $row): array => (array) $row,
            DB::table('assignments')
                ->orderBy('item_id')
                ->orderBy('definition_id')
                ->orderBy('spelling_id')
                ->get(['item_id', 'definition_id', 'spelling_id', 'origin'])
                ->all(),
        ),
    ];
}

function anySpelling(Definition $definition): Spelling
{
    $all = Spelling::query()->where('definition_id', $definition->id)->orderBy('id')->get()->all();

    return $all[mt_rand(0, count($all) - 1)];
}

/** One act of somebody; null, where it was refused or nothing was different. */
function act(): ?Change
{
    $definition = Definition::query()
        ->where('slug', mt_rand(0, 2) === 0 ? 'finish' : 'color')
        ->firstOrFail();
    $values = Value::query()->with('definition')->where('definition_id', $definition->id)->whereNull('merged_into')->get()->all();
    shuffle($values);
    $ids = array_map(fn (Value $value): int => $value->id, array_slice($values, 0, mt_rand(1, 3)));
    $before = (int) Change::query()->max('id');
    try {
        match (mt_rand(0, 10)) {
            0, 1, 2 => app(MergeValues::class)(
                $definition,
                app(MergeValues::class)->plan($definition, $ids[0], $ids),
                mt_rand(0, 2) === 0 ? 'Merged '.mt_rand(1, 99) : '',
            ),
            3, 4 => app(GatherValues::class)($definition, ['Warm', 'Cool', 'Odd'][mt_rand(0, 2)], $ids, different: true),
            5 => app(KeepApart::class)($definition, $ids),
            6 => app(SaveValue::class)(
                $values[0],
                'Named '.mt_rand(1, 99),
                new Look(mt_rand(0, 1) === 0 ? [] : ['#a8325a'], null, null),
                Showing::cases()[mt_rand(0, 2)],
                $values[0]->version,
            ),
            7 => app(MoveSpelling::class)(
                $definition,
                anySpelling($definition),
                mt_rand(0, 1) === 0 ? null : $values[0],
            ),
            8 => app(ChangeValues::class)($definition, ['retire', 'hide', 'show', 'products'][mt_rand(0, 3)], $ids),
            9 => app(ChangeCells::class)(
                Chosen::all(Narrowing::where(mt_rand(0, 1) === 0 ? [] : ["{$definition->slug}:{$values[0]->slug}"])),
                CellChange::from($definition, [
                    'mode' => ['set', 'clear'][mt_rand(0, 1)],
                    'value' => [$values[count($values) - 1]->label],
                ]),
            ),
            10 => app(CreateValue::class)($definition, 'Made '.mt_rand(1, 99)),
        };
    } catch (Refused) {
        // What cannot be done is refused, and nothing of it is left.
    }

    return Change::query()->where('id', '>', $before)->orderByDesc('id')->first();
}

beforeEach(function (): void {
    $csv = "sku,category,Color,Finish\n";
    $colors = 'Red,red ,RED,Rot,Blue,blue,Navy,Green,Grün,Sage,Olive,White,Off-white,Black';
    foreach (explode(',', $colors) as $i => $color) {
        $csv .=
            "P{$i},".['Paint', 'Paint > Oil', 'Paper'][$i % 3].",{$color},".['Gloss', 'Matt', 'Satin', ''][$i % 4]."\n";
    }
    $this->read(
        $csv,
        '{"columns": {"Color": {"kind": "choice", "level": "product"}, "Finish": {"kind": "choice", "level": "product"}}}',
    );
});

test('a day of random acts is taken back to the start, the newest first', function (int $seed): void {
    mt_srand($seed);
    $start = dayAsItIs();
    for ($i = 0; $i < 30; $i++) {
        act();
    }
    // Some acts are refused; most of a day's have to do something, or nothing is tried.
    expect(dayAsItIs())
        ->not->toEqual($start)
        ->and(Change::query()->where('room', '!=', Room::Feeds)->count())
        ->toBeGreaterThan(15);
    for (
        $left = Change::query()->count();
        $left > 0 && ($newest = app(TakeBack::class)->newest()) !== null && $newest->room !== Room::Feeds;
        $left--
    ) {
        Acts::takeBack($newest);
    }
    expect(dayAsItIs())->toEqual($start);
})->with(range(1, 12));

test(
    'acts are taken back in any order: each either goes back alone or names what stands in the way, and at the end all is as it was',
    function (int $seed): void {
        mt_srand($seed);
        $start = dayAsItIs();
        for ($i = 0; $i < 20; $i++) {
            act();
        }
        $left = Change::query()->where('has_way_back', true)->where('room', '!=', Room::Feeds)->get()->all();
        // Whatever stands in whatever other's way, one of them is always free.
        while ($left !== []) {
            shuffle($left);
            $blocked = [];
            foreach ($left as $change) {
                $state = dayAsItIs();
                $way = WayBack::of($change->refresh());
                try {
                    Acts::takeBack($change);
                    expect($way->isOpen())->toBeTrue();
                } catch (Refused $why) {
                    expect($why->getMessage())->not->toBe('')->and(dayAsItIs())->toEqual($state);
                    $blocked[$change->id] = "{$change->summary}: {$why->getMessage()}";
                }
            }
            expect(count($blocked))->toBeLessThan(count($left), implode("\n", $blocked));
            $left = array_values(array_filter($left, fn (Change $change): bool => isset($blocked[$change->id])));
        }
        expect(dayAsItIs())->toEqual($start);
    },
)->with(range(21, 30));

test('what was taken back and done again is as it was done', function (int $seed): void {
    mt_srand($seed);
    for ($i = 0; $i < 12; $i++) {
        act();
    }
    $change = act();
    while ($change === null) {
        $change = act();
    }
    $done = dayAsItIs();
    $back = Acts::takeBack($change);
    Acts::takeBack($back);
    expect(dayAsItIs())->toEqual($done)->and($change->refresh()->taken_back_by)->toBeNull();
})->with(range(41, 48));
