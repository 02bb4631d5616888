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
