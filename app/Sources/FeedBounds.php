<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\ReadingFigures;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
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
