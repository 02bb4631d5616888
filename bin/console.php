<?php

declare(strict_types=1);

/* The command line behind bin/lokum: Lokum's own commands and nothing else. */

use App\Console\CommandLine;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';

CommandLine::whenStopped();
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

exit(CommandLine::run($app));
