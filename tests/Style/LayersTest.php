<?php

declare(strict_types=1);

/** @return list<list<string>> folders of app/ by layer, the highest first, as docs/architecture.md draws them */
function drawnLayers(): array
{
    $docs = (string) file_get_contents(dirname(__DIR__, 2).'/docs/architecture.md');
    preg_match('/^## Layers$.*?^```$(.*?)^```$/ms', $docs, $drawing);
    $layers = [];
    foreach (explode("\n", trim($drawing[1] ?? '')) as $line) {
        // Folders stand before what is said of them, which begins in a column of its own.
        $layers[] = explode(' ', (string) preg_replace('/\s+/', ' ', trim(mb_substr($line, 0, 60))));
    }

    return $layers;
}

/** @return array<string, array<string, string>> by folder: the folders that it uses, with a file that does */
function usedFolders(): array
{
    $root = dirname(__DIR__, 2).'/app';
    $uses = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        $path = substr((string) $file, strlen($root) + 1);
        if (! str_contains($path, '/') || ! str_ends_with($path, '.php')) {
            continue;
        }
        $folder = explode('/', $path)[0];
        $uses[$folder] ??= [];
        preg_match_all('/\bApp\\\\(\w+)\\\\\w/', (string) file_get_contents((string) $file), $found);
        foreach (array_diff(array_unique($found[1]), [$folder]) as $other) {
            $uses[$folder][$other] = $path;
        }
    }

    return $uses;
}

test('folders of app/ use only those on lines below their own', function (): void {
    $places = [];
    foreach (drawnLayers() as $place => $folders) {
        foreach ($folders as $folder) {
            $places[$folder] = $place;
        }
    }
    $uses = usedFolders();
    expect(array_diff(array_keys($uses), array_keys($places)))
        ->toBe([], 'Draw the new folder in docs/architecture.md.')
        ->and(array_diff(array_keys($places), array_keys($uses)))
        ->toBe([], 'The drawing in docs/architecture.md has a folder that is gone.');
    $upwards = [];
    foreach ($uses as $folder => $others) {
        foreach ($others as $other => $path) {
            if ($places[$other] <= $places[$folder]) {
                $upwards[] = "{$path} uses {$other}";
            }
        }
    }
    expect($upwards)->toBe([]);
});

test('no view asks the database or the container', function (): void {
    $found = [];
    $views = dirname(__DIR__, 2).'/resources/views';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($views, FilesystemIterator::SKIP_DOTS)) as $file) {
        $source = (string) file_get_contents((string) $file);
        $services = '/::query\(|\bDB::|\bapp\(|::load\(|Served::of|->(?:limit|orderBy)\(/';
        if (preg_match_all($services, $source, $match) > 0) {
            $found[] = substr((string) $file, strlen($views) + 1).': '.implode(' ', array_unique($match[0]));
        }
    }
    expect($found)->toBe([]);
});
