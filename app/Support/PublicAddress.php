<?php

declare(strict_types=1);

namespace App\Support;

/**
 * An address of the open network, looked up once: what is asked is the very machine that was looked at. Addresses of this machine, of
 * private networks and those that are set apart are refused, however they are spelled.
 */
final readonly class PublicAddress
{
    /** Further networks that are nobody's in the open: IANA's registries of special-purpose addresses (RFC 6890). */
    private const SPECIAL = [
        '0.0.0.0/8',
        '100.64.0.0/10',
        '192.0.0.0/24',
        '192.0.2.0/24',
        '192.88.99.0/24',
        '198.18.0.0/15',
        '198.51.100.0/24',
        '203.0.113.0/24',
        '224.0.0.0/3',
    ];

    private function __construct(public string $host, public int $port, public string $ip)
    {
    }

    /**
     * What cURL needs to ask an address: the machine that was looked at, or any where somebody has said that it may be.
     *
     * @param  bool  $anywhere  whether it may lie in a network of one's own
     * @return array<int, list<string>> options
     *
     * @throws Refused for an address that is none, or lies where it may not
     */
    public static function options(string $url, bool $anywhere): array
    {
        if ($anywhere) {
            self::host($url);

            return [];
        }

        return self::of($url)->pinned();
    }

    /** @throws Refused */
    private static function host(string $url): string
    {
        $parts = parse_url($url);
        $host = is_array($parts) ? trim($parts['host'] ?? '', '[]') : '';
        if (
            $host === '' ||
            ! in_array(strtolower((string) ($parts['scheme'] ?? '')), ['http', 'https'], true) ||
            isset($parts['user'])
        ) {
            throw new Refused(
                'An address begins with https:// or http://, without a name and password, for example https://shop.example/lokum.',
                'url',
            );
        }

        return $host;
    }

    /** @throws Refused */
    public static function of(string $url): self
    {
        $host = self::host($url);
        $parts = (array) parse_url($url);
        $found = filter_var($host, FILTER_VALIDATE_IP) !== false ? [$host] : (gethostbynamel($host) ?: self::sixOf($host));
        if ($found === []) {
            throw new Refused("No machine goes by the name {$host}.", 'url');
        }
        foreach ($found as $ip) {
            if (! self::isPublic($ip)) {
                throw new Refused(
                    "{$host} is an address of this machine or of a private network ({$ip}), where nothing is asked from here.",
                    'url',
                );
            }
        }

        return new self(
            $host,
            (int) ($parts['port'] ?? (strtolower((string) ($parts['scheme'] ?? '')) === 'https' ? 443 : 80)),
            $found[0],
        );
    }

    /**
     * The machine that was looked at is the one that is asked, so that a name cannot lead elsewhere meanwhile.
     *
     * @return array<int, list<string>> options for cURL
     */
    private function pinned(): array
    {
        return [CURLOPT_RESOLVE => ["{$this->host}:{$this->port}:{$this->ip}"]];
    }

    public static function isPublic(string $ip): bool
    {
        $packed = @inet_pton($ip);
        if ($packed === false) {
            return false;
        }
        if (strlen($packed) === 16) {
            // An address of the old protocol inside one of the new: mapped, compatible, translated or tunnelled.
            $inside = match (true) {
                str_starts_with($packed, str_repeat("\0", 10)."\xff\xff"),
                str_starts_with($packed, "\0\x64\xff\x9b".str_repeat("\0", 8)),
                str_starts_with($packed, str_repeat("\0", 12)) => substr($packed, 12),
                str_starts_with($packed, "\x20\x02") => substr($packed, 2, 4),
                default => null,
            };

            // Only 2000::/3 is given out.
            return $inside !== null
                ? self::isPublic((string) inet_ntop($inside))
                : (ord($packed[0]) & 0xE0) === 0x20 &&
                        ! str_starts_with($packed, "\x20\x01\x0d\xb8") &&
                        ! str_starts_with($packed, "\x20\x01\0\0");
        }
        if (filter_var($ip, FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE) === false) {
            return false;
        }
        foreach (self::SPECIAL as $network) {
            [$start, $bits] = explode('/', $network);
            if (ip2long($ip) >> (32 - (int) $bits) === ip2long($start) >> (32 - (int) $bits)) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> */
    private static function sixOf(string $host): array
    {
        return array_values(array_filter(array_column(@dns_get_record($host, DNS_AAAA) ?: [], 'ipv6'), is_string(...)));
    }
}
