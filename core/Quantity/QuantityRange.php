<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/** From one measure to another, both in the same unit: 10–12 cm. */
final readonly class QuantityRange
{
    public function __construct(public Quantity $from, public Quantity $to)
    {
    }
}
