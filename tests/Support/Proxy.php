<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** Debian's nginx with TLS before a site, set up as docs/running.md says. */
final class Proxy
{
    public const HOST = 'lokum.example.test';

    private function __construct(public readonly Site $site, private readonly int $port, private readonly string $jar)
    {
    }

    public static function start(): self
    {
        $port = Site::freePort();
        $site = Site::start(
            built: true,
            settings: [
                'LOKUM_URL' => 'https://'.self::HOST.":{$port}",
                'LOKUM_PROXIES' => '127.0.0.1',
                'LOKUM_SHOP_LIMIT' => '8',
            ],
        );
        $dir = sys_get_temp_dir().'/lokum-proxy-'.bin2hex(random_bytes(6));
        mkdir($dir, 0700);
        (new Process([
            'openssl',
            'req',
            '-x509',
            '-newkey',
            'rsa:2048',
            '-nodes',
            '-days',
            '2',
            '-subj',
            '/CN='.self::HOST,
            '-keyout',
            "{$dir}/key.pem",
            '-out',
            "{$dir}/cert.pem",
        ]))->mustRun();
        $server = Servers::documented('running.md');
        $server = str_replace(
            ['listen 443 ssl;', '/etc/ssl/lokum.pem', '/etc/ssl/private/lokum.key', 'lokum.example.com', 'http://127.0.0.1:8080'],
            [
                "listen 127.0.0.1:{$port} ssl;\nlisten 127.0.0.2:{$port} ssl;",
                "{$dir}/cert.pem",
                "{$dir}/key.pem",
                self::HOST,
                $site->address,
            ],
            $server,
        );
        Servers::nginx($server, $port, $dir);

        return new self($site, $port, "{$dir}/cookies");
    }

    /**
     * @param  array<string, string>  $fields  posted where there are any
     * @param  list<string>  $headers
     * @return array{status: int, headers: string, body: string}
     */
    public function ask(string $path, array $fields = [], array $headers = [], string $from = '127.0.0.1'): array
    {
        $curl = curl_init('https://'.self::HOST.":{$this->port}{$path}") ?: throw new \RuntimeException('No request.');
        curl_setopt_array($curl, [
            CURLOPT_RESOLVE => [self::HOST.":{$this->port}:127.0.0.1"],
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_HTTPHEADER => $headers,
        ]);
        foreach ([CURLOPT_COOKIEJAR => $this->jar, CURLOPT_COOKIEFILE => $this->jar, CURLOPT_INTERFACE => $from] as $option => $value) {
            curl_setopt($curl, $option, $value);
        }
        if ($fields !== []) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, http_build_query($fields));
        }
        $answer = (string) curl_exec($curl);
        $size = curl_getinfo($curl, CURLINFO_HEADER_SIZE);
        $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        curl_close($curl);

        return ['status' => $status, 'headers' => substr($answer, 0, $size), 'body' => substr($answer, $size)];
    }
}
