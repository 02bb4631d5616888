<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One notice to one receiver, and what became of it.
 *
 * @property int $id
 * @property int $receiver_id
 * @property int $edition_id
 * @property int $attempts
 * @property string $state waiting, delivered or given up
 * @property string|null $answer
 * @property Carbon $updated_at
 * @property-read Receiver $receiver
 * @property-read Edition $edition
 */
final class Delivery extends Model
{
    public const WAITING = 'waiting';

    public const DELIVERED = 'delivered';

    public const GIVEN_UP = 'given up';

    protected $guarded = [];

    /** @return BelongsTo<Receiver, $this> */
    public function receiver(): BelongsTo
    {
        return $this->belongsTo(Receiver::class);
    }

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }
}
