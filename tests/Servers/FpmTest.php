<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Support\Servers;
use Tests\Support\Site;

/*
 * Lokum under php-fpm behind nginx, both from Debian, as docs/running.md says; its figures read by the client library of Prometheus
 * (Debian's python3-prometheus-client). Run by `bin/lokum test server` alone, since it wants servers that nothing else does.
 */

/** @return array{0: string, 1: string} the address and the data directory */
function fpm(): array
{
    static $at = null;
    if ($at !== null) {
        return $at;
    }
    $root = dirname(__DIR__, 2);
    $dir = sys_get_temp_dir().'/lokum-fpm-'.bin2hex(random_bytes(4));
    mkdir($dir, 0755);
    $data = Site::directory();
    $port = Site::freePort();
    $fpmPort = Site::freePort();
    $user = (posix_getpwuid(posix_geteuid()) ?: ['name' => 'root'])['name'];
    file_put_contents("{$dir}/fpm.conf", implode("\n", [
        '[global]',
        "error_log = {$dir}/fpm.log",
        'daemonize = no',
        '[lokum]',
        "user = {$user}",
        "group = {$user}",
        "listen = 127.0.0.1:{$fpmPort}",
        'pm = static',
        'pm.max_children = 4',
        "env[LOKUM_DATA] = {$data}",
        'php_admin_value[opcache.enable] = 1',
        'php_admin_value[memory_limit] = 256M',
    ])."\n");
    $site = str_replace(
        ['listen 8080', '/srv/lokum/app', '127.0.0.1:9000'],
        ["listen {$port}", $root, "127.0.0.1:{$fpmPort}"],
        Servers::documented('running.md', "server {\n    listen 8080"),
    );
    $binary = (glob('/usr/sbin/php-fpm8*') ?: [])[0] ?? '/usr/sbin/php-fpm';
    Servers::start(new Process([$binary, '-F', '-R', '-y', "{$dir}/fpm.conf"], timeout: null), $fpmPort, $dir);
    Servers::nginx($site, $port, $dir);

    return $at = ["http://127.0.0.1:{$port}", $data];
}

/**
 * @param  list<string>  $headers
 * @return array{0: int, 1: string, 2: string} status, headers, body
 */
function through(string $path, array $headers = []): array
{
    $one = curl_init(fpm()[0].$path);
    curl_setopt_array($one, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_HEADER => true,
        CURLOPT_HTTPHEADER => $headers,
        CURLOPT_TIMEOUT => 30,
    ]);
    $answer = (string) curl_exec($one);
    $size = curl_getinfo($one, CURLINFO_HEADER_SIZE);

    return [curl_getinfo($one, CURLINFO_RESPONSE_CODE), substr($answer, 0, $size), substr($answer, $size)];
}

/** @param  list<string>  $arguments */
function console(array $arguments): string
{
    return (new Process(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', ...$arguments],
        env: ['LOKUM_DATA' => fpm()[1]],
        timeout: 120,
    ))->mustRun()->getOutput();
}

test('shop, desk, API, files and health are served', function (): void {
    expect(through('/health')[0])->toBe(200)->and(json_decode(through('/health')[2], true)['status'])->toBe('ok');
    [$status, , $page] = through('/shop?color=blue');
    expect($status)->toBe(200)->and($page)->toContain('data-edition=');
    expect(through('/')[1])->toMatch('~Location: \S*/sign-in~');
    expect(through('/api/edition')[0])->toBe(401);
    preg_match('~/build/[^"]+\.css~', $page, $style);
    [$status, $headers] = through($style[0] ?? '/build/none');
    expect($status)->toBe(200)->and($headers)->toContain('X-Content-Type-Options: nosniff')->toContain('text/css');
    foreach (['/.env', '/../composer.json', '/index.php/../../composer.json', '/build/../index.php'] as $path) {
        expect(through($path)[2])->not->toContain('<?php')->not->toContain('"require"');
    }
});

test('an edition is published while shoppers are served, and each page is of one', function (): void {
    $publish = new Process(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', 'publish'],
        env: ['LOKUM_DATA' => fpm()[1]],
        timeout: 120,
    );
    $publish->start();
    $seen = [];
    $last = 0;
    do {
        $goesOn = $publish->isRunning();
        [$status, , $page] = through('/shop?color=blue');
        preg_match_all('/data-edition="(\d+)"/', $page, $found);
        $editions = array_unique($found[1]);
        expect($status)->toBe(200)->and($editions)->toHaveCount(1);
        expect((int) $editions[0])->toBeGreaterThanOrEqual($last);
        $seen[$last = (int) $editions[0]] = true;
    } while ($goesOn);
    expect($publish->getExitCode())->toBe(0)->and(array_keys($seen))->toContain(json_decode(through('/health')[2], true)['edition']);
});

test('figures are read by the client of Prometheus, and count what was asked', function (): void {
    $token = Site::issue(fpm()[1]);
    for ($i = 0; $i < 8; $i++) {
        through('/shop');
    }
    [$status, $headers, $text] = through('/metrics', ["Authorization: Bearer {$token}"]);
    expect($status)->toBe(200)->and($headers)->toContain('text/plain; version=0.0.4');
    $read = new Process(['/usr/bin/python3', '-c', 'import sys, json
from prometheus_client.parser import text_string_to_metric_families as read
print(json.dumps([[s.name, s.labels, s.value] for f in read(sys.stdin.read()) for s in f.samples]))'], input: $text);
    $samples = json_decode($read->mustRun()->getOutput(), true);
    $named = fn (string $name, array $labels): array => array_values(array_filter(
        $samples,
        fn (array $sample): bool => $sample[0] === $name && array_intersect_assoc($labels, $sample[1]) === $labels,
    ));
    $shop = ['area' => 'shop', 'status' => '2xx'];
    expect($named('lokum_request_duration_seconds_count', $shop)[0][2])
        ->toBeGreaterThanOrEqual(8)
        ->and($named('lokum_request_duration_seconds_bucket', $shop + ['le' => '+Inf'])[0][2])
        ->toBe($named('lokum_request_duration_seconds_count', $shop)[0][2])
        ->and($named('lokum_edition', [])[0][2])
        ->toBeGreaterThanOrEqual(1);
});

test('a copy is taken while it is in use, and comes back whole', function (): void {
    $to = sys_get_temp_dir().'/lokum-copy-'.bin2hex(random_bytes(4));
    console(['backup', $to]);
    $back = "{$to}-back";
    (new Process(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', 'restore', $to],
        env: ['LOKUM_DATA' => $back],
        timeout: 120,
    ))->mustRun();
    $counts = fn (string $data): string => (new Process(
        [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', 'counts', '--json'],
        env: ['LOKUM_DATA' => $data],
        timeout: 60,
    ))->mustRun()->getOutput();
    expect($counts($back))->toBe($counts(fpm()[1]));
    exec('rm -rf '.escapeshellarg($to).' '.escapeshellarg($back));
});
