<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Support\Replica;
use Tests\Support\Servers;
use Tests\Support\Shopper;
use Tests\Support\Site;

/* A catalog, three replicas and Debian's nginx before them with the site that docs/replicas.md gives, on this machine. */

/** @return array{site: Site, replicas: list<Replica>, front: string, cable: Closure(): Process, cablePort: int} */
function threeReplicas(): array
{
    static $all = null;
    if ($all !== null) {
        return $all;
    }
    $root = dirname(__DIR__, 2);
    $site = Site::start(built: true);
    $token = Site::issue($site->data);
    $cablePort = Site::freePort();
    $cable = fn (): Process => new Process(
        [PHP_BINARY, "{$root}/tests/Support/cable.php", (string) $cablePort, (string) parse_url($site->address, PHP_URL_PORT)],
        timeout: null,
    );
    $replicas = [];
    foreach ([$site->address, $site->address, "http://127.0.0.1:{$cablePort}"] as $i => $from) {
        // The first is told by notices, the others find out by themselves.
        $replicas[] = new Replica($from, $token, [$i === 0 ? '--every=30' : '--every=1', '--secret=of all replicas']);
    }
    Site::inside(
        $site->data,
        "App\Models\Receiver::query()->create(['url' => '{$replicas[0]->address}/notices', 'secret' => 'of all replicas', ".
            "'private' => true]);",
    );
    $dir = sys_get_temp_dir().'/lokum-front-'.bin2hex(random_bytes(4));
    mkdir($dir, 0755);
    $port = Site::freePort();
    $address = fn (int $i): string => (string) preg_replace('~^http://~', '', $replicas[$i]->address);
    $front = str_replace(
        ['listen 8080', '127.0.0.1:8081', '127.0.0.1:8082', '127.0.0.1:8083'],
        ["listen {$port}", $address(0), $address(1), $address(2)],
        Servers::documented('replicas.md'),
    );
    Servers::nginx($front, $port, $dir);

    return $all = [
        'site' => $site,
        'replicas' => $replicas,
        'front' => "http://127.0.0.1:{$port}",
        'cable' => $cable,
        'cablePort' => $cablePort,
    ];
}

test('no request fails, no page is of two editions and nobody goes back, whatever happens to replicas', function (): void {
    ['site' => $site, 'replicas' => $replicas, 'front' => $front, 'cable' => $plug, 'cablePort' => $port] = threeReplicas();
    Servers::start($cable = $plug(), $port, $this->data().'/none');
    foreach ($replicas as $replica) {
        $replica->start()->comesTo(1);
    }
    $shoppers = array_map(fn (): Shopper => new Shopper($front), range(1, 5));
    $edition = 1;
    $pages = ['shop', 'shop?color=blue', 'shop/c/paint', 'shop/c/paint?color=green&price=5..20', 'shop/search?q=brush'];
    $look = function (int $rounds) use ($shoppers, $pages): void {
        for ($i = 0; $i < $rounds; $i++) {
            foreach ($shoppers as $n => $shopper) {
                $shopper->look($pages[($i + $n) % 5]);
            }
        }
    };
    $publish = function () use ($site, $look, &$edition): void {
        $process = new Process([PHP_BINARY, base_path('bin/console.php'), 'publish'], env: ['LOKUM_DATA' => $site->data], timeout: 120);
        $process->start();
        do {
            $goesOn = $process->isRunning();
            $look(1);
        } while ($goesOn);
        expect($process->getExitCode())->toBe(0);
        $edition++;
        $look(3);
    };

    // While editions follow one another.
    $publish();
    $publish();
    array_map(fn (Replica $replica): Replica => $replica->comesTo($edition), $replicas);

    // One is killed in the middle, and comes back behind the others.
    $replicas[1]->kill();
    $look(3);
    $publish();
    $replicas[1]->start();
    $look(3);
    $replicas[1]->comesTo($edition);

    // One is cut off from the catalog: who has seen more is served by the others.
    $cable->stop(0);
    $publish();
    expect($replicas[2]->health()['edition'])->toBe($edition - 1);
    $look(5);
    Servers::start($cable = $plug(), $port, $this->data().'/none');
    $replicas[2]->comesTo($edition);
    $look(3);
    $cable->stop(0);
    expect(array_sum(array_column($shoppers, 'looks')))
        ->toBeGreaterThan(100)
        ->and(array_merge(...array_column($shoppers, 'complaints')))
        ->toBe([])
        ->and(max(array_column($shoppers, 'edition')))
        ->toBe($edition);
});
