<?php

declare(strict_types=1);

namespace Lokum\Facet;

/** How the picks of one filter work together (C6). */
enum Combine: string
{
    case Any = 'any';
    case All = 'all';
    /** One pick at a time: another pick replaces it. */
    case One = 'one';
}
