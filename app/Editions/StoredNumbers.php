<?php

declare(strict_types=1);

namespace App\Editions;

use Lokum\Facet\Carriers;
use Lokum\Facet\Layout;
use Lokum\Facet\ProductSet;
use Lokum\Facet\RankedNumbers;
use Lokum\Facet\SlicedNumbers;
use Lokum\Facet\StoredBits;
use Lokum\Facet\VariantSet;

/** Numbers of a field as files keep them: the distinct ones in eight bytes each, bits for who has one, and for each digit of its rank. */
final class StoredNumbers
{
    /**
     * @param  string  $numbers  as {@see self::packed()} writes them
     * @param  string  $present  bits of who has a number
     * @param  list<string>  $slices  bits of each digit, lowest first
     * @return SlicedNumbers<ProductSet>|SlicedNumbers<VariantSet> all bits are of the same level
     */
    public static function read(string $numbers, string $present, array $slices, Layout $layout, bool $ofProducts): SlicedNumbers
    {
        $decode = fn (string $bits): Carriers => StoredBits::carriers($bits, $layout, $ofProducts);

        /** @var SlicedNumbers<ProductSet>|SlicedNumbers<VariantSet> */
        return new SlicedNumbers(
            self::unpacked($numbers),
            $decode($present),
            array_map($decode, $slices),
        );
    }

    /** @return list<float> */
    public static function unpacked(string $numbers): array
    {
        /** @var list<float> */
        return $numbers === '' ? [] : array_values((array) unpack('e*', $numbers));
    }

    public static function packed(RankedNumbers $ranked): string
    {
        return implode('', array_map(fn (array $some): string => pack('e*', ...$some), array_chunk($ranked->numbers, 10_000)));
    }
}
