<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Access\DemoAccount;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use RuntimeException;
use Symfony\Component\Process\Process;
use WeakReference;

/** Lokum as a user runs it, on a catalog of its own: pages, worker, data directory. Gone when nobody is at it any more. */
final class Site
{
    private ?Process $process = null;

    private function __construct(public readonly string $data, public readonly string $address)
    {
    }

    /**
     * @param  bool  $built  whether the demo shop stands in it already
     * @param  array<string, string>  $settings  environment that it runs in
     */
    public static function start(bool $built, array $settings = []): self
    {
        $site = self::somewhere();
        exec('cp -r '.escapeshellarg(self::built($built)).' '.escapeshellarg($site->data));
        $site->serve([__DIR__.'/serve.php', $site->port()], $settings);

        return $site;
    }

    public function __destruct()
    {
        $this->stop();
    }

    private function stop(): void
    {
        if ($this->process !== null) {
            $this->process->stop(5);
            $this->process = null;
            exec('rm -rf '.escapeshellarg($this->data).' '.escapeshellarg("{$this->data}.log"));
        }
    }

    /** A data directory with the demo shop in it, for another server than ours. */
    public static function directory(): string
    {
        $data = self::somewhere()->data;
        exec('cp -r '.escapeshellarg(self::built(true)).' '.escapeshellarg($data));

        return $data;
    }

    /** As `bin/lokum serve` starts it on an empty directory: nobody has an account yet. */
    public static function own(): self
    {
        $site = self::somewhere();
        $site->serve([dirname(__DIR__, 2).'/bin/console.php', 'serve', '--port='.$site->port()], []);

        return $site;
    }

    /** @return array<string, string> cookies that the sign-in sets for somebody, by name */
    public function letIn(DemoAccount $who): array
    {
        $cookies = new CookieJar();
        $visit = new Client(['base_uri' => $this->address, 'cookies' => $cookies, 'allow_redirects' => false]);
        preg_match('/name="_token" value="([^"]+)"/', (string) $visit->get('/sign-in')->getBody(), $token);
        $answer = $visit->post('/sign-in', ['form_params' => [
            '_token' => $token[1] ?? '',
            'email' => $who->email,
            'password' => $who->password,
        ]]);
        if (str_ends_with($answer->getHeaderLine('Location'), '/sign-in')) {
            throw new RuntimeException("{$who->email} is not let in.");
        }

        return array_column($cookies->toArray(), 'Value', 'Name');
    }

    /** What the terminal has said since the start. */
    public function said(): string
    {
        for ($i = 0; $i < 100; $i++) {
            // What came meanwhile is taken in when the process is looked at.
            $this->process?->getStatus();
            $said = (string) @file_get_contents("{$this->data}.log");
            if (str_contains($said, 'stops Lokum')) {
                return $said;
            }
            usleep(100_000);
        }
        throw new RuntimeException('The terminal says nothing.');
    }

    private static function somewhere(): self
    {
        return new self(sys_get_temp_dir().'/lokum-site-'.bin2hex(random_bytes(6)), 'http://127.0.0.1:'.self::freePort());
    }

    private function port(): string
    {
        return (string) parse_url($this->address, PHP_URL_PORT);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $settings
     */
    private function serve(array $command, array $settings): void
    {
        $this->process = new Process(
            [PHP_BINARY, ...$command],
            dirname(__DIR__, 2),
            ['LOKUM_DATA' => $this->data, 'APP_ENV' => false, ...$settings],
            null,
            null,
        );
        $log = "{$this->data}.log";
        $this->process->start(static function (string $type, string $said) use ($log): void {
            file_put_contents($log, $said, FILE_APPEND);
        });
        // At the end of a run the process might be ended before the site, and could not end what it has started.
        $site = WeakReference::create($this);
        register_shutdown_function(static fn () => $site->get()?->stop());
        for ($i = 0; ! self::answers($this->address.'/sign-in'); $i++) {
            usleep(50_000);
            if ($i > 400) {
                throw new RuntimeException('The site does not answer.');
            }
        }
    }

    /**
     * A catalog to copy, made once for the whole run: its processes, which have one parent, wait for the first that needs it.
     *
     * @return string its data directory
     */
    private static function built(bool $withDemo): string
    {
        $run = sys_get_temp_dir().'/lokum-run-'.posix_getppid();
        if (! is_dir($run)) {
            // Another process of the run may have made it in between.
            exec('mkdir -p '.escapeshellarg($run));
        }
        if (getenv('TEST_TOKEN') === false) {
            register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($run)));
        }
        $made = $run.($withDemo ? '/demo' : '/empty');
        $lock = fopen("{$made}.lock", 'c') ?: throw new RuntimeException('The catalog to copy cannot be made.');
        flock($lock, LOCK_EX);
        if (! is_file("{$made}/whole")) {
            exec('rm -rf '.escapeshellarg($made));
            if ($withDemo) {
                [$status, , $why] = (new self($made, ''))->command(['demo', '--no-serve']);
                if ($status !== 0) {
                    throw new RuntimeException("The demo cannot be built: {$why}");
                }
            } else {
                self::inside($made, 'App\Access\DemoAccount::createAll();');
            }
            touch("{$made}/whole");
        }
        fclose($lock);

        return $made;
    }

    /**
     * Runs one command on the site's catalog.
     *
     * @param  list<string>  $arguments
     * @return array{0: int, 1: string, 2: string} exit status, output, messages
     */
    public function command(array $arguments): array
    {
        $process = new Process(
            [PHP_BINARY, '-d', 'memory_limit=1G', dirname(__DIR__, 2).'/bin/console.php', ...$arguments],
            null,
            ['LOKUM_DATA' => $this->data],
            null,
            300,
        );
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    /** A token for programs that read, say prices, and copy editions. */
    public static function issue(string $data): string
    {
        return self::inside($data, 'echo App\Models\Token::issue("A program", saysPrices: true, copies: true);');
    }

    /** What a line of PHP prints on a catalog. */
    public static function inside(string $data, string $code): string
    {
        $root = dirname(__DIR__, 2);

        return (new Process(
            [
                PHP_BINARY,
                '-r',
                "require '{$root}/vendor/autoload.php'; \$app = require '{$root}/bootstrap/app.php'; ".
                    '$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); App\Data\Setup::ensure(); '.$code,
            ],
            env: ['LOKUM_DATA' => $data],
        ))->mustRun()->getOutput();
    }

    public static function answers(string $address): bool
    {
        $request = curl_init($address);
        curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 5]);

        return is_string(curl_exec($request));
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free.');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, strrpos($name, ':') + 1);
    }
}
