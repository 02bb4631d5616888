<?php

declare(strict_types=1);

namespace App\Console;

final class DemoCommand extends Command
{
    protected $signature = 'demo';
}
