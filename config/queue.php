<?php

declare(strict_types=1);

return [
    'default' => 'database',
    'connections' => [
        // A job may take as long as the largest feed; nothing is tried twice while it still runs.
        'database' => [
            'driver' => 'database',
            'connection' => 'runtime',
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 7200,
            'after_commit' => true,
        ],
        'sync' => ['driver' => 'sync'],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'runtime', 'table' => 'failed_jobs'],
    'batching' => ['database' => 'runtime', 'table' => 'job_batches'],
];
