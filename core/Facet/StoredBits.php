<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;

/**
 * Bitmaps as bytes. A dense one is stored as it is, bit i in byte i/8 from the lowest; a sparse one as the list of its
 * bits (32-bit little-endian numbers), which is far shorter for the many terms that few products carry.
 * The first byte says which: "b" bits, "l" list.
 */
final class StoredBits
{
    /** A list of its bits is kept only where it is shorter than the bitmap by this much: it takes longer to read. */
    private const LIST_BELOW = 64;

    /** Of a bit in its byte. */
    public const MASKS = ["\x01", "\x02", "\x04", "\x08", "\x10", "\x20", "\x40", "\x80"];

    /**
     * @param  list<int>  $bits  the bits that are set, in any order, each once or more
     * @param  int  $bytes  size of the whole bitmap, a multiple of 8
     */
    public static function encode(array $bits, int $bytes): string
    {
        return self::isList(count($bits), $bytes) ? 'l'.pack('V*', ...$bits) : 'b'.self::bitmap($bits, $bytes);
    }

    /** Whether so many bits are stored as a list of them. */
    public static function isList(int $bits, int $bytes): bool
    {
        return $bits * self::LIST_BELOW < $bytes;
    }

    /** Variants as they are, lane by lane. */
    public static function ofVariants(VariantSet $set, Layout $layout): string
    {
        $bytes = '';
        foreach ($set->lanes as $lane => $bits) {
            $length = ($layout->starts[$lane + 1] ?? $layout->bytes) - $layout->starts[$lane];
            $bytes .= str_pad(gmp_export($bits, 8, GMP_LSW_FIRST | GMP_NATIVE_ENDIAN), $length, "\0");
        }

        return $set->isEmpty() ? 'l' : "b{$bytes}";
    }

    /** The products of a bitmap with one bit a product. */
    public static function products(string $stored, Layout $layout): ProductSet
    {
        return new ProductSet(self::number(self::bytes($stored, $layout->productBytes())));
    }

    /** The variants of a bitmap that holds the lanes one behind the other. */
    public static function variants(string $stored, Layout $layout): VariantSet
    {
        $bytes = self::bytes($stored, $layout->bytes);
        $lanes = [];
        foreach ($layout->starts as $lane => $start) {
            $lanes[] = self::number(substr($bytes, $start, ($layout->starts[$lane + 1] ?? $layout->bytes) - $start));
        }

        return new VariantSet($lanes);
    }

    /** Either of these, as the attribute belongs to products or to variants. */
    public static function carriers(string $stored, Layout $layout, bool $ofProducts): Carriers
    {
        return $ofProducts ? self::products($stored, $layout) : self::variants($stored, $layout);
    }

    /**
     * The bitmap, however it is stored.
     *
     * @param  int  $bytes  of the whole bitmap, a multiple of 8
     */
    public static function asBitmap(string $stored, int $bytes): string
    {
        return self::bytes($stored, $bytes);
    }

    /** A bitmap as encode() stores its bits in rising order. */
    public static function ofBitmap(string $bitmap): string
    {
        $count = array_sum(array_map(
            fn (int $byte, int $times): int => substr_count(decbin($byte), '1') * $times,
            array_keys($bytes = count_chars($bitmap, 1)),
            $bytes,
        ));
        if (! self::isList($count, strlen($bitmap))) {
            return "b{$bitmap}";
        }
        $bits = [];
        for ($at = strspn($bitmap, "\0"); $at < strlen($bitmap); $at += 1 + strspn($bitmap, "\0", $at + 1)) {
            foreach (self::MASKS as $bit => $mask) {
                if (($bitmap[$at] & $mask) !== "\0") {
                    $bits[] = 8 * $at + $bit;
                }
            }
        }

        return self::encode($bits, strlen($bitmap));
    }

    private static function bytes(string $stored, int $bytes): string
    {
        if ($stored[0] === 'b') {
            return substr($stored, 1);
        }
        /** @var array<int, int> $bits */
        $bits = strlen($stored) === 1 ? [] : unpack('V*', $stored, 1);

        return self::bitmap($bits, $bytes);
    }

    /**
     * @param  array<int, int>  $bits  the bits that are set, in any order
     * @param  int  $bytes  size of the bitmap, a multiple of 8
     */
    public static function bitmap(array $bits, int $bytes): string
    {
        $string = str_repeat("\0", $bytes);
        foreach ($bits as $bit) {
            $string[$bit >> 3] = $string[$bit >> 3] | self::MASKS[$bit & 7];
        }

        return $string;
    }

    /** Word size 8 reads four times faster than 1; this holds where bytes are little-endian, as on x86 and ARM. */
    private static function number(string $bytes): GMP
    {
        return $bytes === '' ? gmp_init(0) : gmp_import($bytes, 8, GMP_LSW_FIRST | GMP_NATIVE_ENDIAN);
    }
}
