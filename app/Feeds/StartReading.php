<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;
use App\Models\Heading;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Support\Progress;
use Illuminate\Support\Facades\Auth;

/** How readings begin and how those end that came to nothing. */
final class StartReading
{
    /** A file that is read at once, not by the worker. */
    public static function atOnce(string $path, string $feed): Reading
    {
        return self::with($path, basename($path), $feed, ReadingState::Reading);
    }

    /** A file that somebody is to look at first. */
    public static function later(string $path, string $name, string $feed): Reading
    {
        return self::with($path, $name, $feed, ReadingState::Received);
    }

    private static function with(string $path, string $name, string $feed, ReadingState $state): Reading
    {
        return Reading::query()->create([
            'feed_id' => Feed::query()->firstOrCreate(['name' => $feed])->id,
            'user_id' => Auth::id(),
            'file_name' => mb_scrub(mb_strimwidth($name, 0, 200)),
            'path' => FeedFile::keep($path),
            'bytes' => (int) filesize($path),
            'state' => $state,
            'figures' => null,
            'message' => null,
            'finished_at' => null,
        ]);
    }

    /** It was refused, and nothing of it stays. */
    public static function abandon(Reading $reading): void
    {
        @unlink(FeedFile::kept($reading->path));
        $reading->delete();
        Feed::query()
            ->whereKey($reading->feed_id)
            ->whereNull('source')
            ->whereDoesntHave('readings')
            ->whereNotIn('id', Item::table()->whereNotNull('feed_id')->select('feed_id'))
            ->whereNotIn('id', Heading::table()->select('feed_id'))
            ->delete();
    }

    /** Says of readings that are under way and held by nobody any more that they broke off. */
    public static function noteBrokenOff(): void
    {
        foreach (Reading::query()->whereIn('state', [ReadingState::Checking, ReadingState::Reading])->get() as $reading) {
            if (ReadingLock::isLost($reading)) {
                // What was written was written with its state, in one step.
                Reading::query()
                    ->whereKey($reading->id)
                    ->whereNot('state', ReadingState::Done)
                    ->update([
                        'state' => ReadingState::Failed,
                        'message' => 'It was broken off before it was done, and nothing was written. Do it again.',
                    ]);
                ReadingLock::forget($reading);
                (new Progress('reading:'.$reading->id))->end();
            }
        }
    }
}
