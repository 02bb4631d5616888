<?php

declare(strict_types=1);

namespace Lokum\Lens;

use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;

/** Texts that are measures of one kind, brought to the unit that most of them are written in. */
final readonly class Measures
{
    /** @param  array<int, float>  $numbers  in the unit, by the place of their text */
    private function __construct(public array $numbers, public string $unit)
    {
    }

    /**
     * Those of the kind that most of the texts are.
     *
     * @param  array<int, string>  $texts
     */
    public static function among(array $texts): self
    {
        $kinds = [];
        $units = [];
        foreach ($texts as $i => $text) {
            try {
                $quantity = MeasureText::read($text);
            } catch (UnreadableQuantity) {
                continue;
            }
            if ($quantity instanceof Quantity) {
                $kind = $quantity->unit instanceof Unit ? (string) json_encode($quantity->unit->powers) : '';
                $kinds[$kind][$i] = $quantity;
                $units[$kind][$quantity->unit->symbol ?? ''] = ($units[$kind][$quantity->unit->symbol ?? ''] ?? 0) + 1;
            }
        }
        if ($kinds === []) {
            return new self([], '');
        }
        uasort($kinds, fn (array $a, array $b): int => count($b) <=> count($a));
        $kind = array_key_first($kinds);
        arsort($units[$kind]);
        $symbol = array_key_first($units[$kind]);
        $unit = $symbol === '' ? null : Unit::of($symbol);

        return new self(
            array_map(fn (Quantity $one): float => ($unit === null ? $one : $one->to($unit))->float(), $kinds[$kind]),
            $symbol,
        );
    }
}
