<?php

declare(strict_types=1);

namespace App\Console;

use App\Data\Backup;
use App\Support\Format;

final class BackupCommand extends Command
{
    protected $signature = 'backup {directory : a new directory for the copy}
        {--json : answer with one JSON document}';

    protected $description = 'Copies the whole catalog, while it is in use';

    public function handle(): int
    {
        $directory = $this->text('directory');
        $made = Backup::make($directory);

        return $this->answer($made + ['directory' => $directory], [
            number_format($made['files']).' files, '.Format::bytes($made['bytes'])." in {$directory}; checked",
        ]);
    }
}
