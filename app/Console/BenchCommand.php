<?php

declare(strict_types=1);

namespace App\Console;

final class BenchCommand extends Command
{
    protected $signature = 'bench';
}
