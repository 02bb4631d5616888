<?php

declare(strict_types=1);

namespace App\Console;

use App\Support\Refused;
use Lokum\Quantity\Dimensions;
use Lokum\Quantity\MeasureText;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\QuantityRange;
use Lokum\Quantity\Unit;
use Lokum\Quantity\UnreadableQuantity;

final class QuantityCommand extends Command
{
    protected $signature = 'quantity {text : a measure as somebody writes it}
        {--to= : unit to turn it into}
        {--json : answer with one JSON document}';

    protected $description = 'Reads a measure, and turns it into another unit';

    public function handle(): int
    {
        try {
            $unit = $this->option('to') === null ? null : Unit::of($this->textOption('to'));
            $measure = MeasureText::read($this->text('text'));
            $quantities = match (true) {
                $measure instanceof Quantity => [$measure],
                $measure instanceof QuantityRange => [$measure->from, $measure->to],
                $measure instanceof Dimensions => $measure->sides,
            };
            $quantities =
                $unit === null ? $quantities : array_map(fn (Quantity $quantity): Quantity => $quantity->to($unit), $quantities);
            $numbers = array_map(fn (Quantity $quantity): float => $quantity->float(), $quantities);
        } catch (UnreadableQuantity $why) {
            throw new Refused(ucfirst($why->getMessage()).'.');
        }
        $value = match (true) {
            $measure instanceof Quantity => $numbers[0],
            $measure instanceof QuantityRange => ['from' => $numbers[0], 'to' => $numbers[1]],
            $measure instanceof Dimensions => $numbers,
        };
        $shown = $quantities[0]->unit;

        return $this->answer(
            ['value' => $value, 'unit' => $shown?->symbol, 'ucum' => $shown?->ucum],
            [
                implode($measure instanceof QuantityRange ? ' – ' : ' × ', array_map(strval(...), $numbers)).
                ($shown === null ? '' : ' '.$shown->symbol),
            ],
        );
    }
}
