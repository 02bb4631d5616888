<?php

declare(strict_types=1);

namespace App\Console;

final class MergeCommand extends Command
{
    protected $signature = 'merge';
}
