<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What is said about the filters of some pages: filters that are added, and what is changed or dropped of inherited ones.
 *
 * @property int $id
 * @property string $placement
 * @property array<string, mixed>|null $settings the order of its filters, what becomes of sold-out products, sort orders
 * @property int $version
 */
final class Lineup extends Model
{
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['settings' => 'array'];

    /** @return HasMany<Filter, $this> */
    public function filters(): HasMany
    {
        return $this->hasMany(Filter::class)->orderBy('position')->orderBy('id');
    }

    /** @return HasMany<FilterChange, $this> */
    public function alterations(): HasMany
    {
        return $this->hasMany(FilterChange::class)->orderBy('id');
    }
}
