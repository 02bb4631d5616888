<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One time a feed was read, or is about to be.
 *
 * @property int $id
 * @property int $feed_id
 * @property int|null $user_id
 * @property string $file_name
 * @property string $path below the data directory
 * @property bool $rules_wait whether fill rules still have to run behind it
 * @property int $bytes
 * @property ReadingState $state
 * @property bool $takes_good_rows
 * @property array<string, mixed>|null $figures
 * @property string|null $message
 * @property list<string>|null $held why it was not read by itself
 * @property Carbon $created_at
 * @property Carbon|null $finished_at
 * @property-read Feed $feed
 */
final class Reading extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Feed, $this> */
    public function feed(): BelongsTo
    {
        return $this->belongsTo(Feed::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => ReadingState::class,
            'figures' => 'array',
            'held' => 'array',
            'takes_good_rows' => 'boolean',
            'rules_wait' => 'boolean',
            'finished_at' => 'datetime',
        ];
    }

    /** Its entry in History. */
    public function entry(): ?Change
    {
        return Change::query()->where('room', Room::Feeds)->where('figures->reading', $this->id)->first();
    }

    /**
     * @param  list<int>  $readings
     * @return array<int, true> those of them that were taken back
     */
    public static function takenBack(array $readings): array
    {
        $taken = [];
        $entries = Change::query()
            ->where('room', Room::Feeds)
            ->whereIn('figures->reading', $readings)
            ->whereNotNull('taken_back_by')
            ->get();
        foreach ($entries as $entry) {
            $taken[(int) ($entry->figures['reading'] ?? 0)] = true;
        }

        return $taken;
    }
}
