<?php

declare(strict_types=1);

namespace App\Console;

final class UndoCommand extends Command
{
    protected $signature = 'undo';
}
