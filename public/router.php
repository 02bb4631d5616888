<?php

declare(strict_types=1);

/* For PHP's built-in server: files that are there are sent as they are, everything else is Lokum's. */

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
if ($path !== '/' && ! str_contains($path, '..') && ! str_ends_with($path, '.php') && is_file(__DIR__.$path)) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';

require __DIR__.'/index.php';
