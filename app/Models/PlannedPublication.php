<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A publication that somebody wants at a set time; it goes when that has come.
 *
 * @property int $id
 * @property Carbon $at
 * @property int|null $user_id
 * @property bool $anyway whether it is not held where shoppers would lose something
 * @property-read User|null $user
 */
final class PlannedPublication extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'anyway' => 'boolean'];
    }
}
