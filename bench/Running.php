<?php

declare(strict_types=1);

namespace Bench;

use Symfony\Component\Process\Process;

/** One of Lokum's commands that serves pages, as long as it is needed. */
final class Running
{
    public readonly string $address;

    private Process $process;

    /**
     * @param  list<string>  $command  without its port
     * @param  string  $data  directory
     * @param  int|null  $core  of the processor that it has to do with; null: all of them
     */
    public function __construct(array $command, string $data, ?int $core = null)
    {
        $bound = $core === null || ! is_executable('/usr/bin/taskset') ? [] : ['/usr/bin/taskset', '-c', (string) $core];
        $port = 20000 + random_int(0, 20000);
        $this->address = "http://127.0.0.1:{$port}";
        $this->process = new Process(
            [...$bound, PHP_BINARY, base_path('bin/console.php'), ...$command, "--port={$port}"],
            base_path(),
            ['LOKUM_DATA' => $data, 'LOKUM_SHOP_LIMIT' => '1000000'],
            null,
            null,
        );
        $this->process->start();
        for ($wait = 0; $wait < 100 && @fsockopen('127.0.0.1', $port) === false; $wait++) {
            usleep(100_000);
        }
    }

    public function stop(): void
    {
        $this->process->stop(15);
    }
}
