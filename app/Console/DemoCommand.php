<?php

declare(strict_types=1);

namespace App\Console;

use App\Access\DemoAccount;
use App\Support\Refused;
use Demo\DemoShop;
use Demo\Nights;
use Demo\Suppliers;
use Illuminate\Support\Facades\DB;

final class DemoCommand extends Command
{
    protected $signature = 'demo {--port=8080 : where the pages are served}
        {--fresh : throw the shop that is there away and build it anew}
        {--nights= : let so many nights pass, in which the suppliers deliver and Lokum works by itself}
        {--no-serve : build it, and serve nothing}';

    protected $description = 'Builds the demo shop where it is missing, and serves it';

    public function handle(): int
    {
        if (! DemoAccount::own()) {
            throw new Refused(
                'The catalog in '.
                    config('lokum.data').
                    ' is not the demo\'s, so the demo stays out of it. Choose another directory with LOKUM_DATA.',
            );
        }
        if ($this->option('fresh') && DemoShop::isBuilt()) {
            $this->startOver();
        }
        if (! DemoShop::isBuilt()) {
            $this->line('Building Quillmoor Art Supply …');
            $this->laravel->make(DemoShop::class)->build(fn (string $what) => $this->line("  {$what}"));
        }
        $port = (int) $this->option('port');
        $suppliers = $this->laravel->make(Suppliers::class);
        $suppliers->settle($port + 1);
        if ($this->option('nights') !== null) {
            $server = Suppliers::serve($port + 1);
            $this->laravel->make(Nights::class)->pass(
                max(1, min(60, (int) $this->textOption('nights'))),
                fn (string $what) => $this->line("  {$what}"),
            );
            $server->stop(1);
        }
        if ($this->option('no-serve')) {
            return self::SUCCESS;
        }
        $server = Suppliers::serve($port + 1);
        DemoAccount::createAll();
        $account = DemoAccount::all()[0];

        return Server::run(
            $port,
            true,
            fn (string $address) => $this->line(
                "\nLokum's demo is at {$address}\n".
                "Sign in as {$account->email} with {$account->password}\nThe storefront is at {$address}/shop. Ctrl C stops it.\n",
            ),
        );
    }

    /** Only a shop that this command built comes here, never a catalog of the user's own. */
    private function startOver(): void
    {
        DB::purge('catalog');
        DB::purge('runtime');
        foreach (
            [
                'catalog.sqlite',
                'catalog.sqlite-wal',
                'catalog.sqlite-shm',
                'runtime.sqlite',
                'runtime.sqlite-wal',
                'runtime.sqlite-shm',
                'schema',
            ] as $file
        ) {
            @unlink(config('lokum.data').'/'.$file);
        }
        foreach (glob(config('lokum.data').'/{feeds,inbox,inbox/taken,editions,suppliers}/*', GLOB_BRACE) ?: [] as $file) {
            @unlink($file);
        }
        \App\Data\Setup::ensure();
    }
}
