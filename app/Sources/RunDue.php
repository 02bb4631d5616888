<?php

declare(strict_types=1);

namespace App\Sources;

use App\History\Acting;
use App\Models\Feed;
use App\Models\Run;
use App\Models\RunState;
use App\Settings\Shop;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Support\Carbon;

/** Looks at every source whose time has come, one after the other, and publishes behind them where that was said. */
final readonly class RunDue
{
    /** After a failure it is tried again: after 2, 4, 8 … minutes, and every six hours at the latest. */
    private const LONGEST_WAIT = 360;

    /** Files of one inbox that are taken one after the other. */
    private const MOST_FILES = 50;

    public function __construct(private RunFeed $run, private PublishByItself $publish)
    {
    }

    /** @return list<Run> */
    public function __invoke(): array
    {
        return Acting::byItself($this->all(...));
    }

    /** @return list<Run> */
    private function all(): array
    {
        $runs = [];
        $timezone = Shop::current()->timezone;
        foreach (Feed::query()->whereNotNull('source')->whereNotNull('times')->orderBy('name')->get() as $feed) {
            if (self::isDue($feed, now(), $timezone)) {
                try {
                    array_push($runs, ...$this->feed($feed));
                } catch (Refused) {
                    // Somebody is at it already.
                }
            }
        }
        $published = ($this->publish)(in_array(RunState::Read, array_column($runs, 'state'), true));

        return [...$runs, ...$published === null ? [] : [$published]];
    }

    /**
     * All that is new of one source.
     *
     * @return non-empty-list<Run>
     *
     * @throws Refused when it is being looked at right now, or there is none
     */
    public function feed(Feed $feed): array
    {
        $runs = [];
        do {
            $runs[] = $run = ($this->run)($feed);
        } while (
            Source::of($feed)->kind !== SourceKind::Address &&
            in_array($run->state, [RunState::Read, RunState::Held], true) &&
            count($runs) < self::MOST_FILES
        );
        RunFeed::progress($feed)->end();
        // That nothing more has come is not worth a line where something has.
        if (count($runs) > 1 && $run->state === RunState::Nothing) {
            $run->delete();
            array_pop($runs);
        }

        return $runs;
    }

    public static function isDue(Feed $feed, Carbon $now, string $timezone): bool
    {
        if ($feed->times === null || $feed->failures >= RunFeed::MOST_FAILURES) {
            return false;
        }
        $wait = min(2 ** $feed->failures, self::LONGEST_WAIT);

        return Times::of($feed->times)->isDue($feed->looked_at, $now, $timezone) ||
            ($feed->failures > 0 && $feed->looked_at !== null && $feed->looked_at->copy()->addMinutes($wait) <= $now);
    }
}
