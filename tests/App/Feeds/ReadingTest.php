<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Feeds\FeedFile;
use App\Feeds\ReadFeed;
use App\Models\Definition;
use App\Models\Item;
use App\Models\Reading;
use App\Models\Value;
use App\Support\Refused;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Lokum\Feed\ColumnMap;
use Lokum\Vocabulary\Policy;

const MAP = '{"columns": {"Color": {"attribute": "color", "label": "Color", "kind": "choice", "level": "variant"}, "Weight": '.
    '{"attribute": "weight", "kind": "number", "unit": "g", "level": "product"}}}';

/**
 * @param  array<mixed>  $refused
 * @return array<int, string> reasons by line
 */
function reasons(array $refused): array
{
    return array_column($refused, 'reason', 'line');
}

test('a check counts exactly what the reading then does, and writes nothing', function (): void {
    $csv =
        "sku,parent_sku,name,category,price,stock,Color,Weight\nV1,P1,,,4,1,Red,\nP1,,Paint,Paint > Oil,,,,12 g\n".
        "V2,P1,,,5,2,red ,\nP2,,Lone,Paint,3,1,Blue,1 oz\nP3,,Bad,Paint,x,1,Blue,\n";
    $check = $this->read($csv, MAP, check: true);
    expect(
        Item::query()->count() + Definition::query()->count() + DB::table('feeds')->count() + DB::table('changes')->count(),
    )->toBe(0);
    $read = $this->read($csv, MAP);
    expect($read->toArray())
        ->toBe($check->toArray())
        ->and($read->rows)
        ->toBe(5)
        ->and($read->products)
        ->toBe(['added' => 2, 'changed' => 0, 'unchanged' => 0])
        ->and($read->variants['added'])
        ->toBe(2)

        ->and($read->values)
        ->toBe(['added' => 2, 'resolved' => 1, 'held' => 0])
        ->and(reasons($read->refused))
        ->toBe([6 => '"x" is not a price; write it as 12.50']);
    expect(Item::query()->where('sku', 'V1')->firstOrFail()->parent_id)
        ->toBe(Item::query()->where('sku', 'P1')->value('id'))
        ->and(DB::table('spellings')->where('text', '1 oz')->value('number'))
        ->toEqualWithDelta(28.349523125, 1e-9);
});

test('the same file again changes nothing; a changed row is the only one that changes', function (): void {
    $csv = "sku,name,Color\nA,One,Red\nB,Two,Blue\n";
    $this->read($csv, MAP);
    expect($this->read($csv, MAP)->products)->toBe(['added' => 0, 'changed' => 0, 'unchanged' => 2]);
    expect($this->read(str_replace('Blue', 'Green', $csv), MAP)->products)->toBe([
        'added' => 0,
        'changed' => 1,
        'unchanged' => 1,
    ]);
    expect($this->read("sku,name,Color\nA,One,Red\n", MAP, feed: 'Other')->products)->toBe([
        'added' => 0,
        'changed' => 0,
        'unchanged' => 1,
    ]);
});

test('a file of prices alone leaves names, values and families as they are', function (): void {
    $this->read("sku,parent_sku,name,price,Color\nP,,Paint,,\nV,P,,1,Red\n", MAP);
    expect($this->read("sku,price\nV,2\n")->variants)->toBe(['added' => 0, 'changed' => 1, 'unchanged' => 0]);
    $variant = Item::query()->where('sku', 'V')->firstOrFail();
    expect($variant->price)
        ->toBe(2.0)
        ->and($variant->parent_id)
        ->not->toBeNull()
        ->and(DB::table('assignments')->count())
        ->toBe(1);
});

