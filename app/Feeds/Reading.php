<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Access\User;
use App\History\Change;
use App\Progress;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

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
 * @property Carbon $created_at
 * @property Carbon|null $finished_at
 * @property-read Feed $feed
 * @property-read User|null $user
 */
final class Reading extends Model
{
    protected $guarded = [];

    /** A file that is read at once, not by the worker. */
    public static function start(string $path, string $feed): self
    {
        return self::query()->create([
            'feed_id' => Feed::query()->firstOrCreate(['name' => $feed])->id,
            'user_id' => null,
            'file_name' => mb_scrub(mb_strimwidth(basename($path), 0, 200)),
            'path' => FeedFile::keep($path),
            'bytes' => (int) filesize($path),
            'state' => ReadingState::Reading,
            'figures' => null,
            'message' => null,
            'finished_at' => null,
        ]);
    }

    /** It was refused, and nothing of it stays. */
    public function abandon(): void
    {
        @unlink(FeedFile::kept($this->path));
        $this->delete();
        Feed::query()
            ->whereKey($this->feed_id)
            ->whereDoesntHave('readings')
            ->whereNotIn('id', DB::table('items')->whereNotNull('feed_id')->select('feed_id'))
            ->whereNotIn('id', DB::table('headings')->select('feed_id'))
            ->delete();
    }

    /** Says of readings that are under way and held by nobody any more that they broke off. */
    public static function noteBrokenOff(): void
    {
        foreach (
            self::query()
                ->whereIn('state', [ReadingState::Checking, ReadingState::Reading])
                ->get() as $reading
        ) {
            if (ReadingLock::isLost($reading)) {
                // What was written was written with its state, in one step.
                self::query()
                    ->whereKey($reading->id)
                    ->whereNot('state', ReadingState::Done)
                    ->update([
                        'state' => ReadingState::Failed,
                        'message' => 'It was broken off before it was done, and nothing was written. Do it again.',
                    ]);
                ReadingLock::forget($reading);
                (new Progress('reading:'.$reading->id))->end();
            }
        }
    }

    /** @return BelongsTo<Feed, $this> */
    public function feed(): BelongsTo
    {
        return $this->belongsTo(Feed::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return resource */
    public function open()
    {
        return FeedFile::open(FeedFile::kept($this->path));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'state' => ReadingState::class,
            'figures' => 'array',
            'takes_good_rows' => 'boolean',
            'rules_wait' => 'boolean',
            'finished_at' => 'datetime',
        ];
    }

    /** Its entry in History. */
    public function entry(): ?Change
    {
        return Change::query()->where('room', 'Feeds')->where('figures->reading', $this->id)->first();
    }

    /**
     * @param  list<int>  $readings
     * @return array<int, true> those of them that were taken back
     */
    public static function takenBack(array $readings): array
    {
        $taken = [];
        foreach (
            Change::query()->where('room', 'Feeds')->whereIn('figures->reading', $readings)->whereNotNull('taken_back_by')->get() as $entry
        ) {
            $taken[(int) $entry->figures['reading']] = true;
        }

        return $taken;
    }
}
