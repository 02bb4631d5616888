<?php

declare(strict_types=1);

namespace App\Console;

final class PublishCommand extends Command
{
    protected $signature = 'publish';
}
