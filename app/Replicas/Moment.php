<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Models\Edition;

/** When an edition began to be served, by which two of them are told apart on any machine: seconds since 1970, and its number. */
final readonly class Moment
{
    /** edition, revision and signature: 12.345.0f3a… */
    private const KEPT = '/^(\d{1,12})\.(\d{1,9})\.([a-f0-9]{32})$/D';

    private function __construct(private int $second, private int $number)
    {
    }

    public static function of(Edition $edition): self
    {
        return new self((int) $edition->created_at->getTimestamp(), $edition->id);
    }

    /** @param  array<string, mixed>  $row  of an edition, as it is stored */
    public static function ofRow(array $row): self
    {
        return self::of((new Edition())->setRawAttributes($row));
    }

    public function isBefore(self $other): bool
    {
        return [$this->second, $this->number] < [$other->second, $other->number];
    }

    /** For a shopper to keep: nobody can make one without the seal. */
    public function sealed(string $seal): string
    {
        $said = "{$this->second}.{$this->number}";

        return "{$said}.".self::mac($said, $seal);
    }

    /** Null for what was not sealed with it. */
    public static function unsealed(string $kept, string $seal): ?self
    {
        if (preg_match(self::KEPT, $kept, $parts) !== 1) {
            return null;
        }
        $isOurs = $seal !== '' && hash_equals(self::mac("{$parts[1]}.{$parts[2]}", $seal), $parts[3]);

        return $isOurs ? new self((int) $parts[1], (int) $parts[2]) : null;
    }

    private static function mac(string $said, string $seal): string
    {
        return substr(hash_hmac('sha256', $said, $seal), 0, 32);
    }
}
