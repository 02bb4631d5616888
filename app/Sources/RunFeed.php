<?php

declare(strict_types=1);

namespace App\Sources;

use App\Data\FileLock;
use App\Feeds\DeliveryRead;
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
use App\Support\Progress;
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
        $lock = FileLock::tryHold(self::lock($feed)) ??
            throw new Refused("The source of {$feed->name} is being looked at right now.");
        try {
            $this->noteBrokenOff($feed);
            $run = Run::begin($feed);
            // A run that fails has been made all the same.
            self::note($feed, ['looked_at' => now()]);

            return $this->run($run, $feed, $source);
        } finally {
            $lock->release();
        }
    }

    public static function isUnderWay(Feed $feed): bool
    {
        return FileLock::isHeld(self::lock($feed));
    }

    public static function progress(Feed $feed): Progress
    {
        return new Progress("source:{$feed->id}");
    }

    private static function lock(Feed $feed): string
    {
        return config('lokum.data')."/feeds/source-{$feed->id}.lock";
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
        try {
            if ($fetched === null || $this->isKnown($feed, $fetched)) {
                $run->end(RunState::Nothing, 'Nothing new has come.');
            } else {
                $reading = StartReading::later($fetched->path, $fetched->name, $feed->name);
                $run->update(['reading_id' => $reading->id]);
                $this->judge($run, $feed, $reading);
            }
            $this->taken($feed, $fetched);
        } catch (Throwable $why) {
            // It comes again at the next try.
            return $this->fail($run, $feed, $why);
        } finally {
            $fetched?->leave();
        }

        return $run;
    }

    /** @throws Throwable for what has nothing to do with the file; then nothing of the reading stays */
    private function judge(Run $run, Feed $feed, Reading $reading): void
    {
        $lock = ReadingLock::hold($reading);
        $map = MappingForm::remembered($reading);
        // Whoever looks at the source or at the reading sees how far it is.
        $progress = [self::progress($feed), new Progress("reading:{$reading->id}")];
        $tell = function (string $what, int $rows, float $share) use ($progress): void {
            foreach ($progress as $one) {
                $one->report($what, $rows, $share);
            }
        };
        $read = fn (bool $check): ReadingFigures => ($this->read)(
            FeedFile::ofReading($reading),
            $feed->name,
            $map,
            $check,
            $tell,
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
                $this->hold($run, $reading, $reasons);

                return;
            }
            $reading->update(['state' => ReadingState::Reading, 'takes_good_rows' => true]);
            $read(false);
            event(new DeliveryRead());
            $run->end(RunState::Read, ReadingWords::of($reading->refresh()));
        } catch (Refused $why) {
            // A file that cannot be read stays as it is, however often it is looked at.
            $reading->update(['state' => ReadingState::Failed, 'message' => $why->getMessage()]);

            $this->hold($run, $reading, [rtrim(lcfirst($why->getMessage()), '.')]);
        } catch (Throwable $why) {
            $run->update(['reading_id' => null]);
            StartReading::abandon($reading);
            throw $why;
        } finally {
            $progress[1]->end();
            $lock?->release();
        }
    }

    /** @param  non-empty-list<string>  $reasons */
    private function hold(Run $run, Reading $reading, array $reasons): void
    {
        $reading->update(['held' => $reasons]);
        $run->end(RunState::Held, 'Held: '.implode('; ', $reasons).'.');
    }

    private function fail(Run $run, Feed $feed, Throwable $why): Run
    {
        if (! ($why instanceof Refused)) {
            report($why);
        }
        self::note($feed, ['failures' => $feed->failures + 1]);
        $said = $why instanceof Refused ? $why->getMessage() : 'It stopped; the newest log in storage/logs says why.';

        return $run->end(
            RunState::Failed,
            $said.($feed->failures >= self::MOST_FAILURES
                ? ' That was the '.self::MOST_FAILURES.'th time in a row: the source is left alone until somebody looks at it.'
                : ''),
        );
    }

    /** Each file is taken once, by what stands in it. */
    private function isKnown(Feed $feed, Fetched $fetched): bool
    {
        return isset($feed->seen["file {$fetched->digest()}"]);
    }

    /** @throws Refused when it is in the way of the next one and cannot be moved */
    private function taken(Feed $feed, ?Fetched $fetched): void
    {
        if ($fetched !== null) {
            $marks = array_diff_key($feed->seen ?? [], ['etag' => 0, 'modified' => 0]);
            self::note($feed, [
                'seen' => array_slice($marks, -self::REMEMBERED, null, true) + $fetched->marks +
                    ["file {$fetched->digest()}" => now()->toDateTimeString()],
            ]);
            if ($fetched->isOurs) {
                FeedFile::putAside($fetched->name);
            }
        }
        self::note($feed, ['failures' => 0]);
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
        foreach (Run::underWay($feed)->get() as $run) {
            $run->end(RunState::Failed, 'It was broken off; the next run takes the file up again.');
            if ($run->reading !== null && $run->reading->state !== ReadingState::Done) {
                StartReading::abandon($run->reading);
            }
        }
    }
}
