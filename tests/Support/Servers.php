<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/** Servers of others on this machine, as long as a test lasts. */
final class Servers
{
    /**
     * Debian's nginx with a site of the docs.
     *
     * @param  string  $site  blocks as they stand there, with this port in them
     * @param  string  $dir  for its files, which goes with it
     */
    public static function nginx(string $site, int $port, string $dir): void
    {
        $paths = implode(' ', array_map(
            fn (string $kind): string => "{$kind}_temp_path {$dir}/{$kind};",
            ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'],
        ));
        $user = (posix_getpwuid(posix_geteuid()) ?: ['name' => 'root'])['name'];
        file_put_contents("{$dir}/nginx.conf", <<<CONF
            user {$user};
            daemon off;
            pid {$dir}/pid;
            error_log {$dir}/error.log;
            events {}
            http { include /etc/nginx/mime.types; access_log off; {$paths}
            {$site}
            }
            CONF);
        $binary = is_executable('/usr/sbin/nginx') ? '/usr/sbin/nginx' : 'nginx';
        self::start(new Process([$binary, '-c', "{$dir}/nginx.conf"], timeout: null), $port, $dir);
    }

    /** A site that one of the docs gives, the first that begins so. */
    public static function documented(string $doc, string $begins = ''): string
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/docs/{$doc}");
        preg_match('/```nginx\n('.preg_quote($begins, '/').'.*?)```/s', $text, $found);

        return $found[1] ?? throw new RuntimeException("docs/{$doc} has no such site.");
    }

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
