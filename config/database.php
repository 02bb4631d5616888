<?php

declare(strict_types=1);

$data = (require __DIR__.'/lokum.php')['data'];

$sqlite = fn (string $file, string $synchronous): array => [
    'driver' => 'sqlite',
    'database' => $data.'/'.$file,
    'prefix' => '',
    'foreign_key_constraints' => true,
    'busy_timeout' => 10000,
    'journal_mode' => 'wal',
    'synchronous' => $synchronous,
    // 64 MB of pages: with SQLite's own 2 MB the indexes of a large catalog are read from disk again and again.
    'pragmas' => ['cache_size' => -65536, 'mmap_size' => 1 << 30],
];

return [
    'default' => 'catalog',
    'connections' => [
        // What the user would miss.
        'catalog' => $sqlite('catalog.sqlite', 'full'),
        // What only the running application needs (sessions, cache, jobs), apart so that it never waits for a reading.
        'runtime' => $sqlite('runtime.sqlite', 'normal'),
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
