<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Support\Replica;
use Tests\Support\Servers;
use Tests\Support\Site;

/* One replica beside the machine with the catalog, over a cable that can be torn. Three of them behind nginx: tests/Servers. */

function source(): Site
{
    static $site = null;

    return $site ??= Site::start(built: true);
}

/**
 * @param  list<string>  $headers
 * @param  non-empty-string  $method
 * @return array{0: int, 1: array<string, string>, 2: string} status, headers by name in small letters, body
 */
function answerOf(string $address, array $headers = [], string $method = 'GET', string $body = ''): array
{
    $curl = curl_init($address);
    $came = [];
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_HTTPHEADER => $headers,
        CURLOPT_TIMEOUT => 30,
        CURLOPT_HEADERFUNCTION => function (CurlHandle $curl, string $line) use (&$came): int {
            if (str_contains($line, ':')) {
                [$name, $said] = explode(':', $line, 2);
                $came[strtolower($name)] = trim($said);
            }

            return strlen($line);
        },
    ]);
    if ($body !== '') {
        curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
    }
    $said = (string) curl_exec($curl);

    return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $came, $said];
}

function waitFor(Closure $holds, float $seconds = 15): bool
{
    for ($end = microtime(true) + $seconds; microtime(true) < $end; usleep(50_000)) {
        if ($holds()) {
            return true;
        }
    }

    return false;
}

test('a transfer that was torn goes on where it was; one that is wrong is thrown away', function (): void {
    $port = Site::freePort();
    $log = $this->data().'/parts';
    $cable = new Process([
        PHP_BINARY,
        dirname(__DIR__, 2).'/Support/cable.php',
        (string) $port,
        (string) parse_url(source()->address, PHP_URL_PORT),
        '300000',
        '2',
        $log,
    ], timeout: null);
    Servers::start($cable, $port, $this->data().'/none');
    $replica = new Replica("http://127.0.0.1:{$port}", Site::issue(source()->data));
    $first = $replica->once();
    expect($first->getExitCode())->toBe(1)->and($first->getErrorOutput())->toContain("http://127.0.0.1:{$port} does not answer: ");
    $part = (glob("{$replica->data}/editions/*.part") ?: [])[0] ?? '';
    expect(filesize($part))->toBeGreaterThan(0)->and(glob("{$replica->data}/editions/*.sqlite") ?: [])->toBe([]);
    expect($replica->once()->getExitCode())->toBe(1);
    $third = $replica->once();
    expect($third->getErrorOutput())->toBe('')->and($third->getOutput())->toContain('Serves edition 1');
    [$here] = glob("{$replica->data}/editions/*.sqlite") ?: [''];
    expect(sha1_file($here))->toBe(sha1_file(source()->data.'/editions/'.basename($here)));
    // Each time from where the one before had ended.
    preg_match_all('/bytes=(\d+)-/', (string) file_get_contents($log), $parts);
    [$first, $second] = array_map(intval(...), $parts[1]);
    expect($first)->toBeGreaterThan(0)->and($second)->toBeGreaterThan($first)->and($parts[1])->toHaveCount(2);
    // A file that was damaged here is fetched anew, though nothing is new there.
    expect($replica->once()->getOutput())->toContain('Nothing is new.');
    file_put_contents($here, 'short');
    expect($replica->once()->getOutput())->toContain('Serves edition 1')->and(filesize($here))->toBeGreaterThan(300_000);
    // What lies there as the beginning of another file is none of this one.
    unlink($here);
    file_put_contents("{$here}.part", str_repeat('x', 1000));
    $wrong = $replica->once();
    expect($wrong->getExitCode())
        ->toBe(1)
        ->and($wrong->getErrorOutput())
        ->toContain('is not what was to come. It is asked for again.')
        ->and(is_file("{$here}.part"))
        ->toBeFalse()
        ->and($replica->once()->getExitCode())
        ->toBe(0);
});

