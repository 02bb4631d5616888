<?php

declare(strict_types=1);

/* Writes demo/feeds and demo/later anew: php demo/make-feeds.php */

require __DIR__.'/../vendor/autoload.php';

foreach (['feeds' => false, 'later' => true] as $folder => $later) {
    foreach ((new Demo\FeedMaker($later))->files() as $name => $bytes) {
        file_put_contents(__DIR__."/{$folder}/{$name}", $bytes);
    }
}
