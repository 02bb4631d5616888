<?php

declare(strict_types=1);

return [
    'driver' => 'database',
    'connection' => 'runtime',
    'table' => 'sessions',
    'lifetime' => 480,
    'expire_on_close' => false,
    'encrypt' => false,
    'lottery' => [2, 100],
    'cookie' => 'lokum_session',
    'path' => '/',
    'domain' => null,
    'secure' => null,
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
