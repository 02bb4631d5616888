<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A product (what is listed), or a variant of one (what is bought). A product without variants is its own one variant.
 *
 * @property int $id
 * @property int|null $parent_id
 * @property string $sku
 * @property string|null $name
 * @property string $title the name, or the sku where there is none
 * @property int|null $category_id
 * @property float|null $price
 * @property string|null $currency
 * @property int|null $stock
 * @property string|null $description
 * @property string|null $image
 * @property int $variant_count
 * @property string|null $out_since from when on it is out of the shop
 * @property int|null $out_by the feed that sent it no longer, or -1 for a person
 * @property int $version
 * @property-read Category|null $category
 */
final class Item extends Model
{
    use InSets;
    use Versioned;

    protected $guarded = [];

    /** @return BelongsTo<Category, $this> */
    public function category(): BelongsTo
    {
        return $this->belongsTo(Category::class);
    }

    /** @return HasMany<self, $this> */
    public function variants(): HasMany
    {
        return $this->hasMany(self::class, 'parent_id')->orderBy('id');
    }

    /** @param  Builder<self>  $query */
    public function scopeProducts(Builder $query): void
    {
        $query->whereNull('items.parent_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['price' => 'float', 'stock' => 'integer'];
    }
}
