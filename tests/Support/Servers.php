<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/** Servers of others on this machine, as long as a test lasts. */
final class Servers
{
    /**
     * Starts one, and waits until it listens.
     *
     * @param  string  $dir  that goes with it
     */
    public static function start(Process $process, int $port, string $dir): void
    {
        $process->start();
        register_shutdown_function(function () use ($process, $dir): void {
            $process->stop(1);
            exec('rm -rf '.escapeshellarg($dir));
        });
        for ($i = 0; @fsockopen('127.0.0.1', $port) === false; $i++) {
            usleep(50_000);
            if ($i > 100) {
                throw new RuntimeException("The server does not start: {$process->getErrorOutput()}");
            }
        }
    }
}
