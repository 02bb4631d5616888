<?php

declare(strict_types=1);

$data = (require __DIR__.'/lokum.php')['data'];
$keyFile = $data.'/app.key';

return [
    'name' => 'Lokum',
    'env' => getenv('APP_ENV') ?: 'production',
    'debug' => filter_var(getenv('LOKUM_DEBUG'), FILTER_VALIDATE_BOOLEAN),
    'url' => getenv('LOKUM_URL') ?: 'http://localhost',
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => is_file($keyFile) ? trim((string) file_get_contents($keyFile)) : null,
    'maintenance' => ['driver' => 'file'],
];
