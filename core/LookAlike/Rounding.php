<?php

declare(strict_types=1);

namespace Lokum\LookAlike;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\UnreadableQuantity;

/** Whether two measures are one in two units, the one rounded to the digits that it is written with: 3.4 fl oz, 100 ml. */
final class Rounding
{
    /**
     * Whether that holds of two texts, in one order or the other. Texts that are no measures, or measures of other kinds, are not one.
     *
     * @param  string  $one  a number with its unit, as people write it
     * @param  int  $digits  that the rounded one has at least, without zeros before them
     */
    public static function areOne(string $one, string $other, int $digits = 1): bool
    {
        [$a, $b] = [self::read($one), self::read($other)];
        if ($a === null || $b === null) {
            return false;
        }
        // Of what is poured an ounce is a fluid one: 8 oz, 240 ml.
        [$first, $second] = [self::poured($a, $b, $one), self::poured($b, $a, $other)];

        return (self::digits($one) >= $digits && self::isRounded($first, $second, $one)) ||
            (self::digits($other) >= $digits && self::isRounded($second, $first, $other));
    }

    private static function digits(string $text): int
    {
        preg_match('/^\D*0*[.,]?0*(\d*)[.,]?(\d*)/', $text, $part);

        return strlen(($part[1] ?? '').($part[2] ?? ''));
    }

    private static function read(string $text): ?Quantity
    {
        try {
            $measure = MeasureText::read($text);
        } catch (UnreadableQuantity) {
            return null;
        }

        return $measure instanceof Quantity ? $measure : null;
    }

    private static function poured(Quantity $one, Quantity $other, string $text): Quantity
    {
        return $one->unit?->symbol === 'oz' && $other->unit !== null && ! $other->unit->converts($one->unit)
            ? self::read((string) preg_replace('/oz\.?$/i', 'fl oz', trim($text))) ?? $one
            : $one;
    }

    private static function isRounded(Quantity $rounded, Quantity $exact, string $written): bool
    {
        if ($rounded->unit === null || $exact->unit?->converts($rounded->unit) !== true) {
            return false;
        }
        preg_match('/[.,](\d+)/', $written, $part);
        $half = BigRational::of('1/2')->dividedBy(BigInteger::of(10)->power(strlen($part[1] ?? '')));

        return $exact->to($rounded->unit)->number->minus($rounded->number)->abs()->isLessThanOrEqualTo($half);
    }
}
