<?php

declare(strict_types=1);

use App\Data\FileLock;
use App\Editions\Served;
use App\Models\Edition;
use App\Publishing\Publish;
use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/*
 * What is kept stays: copies that come back, databases that are made when missing, editions before a damaged one, and failures
 * that say so.
 */

/**
 * @param  array<mixed>  $arguments
 * @param  array<mixed>  $before
 * @return array{0: int, 1: string, 2: string} exit status, output, messages
 */
function asked(string $data, array $arguments, array $before = []): array
{
    // What is kept of PHP is not for somebody else.
    $own = $before === [] ? [] : ['PHP_INI_SCAN_DIR' => false];
    $process = new Process([...$before, PHP_BINARY, '-d', 'memory_limit=1G', base_path('bin/console.php'), ...$arguments], null, [
        'LOKUM_DATA' => $data,
        ...$own,
    ]);
    $process->run();

    return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
}

beforeEach(function (): void {
    $this->read(
        "sku,name,category,price,Color\nA,One,Ink,5,Red\nB,Two,Ink,6,Blue\n",
        '{"columns": {"Color": {"kind": "choice"}}}',
    );
    $this->publish();
});

test('a backup comes back whole in another place, with what only runs made anew', function (): void {
    $to = $this->data().'/../copy-'.bin2hex(random_bytes(4));
    [$status, $output] = asked($this->data(), ['backup', $to, '--json']);
    expect($status)->toBe(0)->and(json_decode($output, true)['files'])->toBeGreaterThan(2);
    $new = $to.'-back';
    [$status, , $error] = asked($new, ['restore', $to]);
    expect([$status, $error])->toBe([0, '']);
    foreach ([['values', 'color', '--json'], ['counts', '--json']] as $command) {
        expect(asked($new, $command))->toBe(asked($this->data(), $command));
    }
    expect(is_file("{$new}/runtime.sqlite"))->toBeTrue();
    // Into what is there already only when that is said, and that is moved aside.
    expect(asked($new, ['restore', $to])[0])->toBe(1);
    [$status, $output] = asked($new, ['restore', $to, '--replace', '--json']);
    $aside = json_decode($output, true)['aside'] ?? '';
    expect($status)->toBe(0)->and(is_file("{$aside}/catalog.sqlite"))->toBeTrue();
    // One that is not whole is refused, and nothing is made.
    foreach (['catalog.sqlite', 'backup.json', 'app.key'] as $file) {
        $broken = "{$to}-broken";
        exec('rm -rf '.escapeshellarg($broken).' && cp -r '.escapeshellarg($to).' '.escapeshellarg($broken));
        file_put_contents("{$broken}/{$file}", substr((string) file_get_contents("{$broken}/{$file}"), 0, -3).'xyz');
        [$status, $output, $error] = asked("{$to}-none", ['restore', $broken]);
        expect($status)
            ->toBe(1)
            ->and($output)
            ->toBe('')
            ->and($error)
            ->toContain('lokum: ')
            ->and(is_dir("{$to}-none"))
            ->toBeFalse();
    }
    exec('rm -rf '.escapeshellarg($to).' '.escapeshellarg($to).'-* '.escapeshellarg($aside));
});

test('a database that is missing is made, an empty key is mended, a broken one named', function (): void {
    unlink($this->data().'/runtime.sqlite');
    expect(asked($this->data(), ['counts', '--json'])[0])
        ->toBe(0)
        ->and(is_file($this->data().'/runtime.sqlite'))
        ->toBeTrue();
    file_put_contents($this->data().'/app.key', '');
    [$status, , $error] = asked($this->data(), ['counts', '--json']);
    expect($status)
        ->toBe(0)
        ->and($error)
        ->toContain('app.key was empty')
        ->and(filesize($this->data().'/app.key'))
        ->toBeGreaterThan(40);
    file_put_contents($this->data().'/app.key', 'not a key');
    [$status, $output, $error] = asked($this->data(), ['counts']);
    expect([$status, $output])
        ->toBe([1, ''])
        ->and($error)
        ->toContain('app.key" holds no key');
});

test('several first starts at once all come through', function (): void {
    $data = $this->data().'/first';
    $starts = array_map(
        fn (): Process => new Process(
            [PHP_BINARY, base_path('bin/console.php'), 'define', 'mood', '--kind=choice', '--json'],
            null,
            ['LOKUM_DATA' => $data],
        ),
        range(1, 5),
    );
    array_walk($starts, fn (Process $start) => $start->start());
    array_walk($starts, fn (Process $start) => $start->wait());
    foreach ($starts as $start) {
        expect($start->getExitCode() === 0 ? '' : $start->getErrorOutput())->toBe('');
    }
});

