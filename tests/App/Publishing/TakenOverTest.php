<?php

declare(strict_types=1);

use App\Cells\CellChange;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Definitions\MergeDefinitions;
use App\Draft\DraftLineups;
use App\Editions\EditionMeta;
use App\Editions\Served;
use App\Lineups\ChangeFilter;
use App\Lineups\EditLineup;
use App\Models\Definition;
use App\Models\Edition;
use App\Models\Item;
use App\Models\State;
use App\Models\Value;
use App\Publishing\PriceRow;
use App\Publishing\Publish;
use App\Publishing\SayPrices;
use App\Publishing\ServeAgain;
use App\Publishing\TakenOver;
use App\Support\Version;
use App\Vocabulary\ChangeAddress;
use App\Vocabulary\GatherValues;
use App\Vocabulary\MergeValues;
use Fidry\CpuCoreCounter\CpuCoreCounter;
use Illuminate\Support\Facades\DB;
use Tests\Support\RandomActs;

/* An edition that takes over what nothing has touched since the one before is, row for row, what one that is written afresh is. */

/** @return array<string, list<mixed>> rows of an edition's file by table, in an order of their own; numbers of texts left out */
function rowsOf(Edition $edition): array
{
    $pdo = new PDO('sqlite:'.Edition::directory()."/{$edition->file}");
    $rows = [];
    $tables = $pdo->query("SELECT name FROM sqlite_master WHERE type = 'table'");
    foreach ($tables === false ? [] : $tables->fetchAll(PDO::FETCH_COLUMN) as $table) {
        $sql = match ($table) {
            'meta' => "SELECT * FROM meta WHERE key NOT IN ('edition', 'revision', 'summary')",
            'shared_texts' => 'SELECT t.definition, t.folded, c.bits FROM shared_texts t JOIN shared_carriers c ON c.text_id = t.id',
            'shared_carriers' => 'SELECT COUNT(*) FROM shared_carriers',
            default => "SELECT * FROM {$table}",
        };
        $found = $pdo->query($sql);
        $all = array_map(
            fn (array $row): string => bin2hex(serialize($row)),
            $found === false ? [] : $found->fetchAll(PDO::FETCH_ASSOC),
        );
        sort($all);
        $rows[(string) $table] = array_map(fn (string $row): mixed => unserialize((string) hex2bin($row)), $all);
    }

    return $rows;
}

/** Publishes twice, the second time afresh, and compares the two. */
function publishedTwice(string $told): bool
{
    $isTakenOver = TakenOver::from(Served::now()) !== null;
    $taken = app(Publish::class)(fn () => null);
    $summary = Served::now()->file()->summary();
    $afresh = app(Publish::class)(fn () => null, afresh: true);
    $wanted = rowsOf($afresh);
    foreach (rowsOf($taken) as $table => $rows) {
        expect(count($rows))->toBe(count($wanted[$table]), "{$table} after\n{$told}");
        foreach ($rows as $i => $row) {
            expect($row)->toBe($wanted[$table][$i], "{$table} after\n{$told}");
        }
    }
    expect($summary)->toEqual(Served::now()->file()->summary(), $told);
    expect([$taken->products, $taken->variants, $taken->terms])->toBe([$afresh->products, $afresh->variants, $afresh->terms]);

    return $isTakenOver;
}

test('whatever is done in whatever order', function (int $seed): void {
    mt_srand($seed);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    app(EditLineup::class)->several(
        ['color', 'finish', 'use', 'watts', 'notes', 'made', 'price', 'stock', 'category', 'added', 'discount'],
    );
    $this->publish();
    $taken = 0;
    for ($round = 0; $round < 10; $round++) {
        for ($i = mt_rand(1, 3); $i > 0; $i--) {
            $acts->act(deliver: $round % 4 === 3);
        }
        $taken += (int) publishedTwice(implode("\n", array_slice($acts->told, -12)));
    }
    expect($taken)->toBeGreaterThan(1);
})->with(fn (): array => RandomActs::seeds(26, 29));

