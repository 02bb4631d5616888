<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** Bits that are set one by one, in any order, and stored as {@see StoredBits} has them; however many, it needs no more than the bitmap. */
final class BitWriter
{
    /** @var array<int, true> as long as they are few */
    private array $few = [];

    private ?string $bitmap = null;

    /** @param  int  $bytes  of the whole bitmap, a multiple of 8 */
    public function __construct(private readonly int $bytes)
    {
    }

    /** @return bool whether it was not set before */
    public function set(int $bit): bool
    {
        if ($this->bitmap === null) {
            $isNew = ! isset($this->few[$bit]);
            $this->few[$bit] = true;
            if (! StoredBits::isList(count($this->few), $this->bytes)) {
                $this->bitmap = StoredBits::bitmap(array_keys($this->few), $this->bytes);
                $this->few = [];
            }

            return $isNew;
        }
        $byte = $this->bitmap[$bit >> 3];
        $mask = StoredBits::MASKS[$bit & 7];
        $this->bitmap[$bit >> 3] = $byte | $mask;

        return ($byte & $mask) === "\0";
    }

    /** As StoredBits::encode() gives it for the same bits in rising order. */
    public function stored(): string
    {
        ksort($this->few);

        return $this->bitmap === null ? StoredBits::encode(array_keys($this->few), $this->bytes) : "b{$this->bitmap}";
    }
}