test('each kind of bad row is refused with its line and reason, and the good ones are read', function (
    string $csv,
    array $expected,
    int $good,
): void {
    $figures = $this->read($csv, MAP);
    expect(reasons($figures->refused))
        ->toBe($expected)
        ->and($figures->products['added'] + $figures->variants['added'])
        ->toBe($good)
        ->and(Item::query()->count())
        ->toBe($good);
})->with([
    'one sku twice' => ["sku,name\nA,1\nB,2\nA,3\n", [4 => '"A" stands on line 2 already'], 2],
    'a product that never comes' => [
        "sku,parent_sku\nA,X\nB,\n",
        [2 => 'its product "X" is neither in the file nor in the catalog'],
        1,
    ],
    'a product that is refused' => [
        "sku,parent_sku,price\nA,,-1\nA-1,A,1\n",
        [2 => '"-1" is negative; a price is zero or more', 3 => 'its product "A" on line 2 is refused'],
        0,
    ],
    'a variant of a variant' => ["sku,parent_sku\nA,\nB,A\nC,B\n", [4 => '"B" is a variant itself; name its product'], 2],
    'empty parts of a path' => [
        "sku,category\nA,Paint > > Oil\nB,Paint >\nC,Paint\n",
        [
            2 => '"Paint > > Oil" has an empty part; write Paint > Watercolor',
            3 => '"Paint >" has an empty part; write Paint > Watercolor',
        ],
        1,
    ],
    'prices' => [
        "sku,price\nA,\"12,50 €\"\nB,abc\nC,-1\nD,1e400\nE,\"12,50\"\n",
        [
            2 => '"12,50 €" carries a currency; write the number alone (12.50) and put the currency in its own column',
            3 => '"abc" is not a price; write it as 12.50',
            4 => '"-1" is negative; a price is zero or more',
            5 => '"1e400" is written with an exponent; write the price out in digits',
        ],
        1,
    ],
    'a quote never closed' => ["sku,name\nA,\"open\nB,2\n", [2 => 'a quote opens here and is never closed'], 1],
    'a 10 kB cell' => [
        "sku,Color\nA,".str_repeat('x', 10240)."\nB,Red\n",
        [2 => '10,240 characters; at most 500 are taken here'],
        1,
    ],
    'NUL bytes' => ["sku,name\nA,a\0b\nB,2\n", [2 => 'a NUL byte in cell 2'], 1],
    'more cells than headings' => ["sku,name\nA,1,2\nB,2,\n", [2 => '3 cells under 2 headings; cell 3 holds "2"'], 1],
]);

test('a file that no row can be read from is refused as a whole', function (string $bytes, string $reason): void {
    expect(fn () => $this->read($bytes))
        ->toThrow(Refused::class, $reason)
        ->and(DB::table('changes')->count())
        ->toBe(0);
})->with([
    ['', 'empty'],
    ["name,price\nA,1\n", 'No column holds the sku'],
    ["\x89PNG\r\n\x1a\n", 'a picture'],
    ["sku,sku\nA,B\n", 'Two columns'],
]);

test('with refused rows nothing is read unless the person says so', function (): void {
    expect(fn () => $this->read("sku,price\nA,1\nB,x\n", goodRows: false))
        ->toThrow(Refused::class, '1 rows cannot be taken')
        ->and(Item::query()->count())
        ->toBe(0);
});

test('a number that cannot be read is kept as text and told', function (): void {
    $figures = $this->read("sku,Weight\nA,140 lb\nB,half\nC,0\n", MAP);
    expect($figures->refused)
        ->toBe([])
        ->and(array_column($figures->unread, 'line'))
        ->toBe([3])
        ->and(DB::table('spellings')->where('text', 'half')->value('problem'))
        ->toContain('not a number');
});

test('0, None and n/a are texts like any other, unless the mapping lists them', function (): void {
    $this->read("sku,Color\nA,0\nB,None\nC,n/a\nD, \n", MAP);
    expect(Value::query()->orderBy('id')->pluck('label')->all())->toBe(['0', 'None', 'n/a']);
    $this->read("sku,Tone\nA,0\nB,n/a\n", '{"columns": {"Tone": {"kind": "choice"}}, "empty": ["n/a"]}', feed: 'Second');
    expect(Definition::query()->where('slug', 'tone')->firstOrFail()->values()->pluck('label')->all())->toBe(['0']);
});

