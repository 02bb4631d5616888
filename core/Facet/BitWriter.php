<?php

declare(strict_types=1);

namespace Lokum\Facet;

/**
 * Bits that are set some by some, in any order, and stored as {@see StoredBits} has them; however many, it needs no more than the bitmap.
 */
final class BitWriter
{
    /** @var array<int, true> as long as they are few */
    private array $few = [];

    private ?string $bitmap = null;

    /** @param  int  $bytes  of the whole bitmap, a multiple of 8 */
    public function __construct(private readonly int $bytes)
    {
    }

    /**
     * @param  list<int>  $bits  each below eight times the bytes
     * @return list<int> those that were not set before, each once
     */
    public function set(array $bits): array
    {
        $new = [];
        foreach ($bits as $at => $bit) {
            if ($this->bitmap !== null) {
                return [...$new, ...$this->setInBitmap(array_slice($bits, $at))];
            }
            if (! isset($this->few[$bit])) {
                $this->few[$bit] = true;
                $new[] = $bit;
                $this->growIfMany();
            }
        }

        return $new;
    }

    /** Many are kept as a bitmap. */
    private function growIfMany(): void
    {
        if (! StoredBits::isList(count($this->few), $this->bytes)) {
            $this->bitmap = StoredBits::bitmap(array_keys($this->few), $this->bytes);
            $this->few = [];
        }
    }

    /**
     * @param  list<int>  $bits
     * @return list<int>
     */
    private function setInBitmap(array $bits): array
    {
        // Held by nobody else while it is written to, so that it is not copied.
        $bitmap = (string) $this->bitmap;
        $this->bitmap = null;
        $new = [];
        foreach ($bits as $bit) {
            $byte = $bitmap[$bit >> 3];
            $mask = StoredBits::MASKS[$bit & 7];
            if (($byte & $mask) === "\0") {
                $bitmap[$bit >> 3] = $byte | $mask;
                $new[] = $bit;
            }
        }
        $this->bitmap = $bitmap;

        return $new;
    }

    /** As StoredBits::encode() gives it for the same bits in rising order. */
    public function stored(): string
    {
        ksort($this->few);

        return $this->bitmap === null ? StoredBits::encode(array_keys($this->few), $this->bytes) : "b{$this->bitmap}";
    }
}
