<?php

declare(strict_types=1);

namespace App\Console;

use App\Data\Backup;
use App\Data\Setup;
use Illuminate\Support\Facades\DB;

final class RestoreCommand extends Command
{
    protected $signature = 'restore {directory : a directory that backup has made}
        {--replace : move aside what is in the data directory}
        {--json : answer with one JSON document}';

    protected $description = 'Brings a catalog back from a copy, after checking that it is whole; stop Lokum first';

    public function handle(): int
    {
        DB::purge('catalog');
        DB::purge('runtime');
        $done = Backup::restore(
            $this->text('directory'),
            (string) config('lokum.data'),
            (bool) $this->option('replace'),
        );
        Setup::ensure(fn (string $what) => $this->components->info($what));

        return $this->answer($done, [
            number_format($done['files']).
            ' files are back in '.
            config('lokum.data').
            ($done['aside'] === null ? '' : "; what was there is in {$done['aside']}"),
        ]);
    }
}
