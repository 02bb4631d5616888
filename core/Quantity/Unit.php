<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigRational;

/** A unit of measure with its exact factor to the base of its dimension. */
final readonly class Unit
{
    private function __construct(public string $symbol, public string $dimension, public BigRational $factor)
    {
    }

    /** @throws UnreadableQuantity when nobody has told Lokum about it */
    public static function of(string $text): self
    {
        return self::find($text) ?? throw UnreadableQuantity::unknownUnit($text);
    }

    public static function find(string $text): ?self
    {
        /** @var array<string, self>|null $known */
        static $known = null;
        $known ??= self::load();
        $text = trim((string) preg_replace('/[\s\p{Z}]+/u', ' ', $text));

        return $known[$text] ?? $known[mb_strtolower($text)] ?? $known[rtrim(mb_strtolower($text), '.')] ?? null;
    }

    /** @return list<string> the symbols, for lists to choose from */
    public static function symbols(): array
    {
        return array_keys(self::table());
    }

    /** @return array<string, array{0: string, 1: string, 2: list<string>}> */
    private static function table(): array
    {
        /** @var array<string, array{0: string, 1: string, 2: list<string>}> $table */
        $table = require __DIR__.'/units.php';

        return $table;
    }

    /** @return array<string, self> by every way to write it */
    private static function load(): array
    {
        $known = [];
        foreach (self::table() as $symbol => [$dimension, $factor, $others]) {
            $unit = new self($symbol, $dimension, BigRational::of($factor));
            foreach ([$symbol, mb_strtolower($symbol), ...$others] as $name) {
                $known[$name] ??= $unit;
            }
        }

        return $known;
    }
}
