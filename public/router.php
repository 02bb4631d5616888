<?php

declare(strict_types=1);

/* For PHP's built-in server: files that are there are sent as they are, with the headers of all answers; everything else is Lokum's. */

use App\Door\SecurityHeaders;

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$types = [
    'css' => 'text/css',
    'js' => 'text/javascript',
    'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2',
    'txt' => 'text/plain',
];
$type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? null;
if ($type !== null && ! str_contains($path, '..') && is_file(__DIR__.$path)) {
    require __DIR__.'/../vendor/autoload.php';
    SecurityHeaders::onEveryAnswer();
    header("Content-Type: {$type}; charset=utf-8");
    header('Content-Length: '.filesize(__DIR__.$path));
    header('Cache-Control: public, max-age=31536000'.(isset($_GET['v']) ? ', immutable' : ''));
    if ($_SERVER['REQUEST_METHOD'] !== 'HEAD') {
        readfile(__DIR__.$path);
    }

    return true;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';

require __DIR__.'/index.php';
