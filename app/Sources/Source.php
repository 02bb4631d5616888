<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Feed;
use App\Support\PublicAddress;
use App\Support\Refused;

/** Where a feed's files come from: nowhere by itself, from files of the inbox that match a pattern, from an
 * address, or from a folder on a server. */
final readonly class Source
{
    /**
     * @param  string  $pattern  of names in the inbox, or of the file wanted inside an archive: * and ? stand for any letters
     * @param  string  $user  name for the address, where it asks for one; its password or token is the feed's secret
     * @param  bool  $private  whether the address may lie in a private network
     */
    private function __construct(
        public SourceKind $kind,
        public string $pattern,
        public string $url,
        public string $user,
        public bool $private,
    ) {
    }

    public static function of(Feed $feed): self
    {
        $said = $feed->source ?? [];
        $text = fn (string $key): string => is_string($said[$key] ?? null) ? $said[$key] : '';

        return new self(
            SourceKind::tryFrom($text('kind')) ?? SourceKind::Hand,
            $text('pattern'),
            $text('url'),
            $text('user'),
            ($said['private'] ?? false) === true,
        );
    }

    /**
     * @param  array<string, mixed>  $input  kind, pattern, url, user, private
     *
     * @throws Refused naming the field
     */
    public static function from(array $input): self
    {
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? trim((string) $input[$key]) : '';
        $source = new self(
            SourceKind::tryFrom($text('kind')) ?? throw new Refused('Say where the files come from.', 'kind'),
            $text('pattern'),
            $text('url'),
            $text('user'),
            (bool) ($input['private'] ?? false),
        );
        if ($source->kind === SourceKind::Inbox && ($source->pattern === '' || str_contains($source->pattern, '/'))) {
            throw new Refused('Say which files of the inbox are meant, for example tarnbeck*.csv.', 'pattern');
        }
        if (mb_strlen($source->pattern) > 200 || mb_strlen($source->url) > 2000 || mb_strlen($source->user) > 200) {
            throw new Refused('This is longer than an address or a pattern can be.', 'url');
        }
        if ($source->kind->isElsewhere()) {
            $source->checkAddress();
        }

        return $source;
    }

    private function checkAddress(): void
    {
        $isServer = $this->kind === SourceKind::Server;
        if (preg_match($isServer ? '~^sftp://[^/\s@:]+(:\d+)?(/|$)~i' : '~^https?://[^/\s@]+~i', $this->url) !== 1) {
            throw new Refused(
                $isServer
                    ? 'A folder is written as sftp://host/folder; a name and password have fields of their own.'
                    : 'An address begins with https:// or http://; a name and password have fields of their own.',
                'url',
            );
        }
        if ($isServer && $this->user === '') {
            throw new Refused('Say by which name the server lets Lokum in.', 'user');
        }
        if (! $this->private) {
            PublicAddress::of((string) preg_replace('/^sftp:/i', 'http:', $this->url));
        }
    }

    /** @return array<string, mixed>|null */
    public function toArray(): ?array
    {
        return $this->kind === SourceKind::Hand
            ? null
            : array_filter([
                'kind' => $this->kind->value,
                'pattern' => $this->pattern,
                'url' => $this->url,
                'user' => $this->user,
                'private' => $this->private,
            ]);
    }

    /** Who is asked, however it is spelled; nobody for what is here. */
    public function machine(): string
    {
        $parts = $this->kind->isElsewhere() ? (parse_url($this->url) ?: []) : [];

        return $parts === []
            ? ''
            : strtolower(($parts['scheme'] ?? '').'://'.($parts['host'] ?? '')).':'.($parts['port'] ?? '');
    }

    public function inWords(): string
    {
        return match ($this->kind) {
            SourceKind::Hand => 'brought by somebody',
            SourceKind::Inbox => "inbox, {$this->pattern}",
            SourceKind::Address, SourceKind::Server => (string) preg_replace('/\?.*/', '?…', $this->url),
        };
    }
}
