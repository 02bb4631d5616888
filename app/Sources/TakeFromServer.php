<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Feed;
use App\Support\PublicAddress;
use App\Support\Refused;
use phpseclib3\Crypt\Common\PrivateKey;
use phpseclib3\Crypt\PublicKeyLoader;
use phpseclib3\Exception\NoKeyLoadedException;
use phpseclib3\Net\SFTP;
use RuntimeException;

/**
 * The next file of a folder on an SFTP server that a feed's pattern means and that is new or was changed, oldest first. The server's key
 * is remembered at the first time, and has to be the same from then on.
 */
final class TakeFromServer
{
    private const SECONDS = 30;

    /** Of a file that is no folder or link (SSH_FILEXFER_TYPE_REGULAR, draft-ietf-secsh-filexfer-04, 7.). */
    private const REGULAR = 1;

    /** @throws Refused */
    public function __invoke(Feed $feed, Source $source): ?Fetched
    {
        $parts = parse_url($source->url);
        $host = is_array($parts) ? $parts['host'] ?? '' : '';
        $port = is_array($parts) ? $parts['port'] ?? 22 : 22;
        $folder = rtrim(is_array($parts) ? rawurldecode($parts['path'] ?? '') : '', '/') ?: '/';
        // The machine that was looked at is the one that is asked.
        $machine = $source->private ? $host : PublicAddress::of("http://{$host}:{$port}")->ip;
        $server = new SFTP($machine, $port, self::SECONDS);
        try {
            $key = $this->serverKey($server, $feed, $host);
            if (! $server->login($source->user, $this->secret($feed))) {
                throw new Refused("{$host} does not let {$source->user} in. Is the password or key right?");
            }
            $next = $this->next($server, $feed, $folder, $source->pattern);

            return $next === null ? null : $this->fetch($server, "{$folder}/{$next[0]}", $next, $key);
        } catch (Refused $why) {
            throw $why;
        } catch (RuntimeException $why) {
            throw new Refused("{$host} does not answer: ".mb_strimwidth($why->getMessage(), 0, 160, '…'));
        } finally {
            $server->disconnect();
        }
    }

    private function serverKey(SFTP $server, Feed $feed, string $host): string
    {
        $key = $server->getServerPublicHostKey();
        if (! is_string($key)) {
            throw new Refused("{$host} does not answer.");
        }
        $mark = 'SHA256:'.rtrim(base64_encode(hash('sha256', (string) base64_decode(explode(' ', $key)[1] ?? '', true), true)), '=');
        $known = $feed->seen['host key'] ?? $mark;
        if ($known !== $mark) {
            throw new Refused(
                "{$host} has another key than before ({$mark} instead of {$known}). Ask its owner; where that is right, save the ".
                    'source with the tick at its new key.',
            );
        }

        return $mark;
    }

    /** A key as text, or a password. */
    private function secret(Feed $feed): PrivateKey|string
    {
        $secret = (string) $feed->secret;
        if (! str_contains($secret, 'PRIVATE KEY')) {
            return $secret;
        }
        try {
            $key = PublicKeyLoader::load($secret);
        } catch (NoKeyLoadedException) {
            throw new Refused('The key cannot be read. It is one without a password of its own.');
        }

        return $key instanceof PrivateKey ? $key : throw new Refused('This is the public key; the private one is wanted.');
    }

    /** @return array{0: string, 1: int, 2: int}|null name, size and time of change */
    private function next(SFTP $server, Feed $feed, string $folder, string $pattern): ?array
    {
        $all = $server->rawlist($folder);
        if (! is_array($all)) {
            throw new Refused("There is no folder {$folder}, or it cannot be read.");
        }
        $found = [];
        foreach ($all as $name => $about) {
            $about = (array) $about;
            $file = [(string) $name, (int) ($about['size'] ?? 0), (int) ($about['mtime'] ?? 0)];
            if (
                ($about['type'] ?? 0) === self::REGULAR &&
                fnmatch($pattern === '' ? '*' : $pattern, $file[0], FNM_CASEFOLD | FNM_PERIOD) &&
                ! isset($feed->seen[self::mark($file)])
            ) {
                $found[] = $file;
            }
        }
        usort($found, fn (array $a, array $b): int => [$a[2], $a[0]] <=> [$b[2], $b[0]]);

        return $found[0] ?? null;
    }

    /** @param  array{0: string, 1: int, 2: int}  $file */
    private function fetch(SFTP $server, string $remote, array $file, string $key): Fetched
    {
        if ($file[1] > (int) config('lokum.largest_feed')) {
            throw new Refused("{$file[0]} is larger than ".((int) config('lokum.largest_feed') >> 20).' MB.');
        }
        $path = Fetched::room();
        if ($server->get($remote, $path) !== true || filesize($path) !== $file[1]) {
            @unlink($path);
            throw new Refused("Not all of {$file[0]} has come.");
        }

        return new Fetched($path, $file[0], ['host key' => $key, self::mark($file) => now()->toDateTimeString()]);
    }

    /** @param  array{0: string, 1: int, 2: int}  $file */
    private static function mark(array $file): string
    {
        return 'sent '.implode(' ', $file);
    }
}
