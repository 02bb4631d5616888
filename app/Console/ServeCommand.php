<?php

declare(strict_types=1);

namespace App\Console;

final class ServeCommand extends Command
{
    protected $signature = 'serve';
}
