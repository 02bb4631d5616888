<?php

declare(strict_types=1);

namespace App\Console;

final class CountsCommand extends Command
{
    protected $signature = 'counts';
}
