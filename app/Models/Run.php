<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One time that Lokum looked at a feed's source by itself, or was to publish.
 *
 * @property int $id
 * @property int|null $feed_id null: a publication
 * @property int|null $reading_id of the delivery that came
 * @property int|null $edition_id that was published
 * @property RunState $state
 * @property string|null $said what came of it, in words
 * @property Carbon $started_at
 * @property Carbon|null $finished_at
 * @property-read Feed|null $feed
 * @property-read Reading|null $reading
 */
final class Run extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    private const LONGEST = 2000;

    /** @param  Feed|null  $of  null: a publication */
    public static function begin(?Feed $of): self
    {
        return self::query()->create(['feed_id' => $of?->id, 'state' => RunState::Running, 'started_at' => now()]);
    }

    /** @param  string  $said  what came of it */
    public function end(RunState $state, string $said): self
    {
        $this->update(['state' => $state, 'said' => mb_strimwidth($said, 0, self::LONGEST, '…'), 'finished_at' => now()]);

        return $this;
    }

    /**
     * What was begun and not ended; where nobody is at it any more, it was broken off.
     *
     * @return Builder<self>
     */
    public static function underWay(?Feed $of): Builder
    {
        return self::query()->where('feed_id', $of?->id)->where('state', RunState::Running);
    }

    /** @return array<string, mixed> as commands tell it */
    public function document(): array
    {
        return [
            'run' => $this->id,
            'feed' => $this->feed?->name,
            'state' => $this->state->value,
            'said' => $this->said,
            'file' => $this->reading?->file_name,
            'reading' => $this->reading_id,
            'edition' => $this->edition_id,
            'started_at' => $this->started_at->toIso8601String(),
        ];
    }

    /** @return BelongsTo<Feed, $this> */
    public function feed(): BelongsTo
    {
        return $this->belongsTo(Feed::class);
    }

    /** @return BelongsTo<Reading, $this> */
    public function reading(): BelongsTo
    {
        return $this->belongsTo(Reading::class);
    }

    /** How long it took, in words; nothing while it is under way. */
    public function seconds(): string
    {
        return $this->finished_at === null ? '' : (int) $this->started_at->diffInSeconds($this->finished_at).' s';
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => RunState::class,
            'started_at' => 'datetime',
            'finished_at' => 'datetime',
        ];
    }
}
