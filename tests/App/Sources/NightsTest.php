<?php

declare(strict_types=1);

use App\Feeds\FeedFile;
use App\Feeds\ReadFeed;
use App\Feeds\StartReading;
use App\Lineups\EditLineup;
use App\Models\Edition;
use App\Models\Feed;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Run;
use App\Models\RunState;
use App\Settings\SaveShop;
use App\Settings\Shop;
use App\Sources\RunDue;
use App\Sources\Source;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Http;
use Lokum\Feed\ColumnMap;

/*
 * Thirty nights of four suppliers under a clock of the test's own, two behind an address and two by the inbox, each with faults: late,
 * twice, cut off, empty, half of the products missing, prices times a hundred, a renamed column, a worker that was killed. After each
 * night the catalog is what should have been accepted, built by hand here, and whatever was held says why.
 */

/** What a supplier has, night by night, and what of it should stand in the catalog. */
final class Supplier
{
    /** @var array<string, array{0: float, 1: string}> price and color by sku, as it has them now */
    public array $has = [];

    /** @var array<string, array{0: float, 1: string}> as they were accepted last */
    public array $accepted = [];

    public int $made = 0;

    public function __construct(public readonly string $name)
    {
        for ($i = 0; $i < 60; $i++) {
            $this->make();
        }
    }

    public function night(): void
    {
        foreach ((array) array_rand($this->has, 4) as $sku) {
            [$price, $color] = $this->has[$sku];
            $this->has[$sku] = [round($price * mt_rand(95, 106) / 100, 2), $color];
        }
        unset($this->has[array_rand($this->has)]);
        $this->make();
    }

    private function make(): void
    {
        $this->has["{$this->name}-".++$this->made] = [mt_rand(500, 5000) / 100, ['Red', 'Blue', 'Green'][mt_rand(0, 2)]];
    }

    public function sends(string $fault): string
    {
        $rows = $fault === 'half' ? array_slice($this->has, 0, intdiv(count($this->has), 2)) : $this->has;
        $lines = ['sku,name,category,price,'.($fault === 'renamed' ? 'Tint of it' : 'Color')];
        foreach ($rows as $sku => [$price, $color]) {
            $lines[] = "{$sku},Thing {$sku},Things,".($fault === 'dear' ? $price * 100 : $price).",{$color}";
        }
        $bytes = (string) gzencode(implode("\n", $lines)."\n");

        return match ($fault) {
            'cut off' => substr($bytes, 0, -20),
            'empty' => '',
            default => $bytes,
        };
    }
}

/** @return array<string, array{0: float, 1: string}> what of a supplier is in the shop */
function in_shop(string $name): array
{
    return Item::query()
        ->whereNull('out_since')
        ->where('sku', 'like', "{$name}-%")
        ->leftJoin('assignments as a', fn ($join) => $join->on('a.item_id', '=', 'items.id')->whereIn(
            'a.definition_id',
            DB::table('definitions')->where('slug', 'color')->select('id'),
        ))
        ->leftJoin('spellings as s', 's.id', '=', 'a.spelling_id')
        ->orderBy('items.id')
        ->get(['sku', 'price', 's.text'])
        ->mapWithKeys(fn (Item $item): array => [$item->sku => [(float) $item->price, (string) $item->getAttribute('text')]])
        ->all();
}

/** Somebody has read the first one. */
function first_delivery(Supplier $supplier, string $data): void
{
    $path = "{$data}/first.csv";
    file_put_contents($path, (string) gzdecode($supplier->sends('')));
    $reading = StartReading::atOnce($path, $supplier->name);
    app(ReadFeed::class)(FeedFile::ofReading($reading), $supplier->name, new ColumnMap(), false, fn () => null, true, $reading);
}

