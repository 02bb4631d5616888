<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Editions\LivePrices;
use App\Editions\Served;
use App\Models\Edition;
use App\Models\Setting;
use App\Models\Token;
use App\Support\Pictures;
use App\Support\Refused;
use Illuminate\Support\Facades\Cache;

/**
 * What a replica needs to answer as the machine with the catalog does: the edition and what was said over it, each with its digest,
 * the shop's settings, whose tokens are let in, and the names of pictures.
 */
final readonly class Manifest
{
    /** Raised when a replica of before would misread it. */
    private const FORMAT = 1;

    /** Columns of an edition's row that a replica has as well. */
    private const EDITION = ['id', 'file', 'bytes', 'products', 'variants', 'terms', 'seconds', 'again_of', 'created_at'];

    /** Settings that are nobody's business where the shop is served: who gets reports, and what happens by itself. */
    private const OF_THE_DESK = ['reports_to', 'reports_at', 'publishes', 'loss', 'days'];

    /**
     * @param  array<string, mixed>  $edition  its row, by column, as it is stored
     * @param  string  $digest  SHA-256 of its file, in hexadecimal digits
     * @param  string|null  $live  SHA-256 of the file of what was said since; null where nothing was
     * @param  array<string, mixed>  $settings  what managers have said of the shop
     * @param  list<array<string, mixed>>  $tokens  rows, by column: id, name, hash, expires_at
     * @param  list<string>  $pictures
     * @param  string  $seal  what replicas of one catalog seal with, so that a shopper may go from one to the other
     */
    private function __construct(
        public array $edition,
        public string $digest,
        public ?string $live,
        public array $settings,
        public array $tokens,
        public array $pictures,
        public string $seal,
    ) {
    }

    /** @throws Refused where nothing is served */
    public static function of(Served $served): self
    {
        $edition = $served->edition ?? throw new Refused($served->problem ?? 'There is no edition yet.');
        $path = Edition::directory()."/{$edition->file}";
        $live = LivePrices::file($path);

        return new self(
            array_intersect_key($edition->getAttributes(), array_flip(self::EDITION)),
            self::digestOf($edition),
            is_file($live) ? (string) hash_file('sha256', $live) : null,
            array_diff_key(Setting::query()->first()->said ?? [], array_flip(self::OF_THE_DESK)),
            array_values(
                Token::query()
                    ->orderBy('id')
                    ->get()
                    ->map(fn (Token $token): array => array_intersect_key(
                        $token->getAttributes(),
                        array_flip(['id', 'name', 'hash', 'expires_at']),
                    ))
                    ->all(),
            ),
            array_map(basename(...), glob(Pictures::path('*.webp')) ?: []),
            hash_hmac('sha256', 'replicas', (string) config('app.key')),
        );
    }

    /** SHA-256 of an edition's file, which never changes: reading a gigabyte takes seconds. */
    public static function digestOf(Edition $edition): string
    {
        return Cache::rememberForever(
            "digest:{$edition->file}:{$edition->bytes}",
            fn (): string => (string) hash_file('sha256', Edition::directory()."/{$edition->file}"),
        );
    }

    /**
     * @param  array<mixed>  $document
     *
     * @throws Refused for one that this version of Lokum does not understand
     */
    public static function read(array $document): self
    {
        $list = fn (string $key): array => is_array($document[$key] ?? null) ? $document[$key] : [];
        $text = fn (string $key): string => is_string($document[$key] ?? null) ? $document[$key] : '';
        $edition = array_intersect_key($list('edition'), array_flip(self::EDITION));
        if (
            ($document['format'] ?? null) !== self::FORMAT ||
            count($edition) !== count(self::EDITION) ||
            preg_match('/^edition-[\d-]+[a-f0-9]{8}\.sqlite$/D', (string) $edition['file']) !== 1
        ) {
            throw new Refused(
                'What came is no list of an edition that this version of Lokum understands. Update both machines to the same one.',
            );
        }

        return new self(
            $edition,
            $text('digest'),
            $text('live') ?: null,
            $list('settings'),
            array_values(array_filter($list('tokens'), is_array(...))),
            array_values(
                array_filter(
                    $list('pictures'),
                    fn (mixed $name): bool => is_string($name) && preg_match(Pictures::NAME, $name) === 1,
                ),
            ),
            $text('seal'),
        );
    }

    /** @return array<string, mixed> as read() takes it */
    public function toArray(): array
    {
        return ['format' => self::FORMAT] + get_object_vars($this);
    }

    /** Other whenever something in it is. */
    public function tag(): string
    {
        return hash('xxh128', (string) json_encode($this->toArray()));
    }

    public function file(): string
    {
        return (string) $this->edition['file'];
    }
}