test('a failure is one sentence, exit status 1, and nothing on standard output', function (
    array $arguments,
    int $status,
    string $says,
): void {
    $arguments = array_map(fn (string $argument): string => str_replace('{data}', $this->data(), $argument), $arguments);
    [$is, $output, $error] = asked($this->data(), $arguments);
    expect([$is, $output])
        ->toBe([$status, ''])
        ->and($error)
        ->toContain($says)
        ->and(substr_count(trim($error), "\n"))
        ->toBe(0);
    [$is, $output] = asked($this->data(), [...$arguments, '--json']);
    expect($is)
        ->toBe($status)
        ->and(json_decode($output, true)['error'] ?? '')
        ->toContain($says);
})->with([
    'bytes that are no text' => [['values', "\xFF\xFE"], 1, 'bytes that are no text'],
    'a condition of 100 kB' => [['set', 'color', 'Red', '--where=words:'.str_repeat('x', 100_000)], 1, 'characters at most'],
    'a directory as a file' => [['feed:read', '{data}'], 1, ''],
    'a file that is not there' => [['feed:read', '{data}/none.csv'], 1, 'none.csv'],
    'an attribute that is not there' => [['values', 'none'], 1, 'none'],
]);

test('a damaged catalog says so, and what to do', function (): void {
    DB::connection('catalog')->statement('PRAGMA wal_checkpoint(TRUNCATE)');
    DB::purge('catalog');
    file_put_contents($this->data().'/catalog.sqlite', str_repeat('damaged ', 4000));
    [$status, $output, $error] = asked($this->data(), ['values', 'color']);
    expect([$status, $output])
        ->toBe([1, ''])
        ->and($error)
        ->toContain('The catalog database is damaged')
        ->and($error)
        ->toContain('restore');
});

test('too little memory is a sentence, too', function (): void {
    $process = new Process([PHP_BINARY, '-d', 'memory_limit=12M', base_path('bin/console.php'), 'counts', '--json'], null, [
        'LOKUM_DATA' => $this->data(),
        // Where what was compiled is kept, it would be enough.
        'PHP_INI_SCAN_DIR' => false,
    ]);
    $process->run();
    expect($process->getExitCode())->not->toBe(0)->and($process->getOutput())->not->toContain('Stack trace');
});

test('a directory that cannot be written is read from, and what would write says so', function (): void {
    // The test runs as somebody for whom rights count.
    $as = posix_geteuid() === 0 ? ['setpriv', '--reuid=65534', '--regid=65534', '--clear-groups'] : [];
    $reads = new Process([
        ...$as,
        PHP_BINARY,
        '-r',
        'exit(is_readable($argv[1]) ? 0 : 1);',
        base_path('vendor/phpdocumentor/reflection-docblock/src/DocBlock.php'),
    ]);
    if ($reads->run() !== 0) {
        $this->markTestSkipped('Nobody else can read the program here.');
    }
    exec('chmod -R a+rX '.escapeshellarg($this->data()).' && chmod a-w '.escapeshellarg($this->data()));
    [$status, $output, $error] = asked($this->data(), ['counts', '--json'], $as);
    expect([$status, $error])
        ->toBe([0, ''])
        ->and(json_decode($output, true)['products'])
        ->toBe(2);
    [$status, , $error] = asked($this->data(), ['define', 'mood', '--kind=choice'], $as);
    expect($status)->toBe(1)->and($error)->toContain('cannot be written');
    exec('chmod -R u+w '.escapeshellarg($this->data()));
});

test('where the newest edition is missing, short or damaged the one before is served, and the desk says so', function (
    string $how,
): void {
    $this->read("sku,name,category,price,Color\nC,Three,Ink,7,Green\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $newest = $this->publish();
    $file = Edition::directory().'/'.$newest->file;
    match ($how) {
        'missing' => unlink($file),
        'short' => file_put_contents($file, substr((string) file_get_contents($file), 0, 9000)),
        default => file_put_contents($file, str_repeat('x', (int) filesize($file))),
    };
    expect(Served::now()->edition?->id)->toBe($newest->id - 1);
    $this->get('/shop')->assertOk()->assertSee('2 products');
    $this->actingAs($this->person());
    $this->get('/publishing')
        ->assertOk()
        ->assertSee("edition {$newest->id}")
        ->assertSee('Publish');
    // The way to mend it.
    expect($this->publish()->id)->toBe($newest->id + 1);
    $this->get('/shop')->assertSee('3 products');
})->with(['missing', 'short', 'damaged']);

test('a clock that goes back does not swallow a publication', function (): void {
    $this->actingAs($this->person());
    $this->read("sku,name,category,price,Color\nC,Three,Ink,7,Green\n", '{"columns": {"Color": {"kind": "choice"}}}');
    $this->travel(-3)->hours();
    $this->post('/publishing')->assertSessionHasNoErrors();
    expect(Edition::query()->count())
        ->toBe(2)
        ->and($this->counts()[0])
        ->toBe(3);
});

test('a lock is held by one, seen by all, and whoever only looks is in nobody\'s way', function (): void {
    $path = $this->data().'/editions/lock';
    $lock = FileLock::tryHold($path);
    expect(FileLock::isHeld($path))
        ->toBeTrue()
        ->and(Publish::isUnderWay())
        ->toBeTrue()
        ->and(FileLock::tryHold($path))
        ->toBeNull();
    $lock?->release();
    $looking = fopen($path, 'r') ?: throw new RuntimeException('The lock is gone.');
    flock($looking, LOCK_SH);
    expect(FileLock::isHeld($path))->toBeFalse();
    fclose($looking);
    expect(FileLock::tryHold($path))
        ->not->toBeNull()
        ->and(fn () => FileLock::tryHold($this->data().'/none/lock'))
        ->toThrow(Refused::class, 'cannot be opened');
});
