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

    /** Units of a shop's own that the table was made with. */
    private static string $own = '';

    /** @var array<string, Unit> by symbol, the plain unit before its prefixed ones */
    private array $units = [];

    /** @var array<string, Unit> */
    private array $names = [];

    /** @var array<string, Unit> by names in lower case, where that is one unit only or the first of them */
    private array $folded = [];

    /** @var array<string, string> */
    private array $composed;

    /** @param  list<OwnUnit>  $own */
    private function __construct(array $own = [])
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
        foreach ($own as $unit) {
            $this->have($unit);
        }
    }

    /**
     * From now on the table knows these, too, and forgets those of before.
     *
     * @param  string  $own  as {@see OwnUnit::read()} reads it
     *
     * @throws BadUnit for a unit that has the sign of one that is known, or is made of one that is not
     */
    public static function with(string $own): void
    {
        if ($own !== self::$own) {
            // Without any, the table is made when it is first asked: few pages ask.
            self::$table = $own === '' ? null : new self(OwnUnit::read($own));
            self::$own = $own;
        }
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

    /** @throws BadUnit */
    private function have(OwnUnit $own): void
    {
        $symbol = $own->names[0];
        foreach ($own->names as $name) {
            // A word for a unit may be taken for another; the sign of one may not.
            $known = $this->named($name);
            if ($known !== null && mb_strtolower($known->symbol) === mb_strtolower($name)) {
                throw BadUnit::called($symbol, "\"{$name}\" is known as {$known->symbol}");
            }
        }
        [$powers, $factor] = $own->measure === null ? [[$symbol => 1], BigRational::one()] : $this->measured($symbol, $own->measure);
        $unit = new Unit($symbol, $powers, $factor, "{{$symbol}}");
        foreach ($own->names as $name) {
            unset($this->names[$name], $this->folded[mb_strtolower($name)]);
        }
        $this->add($unit, $own->names);
    }

    /**
     * @return array{0: array<string, int>, 1: BigRational} the bases of a measure with their powers, and how much of them it is
     *
     * @throws BadUnit
     */
    private function measured(string $symbol, string $measure): array
    {
        try {
            [$number, $rest] = NumberText::leading($measure);
        } catch (UnreadableQuantity $why) {
            throw BadUnit::called($symbol, $why->getMessage());
        }
        $unit = $this->named($rest) ?? ComposedUnit::find($rest);
        if ($unit === null || $unit->offset !== null || ! $number->isPositive()) {
            throw BadUnit::called($symbol, "\"{$measure}\" is not a number with a unit that Lokum knows");
        }

        return [$unit->powers, $number->multipliedBy($unit->factor)];
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
