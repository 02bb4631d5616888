<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Containing;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One entry of History.
 *
 * @property int $id
 * @property int|null $user_id
 * @property bool $by_itself whether nobody asked for it, but its time had come
 * @property string|null $program that was let in with a token
 * @property Room $room
 * @property string $summary
 * @property array<string, mixed>|null $figures
 * @property bool $has_way_back
 * @property int|null $takes_back
 * @property int|null $taken_back_by
 * @property Carbon $created_at
 * @property-read User|null $user
 */
final class Change extends Model
{
    use InSets;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** On whose behalf it was done. */
    public function who(): string
    {
        return $this->user->name ??
            match (true) {
                $this->program !== null => "{$this->program}, with a token",
                $this->by_itself => 'by itself',
                default => 'command line',
            };
    }

    /** @return HasMany<ChangeRow, $this> */
    public function rows(): HasMany
    {
        return $this->hasMany(ChangeRow::class);
    }

    /** @param  Builder<self>  $query */
    public function scopeSaying(Builder $query, string $words): void
    {
        Containing::text($query, ['summary LIKE ?'], $words);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'room' => Room::class,
            'figures' => 'array',
            'has_way_back' => 'boolean',
            'by_itself' => 'boolean',
        ];
    }
}
