<?php

declare(strict_types=1);

namespace App\Console;

final class ValuesCommand extends Command
{
    protected $signature = 'values';
}
