<?php

declare(strict_types=1);

use App\Models\Feed;
use App\Models\Item;
use App\Models\RunState;
use App\Sources\RunFeed;
use App\Sources\Source;
use Symfony\Component\Process\Process;
use Tests\Support\Servers;
use Tests\Support\Site;

/* Source: PHP's own web server with demo/supplier.php, asked by real HTTP: whole files, and each of its faults. */

/** @return array{0: string, 1: int} the directory it serves, and its port */
function supplier_server(): array
{
    $dir = sys_get_temp_dir().'/lokum-supplier-'.bin2hex(random_bytes(4));
    mkdir($dir);
    $port = Site::freePort();
    $process = new Process([PHP_BINARY, '-S', "127.0.0.1:{$port}", base_path('demo/supplier.php')], env: ['LOKUM_SUPPLIERS' => $dir]);
    Servers::start($process, $port, $dir);

    return [$dir, $port];
}

test('each fault of a supplier\'s server is a clear run, and nothing of it comes into the catalog', function (): void {
    [$dir, $port] = supplier_server();
    $rows = fn (int $n): string => "sku,name,category,price\n".implode("\n", array_map(
        fn (int $i): string => "R-{$i},Reed basket {$i},Baskets,".(5 + $i % 9),
        range(1, $n),
    ))."\n";
    $this->read($rows(50), feed: 'Reed');
    $feed = Feed::query()->where('name', 'Reed')->sole();
    $feed->update([
        'source' => Source::from(['kind' => 'address', 'url' => "http://127.0.0.1:{$port}/reed.csv", 'private' => true])->toArray(),
        'by_itself' => true,
    ]);
    $look = fn (): array => [($run = app(RunFeed::class)($feed->refresh()))->state, $run->said];
    $fault = fn (string $what) => file_put_contents("{$dir}/reed.csv.fault", $what);

    expect($look())->toBe([RunState::Failed, 'The address answers 404.']);
    file_put_contents("{$dir}/reed.csv", $rows(51));
    $fault('fail');
    expect($look())->toBe([RunState::Failed, 'The address answers 503.']);
    $fault('truncate');
    [$state, $said] = $look();
    expect($state)
        ->toBe(RunState::Failed)
        ->and($said)
        ->toContain('bytes')
        ->and(Item::query()->count())
        ->toBe(50);
    $fault('delay');
    expect($look())->toBe([RunState::Read, '51 rows: 1 new.'])->and($feed->refresh()->failures)->toBe(0);
    unlink("{$dir}/reed.csv.fault");
    expect($look()[0])->toBe(RunState::Nothing);
    $fault('repeat');
    expect($look()[0])->toBe(RunState::Nothing);

    // What never ends is left before it fills the disk, and nothing of it stays.
    config(['lokum.largest_feed' => 1 << 20]);
    file_put_contents("{$dir}/reed.csv", $rows(60_000));
    expect($look())
        ->toBe([RunState::Failed, 'What comes is larger than 1 MB.'])
        ->and(glob("{$this->data()}/feeds/fetch-*"))
        ->toBe([]);
});
