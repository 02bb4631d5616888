<?php

declare(strict_types=1);

namespace Lokum\Facet;

use GMP;

/**
 * Carriers as a byte each, all ones or all zeros, so that a column is narrowed to them by one operation on texts, which runs in C at
 * about a billion carriers a second.
 */
final class ByteMask
{
    /** A byte for each of the bits from $from on, $length of them. */
    public static function of(GMP $bits, int $from, int $length): string
    {
        $window = ($bits >> $from) & (gmp_pow(2, $length) - 1);

        return str_pad(strtr(strrev(gmp_strval($window, 2)), '01', "\0\xff"), $length, "\0");
    }

    /**
     * Where a column holds one of these numbers.
     *
     * @param  list<int>  $numbers  from 1 to 255
     */
    public static function holding(string $column, array $numbers): string
    {
        $to = str_repeat("\0", 256);
        foreach ($numbers as $number) {
            $to[$number] = "\xff";
        }

        return strtr($column, self::everyByte(), $to);
    }

    /** Where two columns hold the same number; as long as the first. */
    public static function equal(string $column, string $other): string
    {
        return strtr($column ^ $other, self::everyByte(), "\xff".str_repeat("\0", 255));
    }

    /** The carriers whose byte is not zero, as bits. */
    public static function bits(string $mask): GMP
    {
        return $mask === '' ? gmp_init(0) : gmp_init(strrev(strtr($mask, self::everyByte(), '0'.str_repeat('1', 255))), 2);
    }

    /** All bytes there are, in order. */
    private static function everyByte(): string
    {
        return pack('C*', ...range(0, 255));
    }
}
