<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Refused;
use Closure;
use Symfony\Component\Process\Process;

/** Pages and what runs beside them, in one process tree: whichever dies is started again. */
final class Server
{
    /** Nobody else's machine reaches it. */
    public const HERE = '127.0.0.1';

    private const WEB_WORKERS = '6';

    /** Starts a command in a process group of its own. */
    private const OWN_GROUP = '/usr/bin/setsid';

    private const START_SECONDS = 20;

    /**
     * The whole installation: pages, the worker for long work, and the clock for what happens by itself.
     *
     * @param  Closure(string): mixed  $ready  gets the address once pages are served
     */
    public static function run(int $port, bool $demo, Closure $ready): int
    {
        return self::with($port, ['LOKUM_DEMO' => $demo ? '1' : ''], [
            [
                PHP_BINARY,
                '-d',
                'memory_limit=1G',
                base_path('artisan'),
                'queue:work',
                '--sleep=0.3',
                '--timeout=7000',
                '--max-time=3600',
                '--quiet',
            ],
            [PHP_BINARY, base_path('artisan'), 'schedule:work', '--quiet'],
        ], $ready);
    }

    /**
     * @param  array<string, string>  $settings  environment
     * @param  list<list<string>>  $beside  commands that run beside the pages
     * @param  Closure(string): mixed  $ready  gets the address once pages are served
     * @param  string  $listen  IP address of this machine that it listens on
     */
    public static function with(int $port, array $settings, array $beside, Closure $ready, string $listen = self::HERE): int
    {
        $near = $listen === '0.0.0.0' ? self::HERE : $listen;
        if (@fsockopen($near, $port, $code, $message, 0.3) !== false) {
            throw new Refused("Port {$port} is taken. Choose another with --port.");
        }
        $environment = [
            'LOKUM_DATA' => (string) config('lokum.data'),
            'PHP_CLI_SERVER_WORKERS' => self::WEB_WORKERS,
        ] + $settings;
        $commands = [
            [
                PHP_BINARY,
                '-d',
                'opcache.enable_cli=1',
                '-d',
                'opcache.memory_consumption=192',
                '-d',
                'memory_limit=512M',
                '-d',
                'upload_max_filesize=512M',
                '-d',
                'post_max_size=520M',
                '-d',
                'max_input_vars=20000',
                '-S',
                "{$listen}:{$port}",
                '-t',
                public_path(),
                public_path('router.php'),
            ],
            ...$beside,
        ];
        $running = true;
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_async_signals(true);
            pcntl_signal($signal, function () use (&$running): void {
                $running = false;
            });
        }
        $isWanted = function () use (&$running): bool {
            return $running;
        };
        $processes = array_map(fn (array $command): Process => self::start($command, $environment), $commands);
        for (
            $wait = 0;
            $wait < self::START_SECONDS * 10 && @fsockopen($near, $port, $code, $message, 0.2) === false;
            $wait++
        ) {
            usleep(100_000);
        }
        $ready("http://{$near}:{$port}");
        while ($running) {
            usleep(300_000);
            foreach ($processes as $i => $process) {
                // A signal may have come meanwhile.
                if (! $process->isRunning() && $isWanted()) {
                    $processes[$i] = self::start($commands[$i], $environment);
                }
            }
        }
        foreach ($processes as $process) {
            // The web server's own workers do not end with it, so its whole group is told to.
            if (is_executable(self::OWN_GROUP) && $process->getPid() !== null) {
                posix_kill(-$process->getPid(), SIGTERM);
            }
            $process->stop(3);
        }

        return 0;
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    private static function start(array $command, array $environment): Process
    {
        $process = new Process(
            [...is_executable(self::OWN_GROUP) ? [self::OWN_GROUP] : [], ...$command],
            base_path(),
            $environment,
            null,
            null,
        );
        $process->disableOutput();
        $process->start();

        return $process;
    }
}
