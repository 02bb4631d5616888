<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Feed;
use App\Sources\FeedBounds;
use App\Sources\Source;

final class FeedListCommand extends Command
{
    protected $signature = 'feed:list {--json : answer with one JSON document}';

    protected $description = 'All feeds: where their files come from, when, and within which bounds they are read by themselves';

    public function handle(): int
    {
        $feeds = Feed::query()->orderBy('name')->get();

        return $this->answer(
            ['feeds' => array_values($feeds->map(self::document(...))->all())],
            $feeds->isEmpty()
                ? ['There are no feeds yet.']
                : $feeds->map(
                    fn (Feed $feed): string => "{$feed->name}: ".Source::of($feed)->inWords().', '.($feed->times ?? 'when asked').'. '.
                        ($feed->by_itself ? FeedBounds::of($feed)->inWords() : 'Somebody reads it.'),
                )->all(),
        );
    }

    /** @return array<string, mixed> */
    public static function document(Feed $feed): array
    {
        return [
            'feed' => $feed->name,
            'source' => $feed->source,
            'times' => $feed->times,
            'by_itself' => $feed->by_itself,
            'bounds' => FeedBounds::of($feed)->toArray(),
            'whole' => $feed->whole,
            'gone' => $feed->gone->value,
            'leaves' => $feed->leaves ?? [],
            'failures' => $feed->failures,
            'looked_at' => $feed->looked_at?->toIso8601String(),
        ];
    }
}
