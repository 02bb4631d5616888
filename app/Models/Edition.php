<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A numbered publication. Its contents are a file of their own that never changes; the newest row is what shoppers see.
 *
 * @property int $id the number
 * @property string $file name below the editions directory
 * @property int $products
 * @property int $variants
 * @property int $terms
 * @property int|null $bytes of its file; null: of an edition from before they were noted
 * @property float $seconds
 * @property int|null $again_of the edition that somebody went back to with it
 * @property Carbon $created_at
 * @property-read Change|null $change its entry in History
 */
final class Edition extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    public static function current(): ?self
    {
        return self::query()->orderByDesc('id')->first();
    }

    public static function directory(): string
    {
        return config('lokum.data').'/editions';
    }

    /** Whether its file is there still. */
    public function isKept(): bool
    {
        return is_file(self::directory()."/{$this->file}");
    }

    /** @return BelongsTo<Change, $this> its entry in History */
    public function change(): BelongsTo
    {
        return $this->belongsTo(Change::class);
    }
}
