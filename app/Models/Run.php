<?php

declare(strict_types=1);

namespace App\Models;

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
