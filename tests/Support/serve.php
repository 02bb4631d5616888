<?php

declare(strict_types=1);

/* Serves the catalog in LOKUM_DATA with the demo's people, as `bin/lokum demo` does, whatever is in it. */

use App\Access\DemoAccount;
use App\Console\Server;
use App\Data\Setup;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';

(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();
Setup::ensure();
DemoAccount::createAll();
exit(Server::run((int) $argv[1], true, fn () => null));
