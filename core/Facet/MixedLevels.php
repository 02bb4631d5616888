<?php

declare(strict_types=1);

namespace Lokum\Facet;

use LogicException;

/** Products and variants were combined without saying how; {@see Scope} is the place that may. */
final class MixedLevels extends LogicException
{
    /** Where a set of products and one of variants are put together as if they were one. */
    public static function met(): self
    {
        return new self('A set of products and a set of variants cannot be combined bit by bit.');
    }
}
