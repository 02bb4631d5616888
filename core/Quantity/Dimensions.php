<?php

declare(strict_types=1);

namespace Lokum\Quantity;

/** Two or three lengths that belong together, in one unit: 20 x 30 cm. */
final readonly class Dimensions
{
    /** @param  non-empty-list<Quantity>  $sides */
    public function __construct(public array $sides)
    {
    }
}
