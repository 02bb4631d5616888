<?php

declare(strict_types=1);

namespace Lokum\Quantity;

use Brick\Math\BigRational;

/** All units that have a name of their own, by every way to write them. */
final class UnitTable
{
    private const PREFIXES = [
        'n' => ['nano', '1/1000000000'],
        'µ' => ['micro', '1/1000000'],
        'm' => ['milli', '1/1000'],
        'c' => ['centi', '1/100'],
        'd' => ['deci', '1/10'],
        'h' => ['hecto', '100'],
        'k' => ['kilo', '1000'],
        'M' => ['mega', '1000000'],
        'G' => ['giga', '1000000000'],
        'T' => ['tera', '1000000000000'],
    ];

    /** Single letters that people also write in the other case. Of the rest the case tells units apart: 4H is a pencil, not four hours. */
    private const EITHER_CASE = ['g', 'l'];

    private static ?self $table = null;

    /** @var array<string, Unit> by symbol, the plain unit before its prefixed ones */
    private array $units = [];

    /** @var array<string, Unit> */
    private array $names = [];

    /** @var array<string, Unit> by names in lower case, where that is one unit only or the first of them */
    private array $folded = [];

    /** @var array<string, string> */
    private array $composed;

    private function __construct()
    {
        /** @var array<string, array{0: array<string, int>, 1: string, 2: string, 3: string, 4: list<string>, 5?: string}> $rows */
        $rows = require __DIR__.'/units.php';
        foreach ($rows as $symbol => [$powers, $factor, $ucum, $prefixes, $names]) {
            ksort($powers);
            $plain = BigRational::of($factor);
            $this->add(
                new Unit($symbol, $powers, $plain, $ucum, isset($rows[$symbol][5]) ? BigRational::of($rows[$symbol][5]) : null),
                $names,
            );
            foreach (mb_str_split($prefixes) as $prefix) {
                [$word, $times] = self::PREFIXES[$prefix];
                $long = array_map(
                    fn (string $name): string => $word.$name,
                    array_values(array_filter($names, fn (string $name): bool => mb_strlen($name) > 3)),
                );
                $this->add(
                    new Unit($prefix.$symbol, $powers, $plain->multipliedBy($times), ($prefix === 'µ' ? 'u' : $prefix).$ucum),
                    [...$long, ...$prefix === 'µ' ? ['u'.$symbol, 'μ'.$symbol] : []],
                );
            }
        }
        /** @var array<string, string> $composed */
        $composed = require __DIR__.'/unit-names.php';
        $this->composed = $composed;
        $this->names += [
            'micron' => $this->units['µm'],
            'microns' => $this->units['µm'],
            'kilo' => $this->units['kg'],
            'kilos' => $this->units['kg'],
        ];
    }

    /** The table that ships, read once. */
    public static function get(): self
    {
        return self::$table ??= new self();
    }

    /** The unit of a name, symbol or code in any case that is no ambiguity (UCUM, UN/ECE Recommendation 20); null for none. */
    public function named(string $text): ?Unit
    {
        $plain = rtrim($text, '.');
        $small = mb_strtolower($plain);
        $composed = $this->composed[$text] ?? (strlen($plain) > 1 ? $this->composed[$small] ?? null : null);
        $named = $this->names[$text] ?? ($this->names[$plain] ?? ($composed === null ? null : Unit::find($composed)));

        return $named ?? ($this->folded[$small] ?? null);
    }

    /** @return list<string> */
    public function symbols(): array
    {
        return array_keys($this->units);
    }

    /** @param  list<string>  $names */
    private function add(Unit $unit, array $names): void
    {
        $this->units[$unit->symbol] = $unit;
        foreach ([$unit->symbol, $unit->ucum, ...$names] as $name) {
            $this->names[$name] ??= $unit;
            $folded = mb_strtolower($name);
            if (mb_strlen($name) > 1 || in_array($folded, self::EITHER_CASE, true)) {
                $this->folded[$folded] ??= $unit;
            }
        }
    }
}
