<?php

declare(strict_types=1);

namespace App\Console;

final class DefineCommand extends Command
{
    protected $signature = 'define';
}