test('after a merge, a filter, prices and cells it is taken over; where products come, it is not', function (): void {
    mt_srand(5);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    app(EditLineup::class)->several(['color', 'finish', 'price', 'stock']);
    expect(publishedTwice('the beginning'))->toBeFalse();
    $isTaken = fn (): bool => TakenOver::from(Served::now()) !== null;
    app(EditLineup::class)->drop('finish');
    expect($isTaken())->toBeTrue();
    $color = Definition::query()->where('slug', 'color')->sole();
    [$one, $other] = Value::query()->where('definition_id', $color->id)->limit(2)->pluck('id')->all();
    $merge = app(MergeValues::class);
    $merge($color, $merge->plan($color, $one, [$other]));
    expect($isTaken())->toBeTrue();
    $sku = (string) Item::query()->where('variant_count', 0)->whereNotNull('price')->value('sku');
    app(SayPrices::class)('A shop', [PriceRow::from(['sku' => $sku, 'price' => 77.25, 'stock' => 3])]);
    $three = Chosen::items(array_values(Item::query()->where('variant_count', 0)->limit(3)->pluck('id')->map(intval(...))->all()));
    app(ChangeCells::class)($three, CellChange::set($color, ['Sepia'], CellMode::Set));
    expect(publishedTwice('a merge, a filter, a price and cells'))->toBeTrue();
    // Values stand below their umbrellas as soon as a filter shows them there, though nothing has touched them.
    $under = Value::query()->where('definition_id', $color->id)->whereNull('merged_into')->limit(3)->pluck('id')->all();
    app(GatherValues::class)($color, 'Warm', array_map(intval(...), array_values($under)));
    publishedTwice('an umbrella');
    foreach (['nested', 'ticks'] as $control) {
        $given = DraftLineups::load()->of('shop')->filters['color']->given;
        app(ChangeFilter::class)->save('color', ['control' => $control] + $given, 'shop', ChangeFilter::token($given));
        expect(publishedTwice("a filter that is {$control}"))->toBeTrue();
    }
    // What is served again is as old as it was made, so all that was done since counts.
    $old = Edition::current() ?? throw new RuntimeException('There is no edition.');
    app(EditLineup::class)->drop('stock');
    publishedTwice('a filter less');
    app(ServeAgain::class)($old, 'a trial');
    expect(publishedTwice('an edition that was served again'))->toBeTrue();
    $this->read("sku,Color\nNEW,Red\n");
    expect($isTaken())->toBeFalse()->and(publishedTwice('a delivery with a product'))->toBeFalse();
    // Other prices and cells of products that are there are told apart.
    $this->read("sku,Color,price,stock\nNEW,Green,4.50,3\n");
    expect($isTaken())->toBeTrue()->and(publishedTwice('a delivery with a price and a color'))->toBeTrue();
    $this->read("sku,Color,price,stock,name\nNEW,Green,4.50,3,Another name\n");
    expect($isTaken())->toBeFalse()->and(publishedTwice('a delivery with a name'))->toBeFalse();
    expect($isTaken())->toBeTrue();
    config(['lokum.currency' => 'SEK']);
    expect($isTaken())->toBeFalse();
    config(['lokum.currency' => 'EUR']);
    expect($isTaken())->toBeTrue();
    // An update of Lokum may say otherwise what it wrote before.
    $file = new PDO('sqlite:'.Edition::directory().'/'.(string) Edition::query()->latest('id')->value('file'));
    expect(Served::now()->file()->meta(EditionMeta::MadeBy))->toBe(Version::current());
    $file->exec("UPDATE meta SET value = '0.1.0' WHERE key = 'made_by'");
    expect($isTaken())->toBeFalse();
});

test('addresses of a definition that was merged away are those of the one that stayed', function (): void {
    $this->read("sku,name,Color,Shade\nA,One,Olive green,Olive green\nB,Two,Red,Blue\n");
    Definition::query()->update(['state' => State::Accepted]);
    app(EditLineup::class)->several(['color']);
    [$keep, $goes] = array_map(
        fn (string $slug): Definition => Definition::query()->where('slug', $slug)->sole(),
        ['color', 'shade'],
    );
    app(MergeDefinitions::class)($keep, $goes);
    publishedTwice('the beginning');
    $value = Value::query()->where(['definition_id' => $goes->id, 'label' => 'Olive green'])->sole();
    app(ChangeAddress::class)($goes, $value, 'another-word');
    expect(publishedTwice('another word in an address'))->toBeTrue();
});

test('after more acts than can be told apart, all is written afresh', function (): void {
    $this->read("sku,category,price,Color\nA,Paint,4,Red\n");
    $this->publish();
    DB::statement("INSERT INTO changes (room, summary, has_way_back) WITH RECURSIVE n(i) AS
        (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 40000) SELECT 'Access', 'Let somebody in', 0 FROM n");
    expect(TakenOver::from(Served::now()))->toBeNull()->and($this->publish()->products)->toBe(1);
});

/** @return array{0: Edition, 1: bool} an edition of two processes, and whether the other had started */
function byTwo(?Closure $meanwhile = null): array
{
    config(['lokum.beside_from' => 1]);
    $started = false;
    $edition = app(Publish::class)(function (string $what) use ($meanwhile, &$started): void {
        if (! $started) {
            $started = glob(Edition::directory().'/*.beside') !== [];
            $meanwhile?->__invoke();
        }
    }, afresh: true);
    config(['lokum.beside_from' => 20_000]);

    return [$edition, $started];
}

test('written by two processes it is the same, also where the second is killed or cannot begin', function (): void {
    mt_srand(7);
    $acts = new RandomActs($this, $this->person());
    $acts->begin();
    app(EditLineup::class)->several(['color', 'finish', 'use', 'watts', 'notes', 'made', 'price', 'stock', 'category']);
    $wanted = rowsOf($this->publish());
    [$edition, $started] = byTwo();
    expect($started)->toBe((new CpuCoreCounter())->getCountWithFallback(1) > 1)->and(rowsOf($edition))->toEqual($wanted);
    [$edition, $started] = byTwo(fn () => exec('pkill -KILL -f '.escapeshellarg(Edition::directory().'/.*beside')));
    expect(rowsOf($edition))->toEqual($wanted);
    // No other process may read the catalog: it ends before it has begun.
    $key = config('lokum.data').'/app.key';
    rename($key, "{$key}.aside");
    mkdir($key);
    [$edition, $started] = byTwo();
    rmdir($key);
    rename("{$key}.aside", $key);
    expect($started)
        ->toBeFalse()
        ->and(rowsOf($edition))
        ->toEqual($wanted)
        ->and(glob(Edition::directory().'/*.beside*'))
        ->toBe([]);
});
