<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\ReadingFigures;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Run;
use Illuminate\Support\Carbon;
use Lokum\Feed\Bounds;
use Lokum\Feed\DeliveryFigures;

/** The bounds of a feed: as somebody has said them, else proposed from what it has sent. */
final class FeedBounds
{
    private const PAST = 12;

    public static function of(Feed $feed): Bounds
    {
        return $feed->bounds === null ? self::proposed($feed) : Bounds::from($feed->bounds);
    }

    /** Those that hold for a delivery that comes now: proposed ones grow with the deliveries that came to nothing. */
    public static function now(Feed $feed): Bounds
    {
        return $feed->bounds === null ? self::proposed($feed)->after(self::missed($feed)) : self::of($feed);
    }

    private static function missed(Feed $feed): int
    {
        $day = fn (Carbon $time): int => intdiv($time->getTimestamp(), 86400);
        $read = $feed
            ->readings()
            ->where('state', ReadingState::Done)
            ->latest('id')
            ->limit(self::PAST)
            ->get()
            ->map(fn (Reading $reading): int => $day($reading->finished_at ?? $reading->created_at))
            ->all();
        $looked = Run::query()
            ->where('feed_id', $feed->id)
            ->where('started_at', '>=', Carbon::createFromTimestamp(max([0, ...$read]) * 86400))
            ->pluck('started_at')
            ->map($day)
            ->all();

        return Bounds::missed(array_values($read), array_values($looked), $day(now()));
    }

    public static function proposed(Feed $feed): Bounds
    {
        $past = $feed
            ->readings()
            ->where('state', ReadingState::Done)
            ->latest('id')
            ->limit(self::PAST)
            ->get()
            ->filter(fn (Reading $reading): bool => ($reading->figures['rows'] ?? null) !== null);
        $figures = array_values(
            $past->map(fn (Reading $reading): DeliveryFigures => ReadingFigures::judged($reading->figures ?? []))->all(),
        );
        // In the very first delivery all is new; it says nothing of the next but how many rows are usual.
        $later = count($figures) < self::PAST ? array_slice($figures, 0, -1) : $figures;

        return Bounds::proposed(
            $later === []
                ? array_map(fn (DeliveryFigures $one): DeliveryFigures => new DeliveryFigures($one->rows), $figures)
                : $later,
        );
    }
}
