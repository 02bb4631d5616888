<?php

declare(strict_types=1);

arch('the core knows no framework, no database and no application')
    ->expect('Lokum')
    ->not->toUse(['App', 'Illuminate', 'Carbon', 'PDO', 'Symfony']);
arch('everything is strictly typed')
    ->expect(['Lokum', 'App', 'Bench', 'Demo', 'Tests'])
    ->toUseStrictTypes();
arch('no debugging is left behind')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'eval'])
    ->not->toBeUsed();
arch('only actions of the Storefront read editions for shoppers, and they know no catalog')
    ->expect('App\Storefront')
    ->not->toUse(['App\Catalog', 'App\Vocabulary', 'App\Definitions', 'Illuminate\Support\Facades\DB']);

test('what browsers load was built from the sources as they are', function (): void {
    $root = dirname(__DIR__, 2);
    $files = ['resources/build.mjs', 'package.json'];
    foreach (['resources/css', 'resources/js', 'resources/views'] as $folder) {
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            $files[] = substr((string) $file, strlen($root) + 1);
        }
    }
    sort($files, SORT_STRING);
    $digest = hash_init('sha256');
    foreach ($files as $file) {
        hash_update($digest, "{$file}\0".file_get_contents("{$root}/{$file}")."\0");
    }
    expect(json_decode((string) file_get_contents("{$root}/public/build/sources.json"), true)['sources'])->toBe(
        hash_final($digest),
        'Run npm run build.',
    );
});

test('statements stand as SQL only where docs/data-model.md says why', function (): void {
    $root = dirname(__DIR__, 2);
    // 'SELECT 1', "INSERT OR IGNORE INTO …", new PDO(…), ->getPdo()
    $statement = '/[\'"]\s*(SELECT|INSERT|REPLACE|UPDATE|DELETE|CREATE|PRAGMA|BEGIN|VACUUM) |new PDO\(|->getPdo\(/';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/app", FilesystemIterator::SKIP_DOTS)) as $file) {
        if (preg_match($statement, (string) file_get_contents((string) $file)) === 1) {
            $found[] = substr((string) $file, strlen("{$root}/app/"), -strlen('.php'));
        }
    }
    preg_match_all('~^\|(.+)\|.+\|$~m', (string) strstr((string) file_get_contents("{$root}/docs/data-model.md"), '| Classes |'), $lines);
    preg_match_all('~`(\w+/\w+)`~', implode(' ', $lines[1]), $named);
    sort($found);
    sort($named[1]);
    expect($found)->toBe($named[1]);
});

test('controllers ask models, not tables', function (): void {
    $asks = [];
    foreach (glob(dirname(__DIR__, 2).'/app/*/*Controller.php') ?: [] as $file) {
        if (preg_match('/\bDB::|::table\(|Raw\(/', (string) file_get_contents($file)) === 1) {
            $asks[] = basename($file);
        }
    }
    expect($asks)->toBe([]);
});
