<?php

declare(strict_types=1);

/*
 * Stands in for suppliers' servers: php -S 127.0.0.1:PORT demo/supplier.php, with LOKUM_SUPPLIERS naming the directory whose files it
 * serves. A file NAME.fault beside one lets it fail: "fail" answers 503, "truncate" breaks off in the middle, "delay" waits, "repeat"
 * forgets what was sent already and sends it again.
 */

$name = basename((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$path = getenv('LOKUM_SUPPLIERS')."/{$name}";
if ($name === '' || ! is_file($path)) {
    http_response_code(404);

    return;
}
$fault = is_file("{$path}.fault") ? trim((string) file_get_contents("{$path}.fault")) : '';
$bytes = (string) file_get_contents($path);
$tag = '"'.hash('xxh64', $bytes).'"';
if ($fault === 'fail') {
    http_response_code(503);

    return;
}
if ($fault === 'delay') {
    sleep(3);
}
header("ETag: {$tag}");
header('Last-Modified: '.gmdate('D, d M Y H:i:s', (int) filemtime($path)).' GMT');
header('Content-Type: application/octet-stream');
if ($fault !== 'repeat' && ($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
    http_response_code(304);

    return;
}
header('Content-Length: '.strlen($bytes));
echo $fault === 'truncate' ? substr($bytes, 0, intdiv(strlen($bytes), 2)) : $bytes;
