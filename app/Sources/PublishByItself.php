<?php

declare(strict_types=1);

namespace App\Sources;

use App\Editions\Served;
use App\History\Acting;
use App\Models\PlannedPublication;
use App\Models\Run;
use App\Models\RunState;
use App\Publishing\DraftSummary;
use App\Publishing\DriftInWords;
use App\Publishing\Publish;
use App\Settings\Shop;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Support\Carbon;
use Lokum\Edition\Drift;
use Lokum\Edition\PublishGuards;
use Throwable;

/**
 * Publishes without anybody, after readings, at its times or when somebody has planned it, where shoppers lose nothing beyond the
 * bounds; else it says why not.
 */
final readonly class PublishByItself
{
    private const NAMED = 3;

    public function __construct(private DraftSummary $draft, private Publish $publish)
    {
    }

    /** @param  bool  $wasRead  whether a delivery has just been read */
    public function __invoke(bool $wasRead): ?Run
    {
        $shop = Shop::current();
        $last = Run::query()->whereNull('feed_id')->latest('id')->first();
        $planned = PlannedPublication::query()->where('at', '<=', now())->first();
        $isDue = $planned !== null || match ($shop->publishes) {
            '' => false,
            Shop::AFTER_READINGS => $wasRead,
            default => Times::of($shop->publishes)->isDue($last->started_at ?? Carbon::now()->subMinutes(2), now(), $shop->timezone),
        };
        if (! $isDue || Publish::isUnderWay()) {
            return null;
        }
        // Whoever was at them would hold the lock.
        foreach (Run::underWay(null)->get() as $lost) {
            $lost->end(RunState::Failed, 'It was broken off.');
        }
        $run = Run::begin(null);
        try {
            $planned?->delete();

            return $planned === null
                ? $this->publish($run, $shop->loss / 100)
                : Acting::for(
                    $planned->user_id,
                    fn (): Run => $this->publish($run, $planned->anyway ? null : $shop->loss / 100, isWanted: true),
                );
        } catch (Refused $why) {
            return $run->end(RunState::Unpublished, $why->getMessage());
        } catch (Throwable $why) {
            report($why);

            return $run->end(
                RunState::Failed,
                'It stopped, and shoppers see what they saw before; the newest log in storage/logs says why.',
            );
        }
    }

    /**
     * @param  float|null  $most  share that may be lost; null: whatever is lost
     * @param  bool  $isWanted  whether somebody has planned it
     */
    private function publish(Run $run, ?float $most, bool $isWanted = false): Run
    {
        $served = Served::now();
        if (! $isWanted && $served->edition?->again_of !== null) {
            return $run->end(
                RunState::Unpublished,
                "Not published: somebody went back to edition {$served->edition->again_of}; the next one is somebody's to publish.",
            );
        }
        $before = $served->edition === null ? null : $served->file()->summary();
        $now = ($this->draft)();
        $drift = Drift::between($before, $now);
        $reasons = $most === null ? [] : PublishGuards::reasons($drift, $before, $now, $most);
        if ($reasons !== []) {
            return $run->end(RunState::Unpublished, 'Not published: '.implode('; ', $reasons).'.');
        }
        if ($drift->differences() === 0) {
            return $run->end(RunState::Nothing, 'Shoppers see all there is; nothing was to be published.');
        }
        $edition = ($this->publish)(fn () => null);
        $run->update(['edition_id' => $edition->id]);
        $lines = array_column(DriftInWords::lines($drift), 'text');
        $more = count($lines) - self::NAMED;

        return $run->end(
            RunState::Published,
            "Published edition {$edition->id}: ".
                lcfirst(implode('; ', array_slice($lines, 0, self::NAMED))).
                ($more > 0 ? "; and {$more} more" : '').
                '.',
        );
    }
}
