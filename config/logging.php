<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        // One file a day, kept for two weeks.
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/lokum.log'),
            'level' => 'warning',
            'days' => 14,
            'permission' => 0600,
        ],
        'emergency' => ['path' => storage_path('logs/lokum.log')],
    ],
];