test('it answers as the machine with the catalog does, follows notices and prices, and has no desk', function (): void {
    $source = source();
    $token = Site::issue($source->data);
    $secret = 'of this replica';
    $replica = (new Replica($source->address, $token, ['--every=3600', "--secret={$secret}"]))->start()->comesTo(1);
    $bearer = ["Authorization: Bearer {$token}"];
    $addresses = [
        '/shop',
        '/shop?color=blue',
        '/shop/c/paint?color=blue&price=5..20',
        '/shop/search?q=brush',
        '/shop/a/brand',
        '/shop/p/none',
        '/shop?nothing=here',
        '/api/edition',
        '/api/listing?color=blue',
        '/api/line-up',
        '/api/terms/color',
        '/api/terms/none',
        '/api/edition.jsonl',
        '/build/app.js',
    ];
    $bare = fn (string $page): string => (string) preg_replace('~<aside class="stage".*?</aside>|<a [^>]*>To Today</a>|\s+~s', '', $page);
    foreach ($addresses as $path) {
        [$status, $headers, $body] = answerOf($replica->address.$path, $bearer);
        [$there, $sent, $said] = answerOf($source->address.$path, $bearer);
        $ignored = array_flip(['host', 'date', 'set-cookie', 'content-length', 'x-ratelimit-remaining']);
        // Pictures are at the address that was asked.
        $body = str_replace($replica->address, $source->address, $body);
        expect($status)->toBe($there, $path)->and(sha1($bare($body)))->toBe(sha1($bare($said)), $path);
        expect(array_diff_key($headers, $ignored))->toEqual(array_diff_key($sent, $ignored), $path);
    }
    expect(answerOf("{$replica->address}/api/edition", [...$bearer, 'If-None-Match: "edition-1"'])[0])->toBe(304);
    $picture = basename((glob("{$source->data}/pictures/*.webp") ?: [])[0] ?? 'none');
    [$status, $headers, $bytes] = answerOf("{$replica->address}/pictures/{$picture}");
    expect($status)->toBe(200)->and($bytes)->toBe((string) file_get_contents("{$source->data}/pictures/{$picture}"));
    // A cache before it may keep a picture, and gives nobody's cookie to anybody.
    expect($headers['cache-control'])->toContain('public')->and($headers)->not->toHaveKey('set-cookie');
    // One at a time keeps a copy up to date.
    $second = $replica->once();
    expect($second->getExitCode())->toBe(1)->and($second->getErrorOutput())->toContain('keeps this replica up to date already');
    // Neither a desk nor anything that would write.
    foreach (['/', '/sign-in', '/products', '/publishing', '/outside', '/api/copies'] as $path) {
        expect(answerOf($replica->address.$path, $bearer)[0])->toBe(404, $path);
    }
    expect(answerOf("{$replica->address}/api/products", $bearer, 'PATCH', '{}')[0])->toBeIn([404, 405]);
    // Not without a token, and with one that only reads no copy.
    expect(answerOf("{$replica->address}/api/edition")[0])->toBe(401)->and(answerOf("{$source->address}/api/copies")[0])->toBe(401);

    // A notice that nobody has signed is none; a signed one makes it look at once.
    $notice = (string) json_encode(['event' => 'edition served', 'sent_at' => date(DATE_ATOM)]);
    $signed = fn (string $body): array => ['Signature: sha256='.hash_hmac('sha256', $body, $secret), 'Content-Type: application/json'];
    expect(answerOf("{$replica->address}/notices", $signed('another'), 'POST', $notice)[0])->toBe(400);
    $old = (string) json_encode(['sent_at' => date(DATE_ATOM, time() - 400)]);
    expect(answerOf("{$replica->address}/notices", $signed($old), 'POST', $old)[0])->toBe(400);
    expect($source->command(['publish'])[0])->toBe(0);
    expect(answerOf("{$replica->address}/notices", $signed($notice), 'POST', $notice)[0])->toBe(200);
    $replica->comesTo(2);

    // Prices that are said are seen here after the next look.
    [, , $listing] = answerOf("{$source->address}/api/listing", $bearer);
    $sku = json_decode($listing, true)['items'][0]['sku'];
    $product = fn (string $address): array => (array) json_decode(
        answerOf("{$address}/api/products/".rawurlencode($sku), $bearer)[2],
        true,
    );
    $variant = $product($source->address)['variants'][0]['sku'];
    $said = json_encode(['products' => [['sku' => $variant, 'price' => 1.23, 'stock' => 0]]]);
    $json = [...$bearer, 'Content-Type: application/json'];
    expect(answerOf("{$source->address}/api/products", $json, 'PATCH', (string) $said)[0])->toBe(200);
    answerOf("{$replica->address}/notices", $signed($notice), 'POST', $notice);
    expect(waitFor(fn (): bool => $product($replica->address) === $product($source->address)))->toBeTrue();
    expect($product($replica->address)['variants'][0]['price'])->toBe(1.23);
    $replica->stop();
});

