<?php

declare(strict_types=1);

namespace App\Publishing;

use App\History\Acting;
use App\Support\Progress;
use App\Support\Refused;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/** Publishes in the background, and tells how far it is. */
final class RunPublishing implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 7000;

    public function __construct(private readonly ?int $user)
    {
    }

    public static function progress(): Progress
    {
        return new Progress('publishing');
    }

    public function handle(Publish $publish): void
    {
        $progress = self::progress();
        try {
            Acting::for($this->user, fn () => $publish(fn (string $what, float $share) => $progress->report($what, 0, $share)));
            $progress->end();
        } catch (Throwable $why) {
            $this->fail($why);
        }
    }

    public function failed(?Throwable $why): void
    {
        self::progress()->stop(
            $why instanceof Refused
                ? $why->getMessage()
                : 'Publishing stopped before it was done. Shoppers still see the edition before. Try again; the newest log in '.
                    'storage/logs says more.',
        );
    }
}
