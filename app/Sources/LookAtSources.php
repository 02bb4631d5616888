<?php

declare(strict_types=1);

namespace App\Sources;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Every minute: what has to happen by itself happens. One waits at most; one that is killed keeps no other from coming. */
final class LookAtSources implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 7000;

    public int $uniqueFor = 600;

    public function handle(RunDue $run, MailReport $mail): void
    {
        $run();
        $mail();
    }
}
