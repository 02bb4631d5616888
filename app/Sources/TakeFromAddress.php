<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Feed;
use App\Support\PublicAddress;
use App\Support\Refused;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;

/**
 * The file behind an address (HTTP GET), where it is another than the one that was taken last: the server is told its ETag and the time
 * of its change (RFC 9110, 13.1).
 */
final class TakeFromAddress
{
    private const SECONDS = 600;

    private const CONNECT_SECONDS = 20;

    public function __invoke(Feed $feed, Source $source): ?Fetched
    {
        $path = Fetched::room();
        try {
            $fetched = $this->fetch($feed, $source, $path);
        } catch (ConnectionException $why) {
            $said = (string) preg_replace('/ \(see .*$/s', '', $why->getMessage());
            throw new Refused('The address does not answer: '.mb_strimwidth($said, 0, 160, '…'));
        } finally {
            if (! isset($fetched)) {
                @unlink($path);
            }
        }

        return $fetched;
    }

    private function fetch(Feed $feed, Source $source, string $path): ?Fetched
    {
        $most = (int) config('lokum.largest_feed');
        $request = Http::timeout(self::SECONDS)
            ->connectTimeout(self::CONNECT_SECONDS)
            ->withoutRedirecting()
            ->withHeaders(array_filter([
                'If-None-Match' => $feed->seen['etag'] ?? null,
                'If-Modified-Since' => $feed->seen['modified'] ?? null,
                'Accept-Encoding' => 'gzip',
            ]))
            ->withOptions([
                'curl' => PublicAddress::options($source->url, $source->private),
                'progress' => function (mixed $total, mixed $done) use ($most): void {
                    if ($total > $most || $done > $most) {
                        throw new Refused('What comes is larger than '.($most >> 20).' MB.');
                    }
                },
            ])
            ->sink($path);
        if ((string) $feed->secret !== '') {
            $request = $source->user === ''
                ? $request->withToken((string) $feed->secret)
                : $request->withBasicAuth($source->user, (string) $feed->secret);
        }
        $response = $request->get($source->url);
        if ($response->status() === 304) {
            return null;
        }
        if (! $response->successful()) {
            throw new Refused("The address answers {$response->status()}.");
        }
        $said = $response->header('Content-Length');
        clearstatcache(true, $path);
        if ($said !== '' && $response->header('Content-Encoding') === '' && (int) $said !== filesize($path)) {
            throw new Refused('Not all of the file has come.');
        }
        if (filesize($path) === 0) {
            throw new Refused('What came is empty.');
        }

        return new Fetched(
            $path,
            rawurldecode(basename((string) parse_url($source->url, PHP_URL_PATH))) ?: 'file',
            array_filter([
                'etag' => $response->header('ETag'),
                'modified' => $response->header('Last-Modified'),
            ]),
        );
    }
}
