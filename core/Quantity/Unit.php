<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigRational;

/** A unit of measure with its exact factor (and, for temperatures, offset) to the bases of its dimension. */
final readonly class Unit
{
    /**
     * @param  array<string, int>  $powers  of the bases, none of them 0
     * @param  BigRational  $factor  base = (number + offset) × factor
     * @param  string  $ucum  its code in the Unified Code for Units of Measure
     */
    public function __construct(
        public string $symbol,
        public array $powers,
        public BigRational $factor,
        public string $ucum,
        public ?BigRational $offset = null,
    ) {
    }

    /** @throws UnreadableQuantity when nobody has told Lokum about it */
    public static function of(string $text): self
    {
        return self::find($text) ?? throw UnreadableQuantity::unknownUnit($text);
    }

    /** A unit by its symbol, a name, its UCUM code or its code in UN/ECE Recommendation 20; composed ones such as g/cm³ too. */
    public static function find(string $text): ?self
    {
        $text = trim((string) preg_replace('/[\s\p{Z}]+/u', ' ', $text));

        return UnitTable::get()->named($text) ?? ComposedUnit::find($text);
    }

    /** @return list<string> the symbols, for lists to choose from */
    public static function symbols(): array
    {
        return [...UnitTable::get()->symbols(), 'g/m²', 'm²', 'cm²', 'cm³', 'm³'];
    }

    /** The unit of the same dimension whose factor is 1. */
    public function base(): self
    {
        return new self('', $this->powers, BigRational::one(), '');
    }

    /** Whether quantities in it can be told in the other: both measure the same. */
    public function converts(self $other): bool
    {
        return $this->powers === $other->powers;
    }

    /** From this unit's number to the other's, exactly. */
    public function convert(BigRational $number, self $to): BigRational
    {
        $base = ($this->offset === null ? $number : $number->plus($this->offset))->multipliedBy($this->factor);
        $there = $base->dividedBy($to->factor);

        return $to->offset === null ? $there : $there->minus($to->offset);
    }
}