test('thirty nights leave what should have been accepted, and every hold says why', function (int $seed): void {
    mt_srand($seed);
    Carbon::setTestNow('2026-11-01 09:00');
    $suppliers = array_map(fn (string $name): Supplier => new Supplier($name), ['A', 'B', 'C', 'D']);
    /** @var array<string, string|null> $sends */
    $sends = [];
    Http::fake(function (Request $request) use (&$sends) {
        $bytes = $sends[basename($request->url(), '.csv.gz')] ?? null;

        return $bytes === null ? Http::response('', 503) : Http::response($bytes, 200, ['ETag' => '"'.md5($bytes).'"']);
    });
    foreach ($suppliers as $supplier) {
        first_delivery($supplier, $this->data());
        $supplier->accepted = $supplier->has;
        Feed::query()->where('name', $supplier->name)->sole()->update([
            'source' => Source::from(
                $supplier->name < 'C'
                    ? ['kind' => 'address', 'url' => "http://10.0.0.1/{$supplier->name}.csv.gz", 'private' => true]
                    : ['kind' => 'inbox', 'pattern' => "{$supplier->name}-*"],
            )->toArray(),
            'times' => '05:30',
            'by_itself' => true,
            'whole' => true,
            'gone' => 'out',
        ]);
    }
    app(EditLineup::class)->several(['color', 'price']);
    $this->publish();
    app(SaveShop::class)(['publishes' => Shop::AFTER_READINGS], 0);
    $faults = ['', '', '', '', 'late', 'twice', 'cut off', 'empty', 'half', 'dear', 'renamed', 'killed'];
    $seen = array_fill_keys(array_column(RunState::cases(), 'value'), 0);
    try {
        for ($night = 1; $night <= 30; $night++) {
            $now = Carbon::parse('2026-11-01 05:31')->addDays($night);
            Carbon::setTestNow($now);
            $tonight = [];
            foreach ($suppliers as $supplier) {
                // The first nights are as usual, so that there is a past to judge by.
                $fault = $night <= 4 ? '' : $faults[mt_rand(0, count($faults) - 1)];
                if ($fault !== 'twice') {
                    $supplier->night();
                }
                $tonight[$supplier->name] = $fault;
                $feed = Feed::query()->where('name', $supplier->name)->sole();
                $bytes = $supplier->sends($fault);
                if ($supplier->name < 'C') {
                    $sends[$supplier->name] = $fault === 'late' ? null : $bytes;
                } elseif ($fault !== 'late') {
                    $path = "{$this->data()}/inbox/{$supplier->name}-{$night}.csv";
                    file_put_contents($path, $bytes);
                    touch($path, time() - 60);
                }
                if ($fault === 'killed') {
                    Run::query()->create(['feed_id' => $feed->id, 'state' => RunState::Running, 'started_at' => $now]);
                }
            }
            $editions = Edition::query()->count();
            $runs = app(RunDue::class)();
            foreach ($runs as $run) {
                $seen[$run->state->value]++;
                $name = $run->feed?->name;
                $fault = $tonight[$name] ?? '';
                $why = "seed {$seed}, night {$night}, {$name}, {$fault}: {$run->said}";
                if ($name === null) {
                    continue;
                }
                if (in_array($fault, ['cut off', 'empty', 'half', 'dear', 'renamed'], true)) {
                    expect($run->state)->not->toBe(RunState::Read, $why);
                }
                foreach (['half' => 'rows, at least', 'dear' => 'more than twice', 'renamed' => 'heading is new'] as $of => $words) {
                    if ($fault === $of && $run->state === RunState::Held) {
                        expect(str_contains((string) $run->said, $words))->toBeTrue($why);
                    }
                }
                if (in_array($run->state, [RunState::Held, RunState::Failed], true)) {
                    expect(mb_strlen((string) $run->said))->toBeGreaterThan(12, $why);
                }
            }
            foreach ($suppliers as $supplier) {
                $read = array_filter($runs, fn (Run $run): bool => $run->feed?->name === $supplier->name && $run->state === RunState::Read);
                if ($read !== []) {
                    $supplier->accepted = $supplier->has;
                }
                $standing = in_shop($supplier->name);
                $wanted = $supplier->accepted;
                ksort($standing);
                ksort($wanted);
                expect($standing)->toEqual($wanted, "seed {$seed}, night {$night}, {$supplier->name}: {$tonight[$supplier->name]}");
            }
            // Nothing is published but by a run that says so, and then it is what the catalog says.
            $published = array_filter($runs, fn (Run $run): bool => $run->state === RunState::Published);
            expect(Edition::query()->count())->toBe($editions + count($published));
            if ($published !== []) {
                $products = array_sum(array_map(fn (Supplier $one): int => count($one->accepted), $suppliers));
                expect(Edition::current()?->products)->toBe($products);
            }
        }
    } finally {
        Carbon::setTestNow();
    }
    // The nights were what they should be: something of each kind has happened, and nothing hangs.
    expect([$seen['read'] > 40, $seen['held'] > 5, $seen['failed'] > 0, $seen['published'] > 10])
        ->toBe([true, true, true, true])
        ->and(Run::query()->where('state', RunState::Running)->count())
        ->toBe(0)
        ->and(Reading::query()->whereIn('state', [ReadingState::Checking, ReadingState::Reading])->count())
        ->toBe(0);
})->with([1, 2]);
