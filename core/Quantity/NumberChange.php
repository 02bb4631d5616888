<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use InvalidArgumentException;

/** A change of many numbers at once, in exact decimals: raised or lowered by an amount or per cent, or rounded to a step. */
final readonly class NumberChange
{
    /** Digits kept behind the point. */
    private const SCALE = 12;

    private function __construct(private BigDecimal $times, private BigDecimal $plus, private ?BigDecimal $step)
    {
    }

    /** @param  string  $amount  such as 2.5 or -1, in the unit of the numbers */
    public static function by(string $amount): self
    {
        return new self(BigDecimal::one(), self::decimal($amount), null);
    }

    /** @param  string  $percent  such as 10 or -5 */
    public static function byPercent(string $percent): self
    {
        return new self(
            self::decimal($percent)
                ->dividedBy(100, self::SCALE + 6, RoundingMode::HALF_UP)
                ->plus(1),
            BigDecimal::zero(),
            null,
        );
    }

    /** @param  string  $step  a positive number; halves are rounded away from zero */
    public static function roundTo(string $step): self
    {
        return (new self(BigDecimal::one(), BigDecimal::zero(), null))->rounded($step);
    }

    /**
     * Rounded half up to a multiple of a step.
     *
     * @param  string  $step  a decimal number greater than 0; "0.5", "10"
     */
    public function rounded(string $step): self
    {
        $decimal = self::decimal($step);

        return $decimal->isPositive()
            ? new self($this->times, $this->plus, $decimal)
            : throw new InvalidArgumentException('A number is rounded to a step above 0.');
    }

    /** @param  float  $number  finite */
    public function of(float $number): string
    {
        $exact = BigDecimal::of($number)->multipliedBy($this->times)->plus($this->plus);
        if ($this->step !== null) {
            $exact = $exact->dividedBy($this->step, 0, RoundingMode::HALF_UP)->multipliedBy($this->step);
        }

        return (string) $exact->toScale(min($exact->getScale(), self::SCALE), RoundingMode::HALF_UP)->stripTrailingZeros();
    }

    private static function decimal(string $text): BigDecimal
    {
        return TypedNumber::read($text) === null
            ? throw new InvalidArgumentException(sprintf('"%s" is not a number.', mb_strimwidth($text, 0, 40, '…')))
            : BigDecimal::of(str_replace([',', "\u{2212}"], ['.', '-'], trim($text)));
    }
}
