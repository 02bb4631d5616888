<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** Where the reading of a record stands, as to the quotes of its cell (RFC 4180). */
enum CellState
{
    case Begins;
    case Plain;
    case Quoted;
    /** Behind a quote that closes the cell, or is the first of two that mean one. */
    case Closing;
}
