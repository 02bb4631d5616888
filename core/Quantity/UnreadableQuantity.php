<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use RuntimeException;

/** A text that is not a quantity; the message says why, for the person who has to mend it. */
final class UnreadableQuantity extends RuntimeException
{
    public static function notANumber(string $text): self
    {
        return new self(sprintf('"%s" is not a number', mb_strimwidth($text, 0, 60, '…')));
    }

    public static function tooLarge(string $text): self
    {
        return new self(sprintf('"%s" is too large for a number', mb_strimwidth($text, 0, 60, '…')));
    }

    public static function unknownUnit(string $unit): self
    {
        return new self(sprintf('the unit "%s" is not known', mb_strimwidth($unit, 0, 40, '…')));
    }

    public static function otherDimension(string $unit, string $wanted): self
    {
        return new self("\"{$unit}\" cannot be turned into {$wanted}");
    }

    public static function needsUnit(string $unit): self
    {
        return new self("it has the unit \"{$unit}\", and this field has none");
    }

    public static function hasNoUnit(string $wanted): self
    {
        return new self("it has no unit that could be turned into {$wanted}");
    }

    public static function several(string $text, QuantityRange|Dimensions $measure): self
    {
        return new self(
            sprintf(
                $measure instanceof QuantityRange
                    ? '"%s" is a range, and this field takes one number'
                    : '"%s" is several lengths, and this field takes one number',
                mb_strimwidth($text, 0, 60, '…'),
            ),
        );
    }

    public static function manyNumbers(string $text): self
    {
        return new self(sprintf('"%s" has several numbers, and only lengths go together', mb_strimwidth($text, 0, 60, '…')));
    }

    public static function backwards(string $text): self
    {
        return new self(sprintf('"%s" is a range that runs backwards', mb_strimwidth($text, 0, 60, '…')));
    }
}
