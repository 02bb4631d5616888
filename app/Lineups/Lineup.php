<?php

declare(strict_types=1);

namespace App\Lineups;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * An ordered set of filters, and the pages it is for.
 *
 * @property int $id
 * @property string $placement
 * @property int $version
 */
final class Lineup extends Model
{
    public const SHOP = 'shop';

    protected $guarded = [];

    public static function ofTheShop(): self
    {
        return self::query()->where('placement', self::SHOP)->firstOrFail();
    }

    /** @return HasMany<Filter, $this> */
    public function filters(): HasMany
    {
        return $this->hasMany(Filter::class)->orderBy('position')->orderBy('id');
    }
}
