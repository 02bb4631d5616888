<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Support\PublicAddress;
use App\Support\Refused;
use Closure;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Psr\Http\Message\ResponseInterface;

/** The machine that has the catalog, as a replica asks it (docs/replicas.md). */
final readonly class Upstream
{
    private const SECONDS = 600;

    private const CONNECT_SECONDS = 5;

    /** Bytes a second below which a transfer is broken off, and the seconds for which it has to be that slow. */
    private const SLOWEST = [CURLOPT_LOW_SPEED_LIMIT => 1024, CURLOPT_LOW_SPEED_TIME => 15];

    private string $address;

    /** @throws Refused for what is no address */
    public function __construct(string $address, private string $token)
    {
        PublicAddress::options($address, anywhere: true);
        $this->address = rtrim($address, '/');
    }

    /**
     * @param  string  $tag  of the one that is known
     * @return Manifest|null null: it is the one that is known
     *
     * @throws Refused
     */
    public function manifest(string $tag): ?Manifest
    {
        $response = $this->ask(
            'copies',
            fn (PendingRequest $request): PendingRequest => $request->withHeaders($tag === '' ? [] : ['If-None-Match' => "\"{$tag}\""]),
        );
        $document = $response->json();

        return match (true) {
            $response->status() === 304 => null,
            ! is_array($document) => throw new Refused("{$this->address} answers, but not as Lokum does."),
            default => Manifest::read($document),
        };
    }

    /**
     * Fetches a file, going on where a transfer before was broken off.
     *
     * @param  string  $path  below the address of copies
     * @param  string  $to  where it lies once it is whole
     * @param  string|null  $digest  its SHA-256 in hexadecimal digits, or the first of them; null: as the answer says it, for a file that
     *         may be another by the time it is asked for
     * @param  int|null  $bytes  that it has to have; null: not known, so that it comes whole or not at all
     *
     * @throws Refused where it does not come, or another came
     */
    public function fetch(string $path, string $to, ?string $digest, ?int $bytes = null): void
    {
        $part = "{$to}.part";
        $file = @fopen($part, 'c+b') ?: throw new Refused("\"{$part}\" cannot be written. Is the disk full?");
        fseek($file, 0, SEEK_END);
        $there = (int) ftell($file);
        if ($there >= (int) $bytes) {
            ftruncate($file, $there = 0);
        }
        fseek($file, $there);
        try {
            $answer = $this->ask(
                "copies/{$path}",
                fn (PendingRequest $request): PendingRequest => $request
                    ->withHeaders($there === 0 ? [] : ['Range' => "bytes={$there}-", 'If-Range' => "\"{$digest}\""])
                    ->withOptions([
                        'on_headers' => function (ResponseInterface $response) use ($file): void {
                            // The whole of it, though a part was asked for; or words that say why not.
                            if ($response->getStatusCode() !== 206) {
                                ftruncate($file, 0);
                                rewind($file);
                            }
                        },
                    ])
                    ->sink($file),
            );
        } finally {
            if (is_resource($file)) {
                fclose($file);
            }
        }
        clearstatcache(true, $part);
        $digest ??= trim($answer->header('ETag'), 'W/"');
        if ($digest === '' || ! str_starts_with((string) hash_file('sha256', $part), $digest)) {
            @unlink($part);
            throw new Refused("What came as {$path} is not what was to come. It is asked for again.", isForNow: true);
        }
        rename($part, $to);
    }

    /**
     * @param  Closure(PendingRequest): PendingRequest  $with
     *
     * @throws Refused
     */
    private function ask(string $path, Closure $with): Response
    {
        try {
            $response = $with(
                Http::timeout(self::SECONDS)
                    ->connectTimeout(self::CONNECT_SECONDS)
                    ->withToken($this->token)
                    ->acceptJson()
                    ->withoutRedirecting()
                    ->withOptions(['curl' => self::SLOWEST]),
            )->get("{$this->address}/api/{$path}");
        } catch (ConnectionException $why) {
            $said = (string) preg_replace('/ \(see .*$/s', '', $why->getMessage());
            throw new Refused("{$this->address} does not answer: ".mb_strimwidth($said, 0, 160, '…'), isForNow: true);
        }

        return $response->successful() || $response->status() === 304
            ? $response
            : throw new Refused(match ($response->status()) {
                401, 403 => "{$this->address} does not take the token. Make one that may copy editions, on its page For real shops.",
                404 => "{$this->address} has none of /api/{$path}. Is it Lokum, and of this version?",
                default => "{$this->address} answers {$response->status()}: ".
                    mb_strimwidth(is_string($response->json('message')) ? $response->json('message') : '', 0, 200, '…'),
            }, isForNow: true);
    }
}
