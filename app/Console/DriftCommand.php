<?php

declare(strict_types=1);

namespace App\Console;

final class DriftCommand extends Command
{
    protected $signature = 'drift';
}
