<?php

declare(strict_types=1);

namespace App\Feeds;

/** What a row of a delivery does to the catalog, as temp.staged_rows keeps it. */
enum RowChange: int
{
    case None = 0;
    case Changed = 1;
    case New = 2;
}
