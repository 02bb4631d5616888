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
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Lokum\Feed\CsvWriter;
use Tests\Support\Acts;

/* A reading is taken back: its products go, changed ones stand as before, and the words it brought stay known. */

const BACK_MAP = '{"columns": {"Color": {"kind": "choice", "multiple": true, "level": "variant"}, "Finish": {"kind": "choice", '.
    '"level": "product"}, "Weight": {"kind": "number", "unit": "g"}}}';

const BACK_FIRST = "sku,parent_sku,name,category,price,stock,Color,Finish,Weight\nP,,Oil set,Paint > Oil,,,,Gloss,\n".
    "P-1,P,,,5,3,Red,,37\nP-2,P,,,9,0,Blue|Red,,60\nQ,,Brush,Brushes,4,2,Green,,\n";

/** @return array<string, list<array<string, mixed>>> the catalog, by skus and texts */
function catalogAsItIs(): array
{
    $plain = fn ($rows): array => array_values(array_map(fn (stdClass $row): array => (array) $row, $rows->all()));

    return [
        'items' => $plain(
            DB::table('items as i')
                ->leftJoin('items as p', 'p.id', '=', 'i.parent_id')
                ->orderBy('i.sku')
                ->get([
                    'i.sku',
                    'p.sku as parent',
                    'i.name',
                    'i.category_id',
                    'i.price',
                    'i.currency',
                    'i.stock',
                    'i.description',
                    'i.variant_count',
                    'i.feed_id',
                ]),
        ),
        'cells' => $plain(
            DB::table('assignments as a')
                ->join('items as i', 'i.id', '=', 'a.item_id')
                ->join('spellings as s', 's.id', '=', 'a.spelling_id')
                ->orderBy('i.sku')
                ->orderBy('a.definition_id')
                ->orderBy('s.text')
                ->get(['i.sku', 'a.definition_id', 's.text', 'a.origin']),
        ),
    ];
}

function lastReading(): Change
{
    return Change::query()->where('room', Room::Feeds)->whereNull('takes_back')->latest('id')->firstOrFail();
}

function setFinish(string $value, string $where): ?Change
{
    $finish = Definition::query()->where('slug', 'finish')->firstOrFail();

    $set = CellChange::from($finish, ['mode' => 'set', 'value' => [$value]]);

    return app(ChangeCells::class)(Chosen::all(Narrowing::where([$where])), $set);
}

test('what a first delivery brought goes again, and comes again', function (): void {
    $this->read(BACK_FIRST, BACK_MAP);
    $read = catalogAsItIs();
    $way = WayBack::of(lastReading());
    expect($way->isOpen())
        ->toBeTrue()
        ->and($way->consequences())
        ->toMatchArray(['Products or variants go again' => '4']);
    $back = Acts::takeBack(lastReading());
    expect(catalogAsItIs())
        ->toBe(['items' => [], 'cells' => []])
        ->and(DB::table('attribute_values')->count())
        ->toBeGreaterThan(3)
        ->and(DB::select('PRAGMA foreign_key_check'))
        ->toBe([]);
    Acts::takeBack($back);
    expect(catalogAsItIs())->toBe($read);
    // The same file, after it was taken back once more, is new again.
    Acts::takeBack(Change::query()->findOrFail($back->takes_back));
    expect($this->read(BACK_FIRST, BACK_MAP)->products['added'])
        ->toBe(2)
        ->and(catalogAsItIs())
        ->toBe($read);
});

