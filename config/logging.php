<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/lokum.log'), 'level' => 'warning'],
        'emergency' => ['path' => storage_path('logs/lokum.log')],
    ],
];
