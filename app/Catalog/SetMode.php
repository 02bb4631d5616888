<?php

declare(strict_types=1);

namespace App\Catalog;

/** Whether given values replace what is there, or come to it. */
enum SetMode: string
{
    case Set = 'set';
    case Add = 'add';
}
