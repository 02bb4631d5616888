<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Catalog\Coverage;
use App\History\Acting;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Support\Progress;
use App\Support\Refused;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Auth;
use Lokum\Feed\ColumnMap;
use Throwable;

/** Checks or reads a file in the background, and tells how far it is. */
final class RunReading implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 7000;

    /** Who asked for it. */
    private readonly ?int $person;

    public function __construct(private readonly int $reading, private readonly ColumnMap $map, private readonly bool $check)
    {
        $person = Auth::id();
        $this->person = is_int($person) ? $person : null;
    }

    public function handle(ReadFeed $read, Coverage $coverage): void
    {
        $reading = Reading::query()->with('feed')->findOrFail($this->reading);
        $progress = new Progress('reading:'.$reading->id);
        $lock = ReadingLock::hold($reading);
        if ($lock === null || $reading->state === ReadingState::Done) {
            $lock?->release();

            return;
        }
        try {
            $figures = Acting::for(
                $this->person,
                fn (): ReadingFigures => $read(
                    FeedFile::ofReading($reading),
                    $reading->feed->name,
                    $this->map,
                    $this->check,
                    $progress->report(...),
                    $reading->takes_good_rows,
                    $reading,
                ),
            );
            if ($this->check) {
                $reading->update(['state' => ReadingState::Checked, 'figures' => $figures->toKeep(), 'message' => null]);
            } else {
                // Whoever opens the products next does not wait for it.
                $coverage->products();
                event(new DeliveryRead());
            }
        } catch (Throwable $why) {
            $this->fail($why);
        }
        $progress->end();
        $lock->release();
    }

    /** Whatever stopped it, nothing was written; the page says so instead of waiting forever. */
    public function failed(?Throwable $why): void
    {
        // One that was read stays read, whatever came behind it.
        Reading::query()
            ->whereKey($this->reading)
            ->whereNot('state', ReadingState::Done)
            ->update([
                'state' => ReadingState::Failed,
                'message' => $why instanceof Refused
                        ? $why->getMessage()
                        : 'It stopped before it was done, and nothing was written. Try again; if it stops again, the newest log '.
                            'in storage/logs says why.',
            ]);
    }
}
