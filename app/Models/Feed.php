<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A supplier's file with its column mapping.
 *
 * @property int $id
 * @property string $name
 * @property list<string>|null $empty
 */
final class Feed extends Model
{
    protected $guarded = [];

    /** @return HasMany<Heading, $this> */
    public function headings(): HasMany
    {
        return $this->hasMany(Heading::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['empty' => 'array'];
    }
}