test(
    'a later delivery goes back to how things stood: names, prices, families, cells and what was set by hand',
    function (): void {
        $this->read(BACK_FIRST, BACK_MAP);
        setFinish('Matt', 'sku:Q');
        $before = catalogAsItIs();
        $this->read(
            "sku,parent_sku,name,category,price,stock,Color,Finish,Weight\nP,,Oil box,Paint,,,,Satin,\nP-1,P,,,6,1,Green,,40\n".
            "P-3,P,,,7,1,Black,,\nQ,,Wide brush,Brushes > Wide,4,2,,Gloss,\nQ-1,Q,,,3,1,Red,,\nR,,Ink,Ink,2,1,,,\n",
            BACK_MAP,
        );
        $after = catalogAsItIs();
        expect($after)->not->toBe($before);
        $change = lastReading();
        expect(WayBack::of($change)->consequences())->toMatchArray([
            'Products or variants go again' => '3',
            'Products or variants as they were before' => '3',
        ]);
        $back = Acts::takeBack($change);
        expect(catalogAsItIs())->toBe($before);
        Acts::takeBack($back);
        expect(catalogAsItIs())->toBe($after);
    },
);

test('what was done with its products since stands in the way, by name', function (): void {
    $this->read(BACK_FIRST, BACK_MAP);
    $first = lastReading();
    $hand = setFinish('Matt', 'sku:Q');
    expect(WayBack::of($first)->isOpen())
        ->toBeFalse()
        ->and(fn () => Acts::takeBack($first))
        ->toThrow(Refused::class, "Entry {$hand?->id} stands in the way");
    Acts::takeBack($hand);
    $this->read("sku,price\nQ,8\n");
    $second = lastReading();
    expect(fn () => Acts::takeBack($first->refresh()))->toThrow(Refused::class, "Entry {$second->id} stands in the way");
    Acts::takeBack($second);
    $back = Acts::takeBack($first->refresh());
    expect(catalogAsItIs()['items'])->toBe([]);
    $this->read("sku,name\nQ,Another brush\n");
    expect(fn () => Acts::takeBack($back))->toThrow(Refused::class, 'same sku');
});

test('an edition made in between is served as it was', function (): void {
    $this->read(BACK_FIRST, BACK_MAP);
    $this->publish();
    Acts::takeBack(lastReading());
    expect($this->counts()[0])->toBe(2);
    $this->get('/shop')->assertOk();
    expect(fn () => $this->publish())->toThrow(Refused::class, 'no products');
});

test('random deliveries and changes by hand are taken back to the start, the newest first', function (int $seed): void {
    mt_srand($seed);
    $this->read(BACK_FIRST, BACK_MAP);
    $start = catalogAsItIs();
    $first = (int) Change::query()->max('id');
    $any = fn (array $of): string => $of[mt_rand(0, count($of) - 1)];
    for ($i = 0; $i < 8; $i++) {
        if (mt_rand(0, 2) === 0) {
            setFinish($any(['Matt', 'Gloss', 'New '.mt_rand(1, 9)]), 'category:paint');

            continue;
        }
        $csv = CsvWriter::line(['sku', 'parent_sku', 'name', 'category', 'price', 'stock', 'Color', 'Finish', 'Weight']);
        foreach ((array) array_rand(array_flip(['P', 'Q', 'R', 'S', 'T']), mt_rand(2, 4)) as $sku) {
            $csv .= CsvWriter::line([
                $sku,
                '',
                $any(['', 'Name '.mt_rand(1, 9)]),
                $any(['Paint', 'Paint > Oil', 'Ink']),
                $any(['', '5', '6']),
                $any(['', '1']),
                $any(['', 'Red', 'Blue|Sage']),
                $any(['', 'Satin', 'Gloss']),
                $any(['', '5', '6']),
            ]);
            for ($v = mt_rand(0, 2); $v > 0; $v--) {
                $csv .= CsvWriter::line([
                    "{$sku}-{$v}",
                    $sku,
                    '',
                    '',
                    $any(['3', '4']),
                    '',
                    $any(['Red', 'Olive']),
                    '',
                    $any(['', '7']),
                ]);
            }
        }
        $this->read($csv, BACK_MAP);
    }
    expect(catalogAsItIs())->not->toBe($start);
    while (($newest = app(TakeBack::class)->newest()) !== null && $newest->id > $first) {
        Acts::takeBack($newest);
    }
    expect(catalogAsItIs())->toBe($start)->and(DB::select('PRAGMA foreign_key_check'))->toBe([]);
})->with(range(1, 10));
