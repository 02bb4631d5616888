<?php

declare(strict_types=1);

namespace App\Sources;

use App\History\Acting;
use App\Models\Feed;
use App\Models\User;
use App\Support\Refused;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/** Looks at one source in the background because somebody asks, whatever its times say. */
final class LookNow implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 7000;

    public function __construct(private readonly int $feed, private readonly ?int $person)
    {
    }

    public static function at(Feed $feed, ?User $person): void
    {
        RunFeed::progress($feed)->begin();
        self::dispatch($feed->id, $person?->id);
    }

    public function handle(RunDue $run): void
    {
        try {
            Acting::for($this->person, fn () => $run->feed(Feed::query()->findOrFail($this->feed)));
        } catch (Throwable $why) {
            $this->fail($why);
        }
    }

    public function failed(?Throwable $why): void
    {
        $feed = Feed::query()->find($this->feed);
        if ($feed !== null) {
            RunFeed::progress($feed)->stop(
                $why instanceof Refused ? $why->getMessage() : 'It stopped; the newest log in storage/logs says why.',
            );
        }
    }
}