test('newcomers follow, wait or are refused, as the definition says', function (
    Policy $policy,
    array $values,
    array $refused,
    array $held,
): void {
    $this->read("sku,Color\nA,Red\n", MAP);
    DB::table('definitions')
        ->where('slug', 'color')
        ->update(['policy' => $policy->value]);
    $figures = $this->read("sku,Color\nA,RED\nB,Blurple\n", MAP);
    expect($figures->values)
        ->toBe($values)
        ->and(reasons($figures->refused))
        ->toBe($refused)
        ->and(Value::query()->where('held', true)->pluck('label')->all())
        ->toBe($held);
    $this->publish();
    expect(array_keys($this->counts()[1]['color']))->toBe($policy === Policy::Follow ? ['blurple', 'red'] : ['red']);
})->with([
    [Policy::Follow, ['added' => 1, 'resolved' => 1, 'held' => 0], [], []],
    [Policy::Hold, ['added' => 0, 'resolved' => 1, 'held' => 1], [], ['Blurple']],
    [
        Policy::Refuse,
        ['added' => 0, 'resolved' => 1, 'held' => 0],
        [3 => '"Blurple" is not among its values, and newcomers are refused here'],
        [],
    ],
]);

test('what is set by hand stays when a feed is read', function (): void {
    $this->read("sku,Color\nA,Red\n", MAP);
    $color = Definition::query()->where('slug', 'color')->firstOrFail();
    app(ChangeCells::class)(Chosen::items([Item::query()->value('id')]), CellChange::set($color, ['Green']));
    $this->read("sku,Color\nA,Blue\n", MAP);
    expect(DB::table('assignments')->join('spellings', 'spellings.id', '=', 'spelling_id')->pluck('text')->all())->toBe([
        'Green',
    ]);
});

test('a reading that dies half-way leaves the catalog as it was', function (): void {
    $this->read("sku,Color\nA,Red\n", MAP);
    DB::statement(
        "CREATE TRIGGER die BEFORE INSERT ON assignments WHEN NEW.item_id > 1 BEGIN SELECT RAISE(ABORT, 'killed'); END",
    );
    expect(fn () => $this->read("sku,Color\nA,Blue\nB,Blue\n", MAP))
        ->toThrow(PDOException::class)

        ->and(Item::query()->count())
        ->toBe(1)
        ->and(Value::query()->pluck('label')->all())
        ->toBe(['Red'])
        ->and(DB::table('changes')->count())
        ->toBe(1);
});

test('columns of the demo map by name, by heading and by guess', function (): void {
    $file = FeedFile::open(dirname(__DIR__, 3).'/demo/feeds/brannoch.csv');
    $figures = app(ReadFeed::class)($file, 'Brannoch', new ColumnMap(), false, fn () => null);
    $kinds = Definition::query()->pluck('kind', 'slug')->map->value->all();
    expect($figures->refused)
        ->toBe([])
        ->and($kinds)
        ->toMatchArray([
            'color' => 'choice',
            'brush-size' => 'choice',
            'vegan' => 'flag',
            'occasion' => 'choice',
            'brand' => 'choice',
        ])
        ->and(Definition::query()->where('slug', 'occasion')->firstOrFail()->multiple)
        ->toBeTrue();
});

test('figures of a file\'s cells say which rows they are about', function (int $rows, string $says): void {
    file_put_contents(
        $this->data().'/inbox/Long.csv',
        "sku,Shade\n".
            implode('', array_map(fn (int $i): string => "S{$i},".($i % 2 ? 'Red' : 'red').$i % 30 ."\n", range(1, $rows))),
    );
    $this->actingAs($this->person())->post('/feeds', ['inbox' => 'Long.csv']);
    $this->get('/feeds/readings/1')->assertSee($says);
    if (! str_contains($says, 'first')) {
        $this->get('/feeds/readings/1')->assertDontSee('in the first');
    }
})->with([[2001, 'values that repeat in the first 2,000 rows'], [2000, 'values that repeat']]);

test('two files of one name that come at once are two deliveries', function (): void {
    $this->actingAs($this->person())
        ->post('/feeds', [
            'files' => [
                UploadedFile::fake()->createWithContent('list.csv', "sku,name\nA-1,One\n"),
                UploadedFile::fake()->createWithContent('list.csv', "sku,name\nB-1,Two\n"),
            ],
        ])
        ->assertRedirect('/')
        ->assertSessionHas('done', '2 files are here, to be looked at one after the other.');
    expect(Reading::query()->where('file_name', 'list.csv')->count())->toBe(2);
});
