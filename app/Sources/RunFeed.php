<?php

declare(strict_types=1);

namespace App\Sources;

use App\Data\FileLock;
use App\Feeds\FeedFile;
use App\Feeds\MappingForm;
use App\Feeds\ReadFeed;
use App\Feeds\ReadingFigures;
use App\Feeds\ReadingLock;
use App\Feeds\StartReading;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Run;
use App\Models\RunState;
use App\Support\Refused;
use Throwable;

/**
 * Looks at a feed's source once: what is new is checked, and read where it is within the feed's bounds; else it is held with the
 * reasons. One run of a feed at a time; what was broken off is taken up again by the next.
 */
final readonly class RunFeed
{
    /** Failures in a row after which a source is left until somebody looks at it. */
    public const MOST_FAILURES = 10;

    private const REMEMBERED = 200;

    public function __construct(
        private ReadFeed $read,
        private TakeFromInbox $inbox,
        private TakeFromAddress $address,
        private TakeFromServer $server,
    ) {
    }

    /** @throws Refused when it is being looked at right now, or has no source */
    public function __invoke(Feed $feed): Run
    {
        $source = Source::of($feed);
        if ($source->kind === SourceKind::Hand) {
            throw new Refused("{$feed->name} has no source: somebody brings its files.");
        }
        $lock = FileLock::tryHold(config('lokum.data')."/feeds/source-{$feed->id}.lock") ??
            throw new Refused("The source of {$feed->name} is being looked at right now.");
        try {
            $this->noteBrokenOff($feed);
            $run = Run::query()->create(['feed_id' => $feed->id, 'state' => RunState::Running, 'started_at' => now()]);
            // A run that fails has been made all the same.
            self::note($feed, ['looked_at' => now()]);

            return $this->run($run, $feed, $source);
        } finally {
            $lock->release();
        }
    }

    private function run(Run $run, Feed $feed, Source $source): Run
    {
        try {
            $fetched = match ($source->kind) {
                SourceKind::Inbox => ($this->inbox)($feed, $source),
                SourceKind::Server => ($this->server)($feed, $source),
                default => ($this->address)($feed, $source),
            };
        } catch (Throwable $why) {
            return $this->fail($run, $feed, $why);
        }
        if ($fetched === null || $this->isKnown($feed, $fetched)) {
            $this->taken($feed, $fetched);

            return $this->end($run, RunState::Nothing, 'Nothing new has come.');
        }
        $reading = StartReading::later($fetched->path, $fetched->name, $feed->name);
        $run->update(['reading_id' => $reading->id]);
        $done = $this->judge($run, $feed, $reading);
        $this->taken($feed, $fetched);

        return $done;
    }

    private function judge(Run $run, Feed $feed, Reading $reading): Run
    {
        $lock = ReadingLock::hold($reading);
        $map = MappingForm::remembered($reading);
        $read = fn (bool $check): ReadingFigures => ($this->read)(
            FeedFile::ofReading($reading),
            $feed->name,
            $map,
            $check,
            fn () => null,
            true,
            $reading,
        );
        try {
            $reading->update(['state' => ReadingState::Checking]);
            $figures = $read(true)->toKeep();
            $reading->update(['state' => ReadingState::Checked, 'figures' => $figures]);
            MappingForm::remember($reading, $map);
            MappingForm::rememberChecked($reading, $map);
            $reasons = FeedBounds::now($feed)->exceededBy(ReadingFigures::judged($figures));
            if (! $feed->by_itself) {
                $reasons = ['nobody has said that it may be read by itself', ...$reasons];
            }
            if ($reasons !== []) {
                return $this->hold($run, $reading, $reasons);
            }
            $reading->update(['state' => ReadingState::Reading, 'takes_good_rows' => true]);
            $read(false);

            return $this->end($run, RunState::Read, ReadingWords::of($reading->refresh()));
        } catch (Refused $why) {
            // A file that cannot be read stays as it is, however often it is looked at.
            $reading->update(['state' => ReadingState::Failed, 'message' => $why->getMessage()]);

            return $this->hold($run, $reading, [lcfirst($why->getMessage())]);
        } catch (Throwable $why) {
            $reading->update(['state' => ReadingState::Failed, 'message' => 'It stopped before it was done, and nothing was written.']);

            return $this->fail($run, $feed, $why);
        } finally {
            $lock?->release();
        }
    }

    /** @param  non-empty-list<string>  $reasons */
    private function hold(Run $run, Reading $reading, array $reasons): Run
    {
        $reading->update(['held' => $reasons]);

        return $this->end($run, RunState::Held, 'Held: '.implode('; ', $reasons).'.');
    }

    private function fail(Run $run, Feed $feed, Throwable $why): Run
    {
        if (! ($why instanceof Refused)) {
            report($why);
        }
        self::note($feed, ['failures' => $feed->failures + 1]);
        $said = $why instanceof Refused ? $why->getMessage() : 'It stopped; the newest log in storage/logs says why.';

        return $this->end(
            $run,
            RunState::Failed,
            $said.($feed->failures >= self::MOST_FAILURES
                ? ' That was the '.self::MOST_FAILURES.'th time in a row: the source is left alone until somebody looks at it.'
                : ''),
        );
    }

    private function end(Run $run, RunState $state, string $said): Run
    {
        $run->update(['state' => $state, 'said' => mb_strimwidth($said, 0, 2000, '…'), 'finished_at' => now()]);

        return $run;
    }

    /** Each file is taken once, by what stands in it. */
    private function isKnown(Feed $feed, Fetched $fetched): bool
    {
        return isset($feed->seen["file {$fetched->digest()}"]);
    }

    private function taken(Feed $feed, ?Fetched $fetched): void
    {
        $seen = $feed->seen ?? [];
        if ($fetched !== null) {
            $marks = array_diff_key($seen, ['etag' => 0, 'modified' => 0]);
            $seen = array_slice($marks, -self::REMEMBERED, null, true) + $fetched->marks +
                ["file {$fetched->digest()}" => now()->toDateTimeString()];
            if ($fetched->isOurs) {
                FeedFile::putAside($fetched->name);
            } else {
                @unlink($fetched->path);
            }
        }
        self::note($feed, ['seen' => $seen, 'failures' => 0]);
    }

    /**
     * What a run leaves behind: nobody who has the feed's form open is told that somebody changed it.
     *
     * @param  array<string, mixed>  $changes
     */
    private static function note(Feed $feed, array $changes): void
    {
        $feed->fill($changes)->saveQuietly();
    }

    /** Of runs that nobody is at any more, since this one holds the lock. */
    private function noteBrokenOff(Feed $feed): void
    {
        foreach (Run::query()->where('feed_id', $feed->id)->where('state', RunState::Running)->get() as $run) {
            $this->end($run, RunState::Failed, 'It was broken off; the next run takes the file up again.');
            if ($run->reading !== null && $run->reading->state !== ReadingState::Done) {
                StartReading::abandon($run->reading);
            }
        }
    }
}
