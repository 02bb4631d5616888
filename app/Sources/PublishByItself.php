<?php

declare(strict_types=1);

namespace App\Sources;

use App\Editions\Served;
use App\Models\Run;
use App\Models\RunState;
use App\Publishing\CurrentDrift;
use App\Publishing\DriftInWords;
use App\Publishing\Publish;
use App\Settings\Shop;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Support\Carbon;
use Lokum\Edition\PublishGuards;

/** Publishes without anybody, after readings or at its times, where shoppers lose nothing beyond the bounds; else it says why not. */
final readonly class PublishByItself
{
    private const NAMED = 3;

    public function __construct(private CurrentDrift $drift, private Publish $publish)
    {
    }

    /** @param  bool  $wasRead  whether a delivery has just been read */
    public function __invoke(bool $wasRead): ?Run
    {
        $shop = Shop::current();
        $last = Run::query()->whereNull('feed_id')->latest('id')->first();
        $isDue = match ($shop->publishes) {
            '' => false,
            Shop::AFTER_READINGS => $wasRead,
            default => Times::of($shop->publishes)->isDue($last->started_at ?? Carbon::now()->subMinutes(2), now(), $shop->timezone),
        };
        if (! $isDue || Publish::isUnderWay()) {
            return null;
        }
        $run = Run::query()->create(['state' => RunState::Running, 'started_at' => now()]);
        $served = Served::now();
        $drift = ($this->drift)();
        $reasons = PublishGuards::reasons(
            $drift,
            $served->edition === null ? null : $served->file()->summary(),
            $shop->loss / 100,
        );
        if ($reasons === [] && $drift->differences() === 0) {
            return $this->end($run, RunState::Nothing, 'Shoppers see all there is; nothing was to be published.');
        }
        if ($reasons !== []) {
            return $this->end($run, RunState::Unpublished, 'Not published: '.implode('; ', $reasons).'.');
        }
        try {
            $edition = ($this->publish)(fn () => null);
        } catch (Refused $why) {
            return $this->end($run, RunState::Unpublished, $why->getMessage());
        }
        $run->update(['edition_id' => $edition->id]);

        $lines = array_column(DriftInWords::lines($drift), 'text');
        $more = count($lines) - self::NAMED;

        return $this->end(
            $run,
            RunState::Published,
            "Published edition {$edition->id}: ".
                lcfirst(implode('; ', array_slice($lines, 0, self::NAMED))).
                ($more > 0 ? "; and {$more} more" : '').
                '.',
        );
    }

    private function end(Run $run, RunState $state, string $said): Run
    {
        $run->update(['state' => $state, 'said' => mb_strimwidth($said, 0, 2000, '…'), 'finished_at' => now()]);

        return $run;
    }
}
