<?php

declare(strict_types=1);

namespace App\Replicas;

/** How a replica stands with the machine that has the catalog: a small file in its data directory, whole at each moment. */
final readonly class ReplicaState
{
    private const FILE = 'replica.json';

    /** Touched when somebody has reason to believe that there is something new. */
    private const POKE = 'replica.poke';

    /**
     * @param  string  $tag  of the manifest that was taken last; empty before the first
     * @param  string  $seal  that what shoppers saw is sealed with
     * @param  int  $heard  seconds since 1970 when the other machine answered last; 0: never
     * @param  string|null  $problem  why the last try came to nothing
     */
    public function __construct(
        public string $tag = '',
        public string $seal = '',
        public int $heard = 0,
        public ?string $problem = null,
    ) {
    }

    /** Whether this process belongs to a replica. */
    public static function isReplica(): bool
    {
        return config('lokum.replica.from') !== '';
    }

    /** Whether the data directory is that of a replica. */
    public static function isKept(): bool
    {
        return is_file(self::path(self::FILE));
    }

    public static function read(): self
    {
        $said = json_decode((string) @file_get_contents(self::path(self::FILE)), true);
        $said = is_array($said) ? $said : [];

        return new self(
            (string) ($said['tag'] ?? ''),
            (string) ($said['seal'] ?? ''),
            (int) ($said['heard'] ?? 0),
            isset($said['problem']) ? (string) $said['problem'] : null,
        );
    }

    public function write(): void
    {
        $part = self::path(self::FILE).'.part';
        file_put_contents($part, json_encode(get_object_vars($this)));
        rename($part, self::path(self::FILE));
    }

    /** Seconds since the other machine answered; null: it never did. */
    public function silence(): ?int
    {
        return $this->heard === 0 ? null : max(0, time() - $this->heard);
    }

    /** Whether it was silent for longer than this replica is to serve what it has. */
    public function isGivenUp(): bool
    {
        $most = (int) config('lokum.replica.silence');

        return $most > 0 && ($this->silence() ?? INF) > $most;
    }

    /** The same, in words. */
    public function silent(): string
    {
        return 'The machine with the catalog '.
            ($this->heard === 0 ? 'was never heard of.' : "was not heard of for {$this->silence()} seconds.");
    }

    /** Has whoever follows look at once. */
    public static function poke(): void
    {
        @touch(self::path(self::POKE));
    }

    public static function isPoked(): bool
    {
        clearstatcache(true, self::path(self::POKE));
        if (! is_file(self::path(self::POKE))) {
            return false;
        }
        @unlink(self::path(self::POKE));

        return true;
    }

    private static function path(string $name): string
    {
        return config('lokum.data')."/{$name}";
    }
}
