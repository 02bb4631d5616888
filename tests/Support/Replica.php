<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/** A replica of a site on this machine, as a user starts one. Gone when the test run ends. */
final class Replica
{
    public readonly string $address;

    public readonly string $data;

    private Process $process;

    /**
     * @param  list<string>  $options
     * @param  string  $at  IP address that it is told to listen on
     */
    public function __construct(
        private readonly string $from,
        private readonly string $token,
        private readonly array $options = [],
        string $at = '127.0.0.1',
    ) {
        $this->data = sys_get_temp_dir().'/lokum-replica-'.bin2hex(random_bytes(6));
        $this->address = "http://{$at}:".Site::freePort();
        register_shutdown_function(function (): void {
            $this->stop();
            exec('rm -rf '.escapeshellarg($this->data));
        });
    }

    public function start(): self
    {
        $this->process = $this->command([...$this->options, '--port='.parse_url($this->address, PHP_URL_PORT)]);
        $this->process->start();

        return $this;
    }

    /** Brings the copy up to date once. */
    public function once(): Process
    {
        $process = $this->command(['--once']);
        $process->run();

        return $process;
    }

    public function stop(): void
    {
        if (isset($this->process)) {
            $this->process->stop(5);
        }
    }

    /** As when the power goes. */
    public function kill(): void
    {
        $below = fn (string $pid): array => array_filter(explode("\n", (string) shell_exec("pgrep -P {$pid}")));
        $all = [(string) $this->process->getPid()];
        for ($i = 0; $i < count($all); $i++) {
            array_push($all, ...$below($all[$i]));
        }
        array_map(fn (string $pid): bool => posix_kill((int) $pid, SIGKILL), $all);
        $this->process->stop(0);
    }

    /** @return array<string, mixed> what it says of its health */
    public function health(): array
    {
        return (array) json_decode(
            (string) @file_get_contents("{$this->address}/health", false, stream_context_create(['http' => ['ignore_errors' => true]])),
            true,
        );
    }

    /** Waits until it serves an edition. */
    public function comesTo(int $edition): self
    {
        for ($end = microtime(true) + 30; microtime(true) < $end; usleep(50_000)) {
            if (($this->health()['edition'] ?? null) === $edition) {
                return $this;
            }
        }
        throw new RuntimeException("It does not come to {$edition}: ".json_encode($this->health()).$this->process->getErrorOutput());
    }

    /** @param  list<string>  $options */
    private function command(array $options): Process
    {
        return new Process(
            [PHP_BINARY, dirname(__DIR__, 2).'/bin/console.php', 'replica', "--from={$this->from}", "--token={$this->token}", ...$options],
            env: ['LOKUM_DATA' => $this->data, 'APP_ENV' => false],
            timeout: null,
        );
    }
}
