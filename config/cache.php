<?php

declare(strict_types=1);

return [
    'default' => 'database',
    'stores' => [
        'database' => [
            'driver' => 'database',
            'connection' => 'runtime',
            'table' => 'cache',
            'lock_connection' => 'runtime',
            'lock_table' => 'cache_locks',
        ],
        'array' => ['driver' => 'array', 'serialize' => false],
    ],
    'prefix' => 'lokum-',
];