test('nobody goes back: who has seen more is held, then sent elsewhere; a replica that hears nothing gives up', function (): void {
    $source = source();
    $port = Site::freePort();
    $plug = fn (): Process => new Process(
        [PHP_BINARY, dirname(__DIR__, 2).'/Support/cable.php', (string) $port, (string) parse_url($source->address, PHP_URL_PORT)],
        timeout: null,
    );
    Servers::start($cable = $plug(), $port, $this->data().'/none');
    $token = Site::issue($source->data);
    $served = (int) (json_decode(answerOf("{$source->address}/health")[2], true)['edition'] ?? 0);
    $ahead = (new Replica($source->address, $token, ['--every=1']))->start()->comesTo($served);
    $behind = (new Replica("http://127.0.0.1:{$port}", $token, ['--every=1', '--silence=4']))->start()->comesTo($served);
    $cable->stop(0);
    expect($source->command(['publish'])[0])->toBe(0);
    $ahead->comesTo($served + 1);
    $seen = explode(';', answerOf("{$ahead->address}/shop")[1]['set-cookie'])[0];
    // Once it is known, it is not sent again.
    expect(answerOf("{$ahead->address}/shop", ["Cookie: {$seen}"])[1])->not->toHaveKey('set-cookie');
    $started = microtime(true);
    [$status, $headers, $page] = answerOf("{$behind->address}/shop", ["Cookie: {$seen}"]);
    expect($status)->toBe(503)->and($headers['retry-after'])->toBe('1')->and($page)->toContain('has not yet got the edition');
    expect(microtime(true) - $started)->toBeGreaterThan(1.9)->toBeLessThan(8.0);
    // What nobody has sealed is nobody's word.
    $forged = (string) preg_replace('/=\d+\./', '=9999999999.', $seen);
    expect(answerOf("{$behind->address}/shop", ["Cookie: {$forged}"])[0])->toBe(200);
    // Silent for longer than it is to serve: left out by its health, too.
    expect(waitFor(fn (): bool => answerOf("{$behind->address}/health")[0] === 503))->toBeTrue();
    expect($behind->health()['problem'])->toContain('does not answer')->and(answerOf("{$behind->address}/shop")[0])->toBe(503);
    Servers::start($cable = $plug(), $port, $this->data().'/none');
    $behind->comesTo($served + 1);
    expect(answerOf("{$behind->address}/shop", ["Cookie: {$seen}"])[0])->toBe(200);
    $ahead->stop();
    $behind->stop();
    $cable->stop(0);
});

test('what is not meant to be a replica is none, and who may not copy is told so', function (): void {
    $source = source();
    $wants = function (array $arguments, string $data): array {
        $command = [PHP_BINARY, base_path('bin/console.php'), 'replica', '--once', ...$arguments];
        $process = new Process($command, env: ['LOKUM_DATA' => $data]);
        $process->run();

        return [$process->getExitCode(), trim($process->getErrorOutput())];
    };
    $empty = sys_get_temp_dir().'/lokum-none-'.bin2hex(random_bytes(4));
    expect($wants(["--from={$source->address}", '--token=x'], $source->data)[1])->toContain('This data directory holds a catalog.');
    expect($wants(["--from={$source->address}", '--token=x'], $empty)[1])->toContain('does not take the token.');
    expect($wants(['--from=nonsense', '--token=x'], $empty)[1])->toContain('An address begins with');
    $reader = Site::inside($source->data, 'echo App\\Models\\Token::issue("A reader");');
    expect($wants(["--from={$source->address}", "--token={$reader}"], $empty)[1])->toContain('Make one that may copy editions');
    [, , $list] = answerOf("{$source->address}/api/copies", ['Authorization: Bearer '.Site::issue($source->data)]);
    expect($list)->not->toContain($reader)->toContain(hash('sha256', $reader))->not->toContain('says_prices');
    expect($wants(["--from={$source->address}", '--token=x', '--listen=here'], $empty)[1])->toContain('--listen takes an IP address');
    expect($wants(["--from={$source->address}", '--token=x', '--silence=-1'], $empty)[1])->toContain('--silence takes seconds');
    expect($wants(['--from=http://127.0.0.1:1', '--token=x'], $empty)[1])->toContain('does not answer');
    expect($wants([], $empty)[0])->toBe(1)->and($wants([], $empty)[1])->toContain('A replica wants --from and --token');
    // It is a replica's by now: no catalog is begun there.
    $serve = new Process([PHP_BINARY, base_path('bin/console.php'), 'serve'], env: ['LOKUM_DATA' => $empty]);
    $serve->run();
    expect($serve->getExitCode())->toBe(1)->and($serve->getErrorOutput())->toContain('a replica\'s');
    exec('rm -rf '.escapeshellarg($empty));
});

test('told where to listen, it is asked there, and by no other name', function (): void {
    $source = source();
    $served = (int) (json_decode(answerOf("{$source->address}/health")[2], true)['edition'] ?? 0);
    $replica = (new Replica($source->address, Site::issue($source->data), ['--listen=127.0.0.2', '--every=1'], '127.0.0.2'))->start();
    $replica->comesTo($served);
    expect(answerOf("{$replica->address}/shop")[0])->toBe(200);
    expect(answerOf("{$replica->address}/shop", ['Host: elsewhere.example'])[0])->toBe(400);
    expect(@fsockopen('127.0.0.1', (int) parse_url($replica->address, PHP_URL_PORT), timeout: 0.5))->toBeFalse();
    $replica->stop();
});
