<?php

declare(strict_types=1);

/* The command line behind bin/lokum: Lokum's own commands and nothing else. */

use App\Console\CommandLine;

require __DIR__.'/../vendor/autoload.php';

CommandLine::whenStopped();
exit(CommandLine::run(require __DIR__.'/../bootstrap/app.php'));
