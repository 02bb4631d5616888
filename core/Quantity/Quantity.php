<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** One measure: an exact number with its unit, or none. Only what leaves Lokum is rounded, to the nearest double. */
final readonly class Quantity
{
    private const LARGEST = 1e15;

    /** Digits of a fraction that doubles divide without harm to the first of them. */
    private const EXACT_DIGITS = 24;

    public function __construct(public BigRational $number, public ?Unit $unit)
    {
    }

    /**
     * The number in a field's unit. A text without a unit is taken to be in the field's own.
     *
     * @param  string|null  $field  the unit of the field, null for a bare number; one that Lokum does not know is
     *                              matched by its letters alone
     *
     * @throws UnreadableQuantity
     */
    public static function in(?string $field, string $text): float
    {
        if ($field !== null && Unit::find($field) === null) {
            [$number, $rest] = NumberText::leading($text);

            return (new self(
                $rest === '' || $rest === $field ? $number : throw UnreadableQuantity::unknownUnit($rest),
                null,
            ))->float();
        }
        $measure = MeasureText::read($text);
        if (! ($measure instanceof self)) {
            throw UnreadableQuantity::several($text, $measure);
        }

        return ($measure->unit === null
            ? $measure
            : $measure->to($field === null ? throw UnreadableQuantity::needsUnit($measure->unit->symbol) : Unit::of($field))
        )->float();
    }

    /** @throws UnreadableQuantity for a unit of another dimension, or none to start from */
    public function to(Unit $unit): self
    {
        if ($this->unit === null) {
            throw UnreadableQuantity::hasNoUnit($unit->symbol);
        }
        if (! $this->unit->converts($unit)) {
            throw UnreadableQuantity::otherDimension($this->unit->symbol, $unit->symbol);
        }

        return $this->unit->symbol === $unit->symbol
            ? new self($this->number, $unit)
            : new self($this->unit->convert($this->number, $unit), $unit);
    }

    /**
     * The number as text, of any size: exact as a fraction, or rounded to the digits that count, as 2.54E+1.
     *
     * @param  int|null  $digits  2 to 15; null: exact
     */
    public function significant(?int $digits): string
    {
        $number = $this->number->simplified();
        if ($digits === null) {
            return (string) $number;
        }
        [$over, $under] = [(string) $number->getNumerator(), (string) $number->getDenominator()];
        if (strlen($over) + strlen($under) <= self::EXACT_DIGITS) {
            return sprintf('%.'.($digits - 1).'E', (float) $over / (float) $under);
        }
        $power = strlen(ltrim($over, '-')) - strlen($under) - $digits;
        do {
            $ten = BigRational::of(BigInteger::of(10)->power(abs($power)));
            $scaled = $power > 0 ? $number->dividedBy($ten) : $number->multipliedBy($ten);
            $rounded = $scaled->toScale(0, RoundingMode::HALF_EVEN)->toInt();
            $power++;
        } while (strlen((string) abs($rounded)) > $digits);

        return sprintf('%.'.($digits - 1).'fE%+d', $rounded / 10 ** ($digits - 1), $power - 1 + $digits - 1);
    }

    /**
     * The nearest double to the exact number.
     *
     * @throws UnreadableQuantity beyond 1e15, where whole numbers begin to blur
     */
    public function float(): float
    {
        $simple = $this->number->simplified();
        $float = $simple->getDenominator()->isEqualTo(1)
            ? $simple->getNumerator()->toFloat()
            : $simple->toScale(20 + strlen((string) $simple->getDenominator()), RoundingMode::HALF_EVEN)->toFloat();

        return abs($float) > self::LARGEST ? throw UnreadableQuantity::tooLarge((string) $float) : $float;
    }
}
