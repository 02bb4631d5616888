<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Lokum\Vocabulary\Look;
use Lokum\Vocabulary\Showing;

/**
 * A value of an attribute. A merged one stays behind, pointing at the one that stayed, so that its address leads there
 * and the merge can be taken back.
 *
 * @property int $id
 * @property int $definition_id
 * @property string $label
 * @property string $slug
 * @property int $position
 * @property string|null $look
 * @property bool $held from filters
 * @property bool $on_products whether one that is held is told on the pages of its products
 * @property bool $retired held back for good, and not offered where values are typed
 * @property int|null $merged_into
 * @property int|null $umbrella_id
 * @property-read Umbrella|null $umbrella
 * @property string|null $description of its page in the shop
 * @property string|null $picture name of a kept picture
 * @property int $version
 * @property-read Definition $definition
 */
final class Value extends Model implements OfDefinition
{
    use InSets;
    use Versioned;

    protected $table = 'attribute_values';

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** @return BelongsTo<Umbrella, $this> */
    public function umbrella(): BelongsTo
    {
        return $this->belongsTo(Umbrella::class);
    }

    /** @return HasMany<Spelling, $this> */
    public function spellings(): HasMany
    {
        return $this->hasMany(Spelling::class);
    }

    public function showing(): Showing
    {
        return match (true) {
            ! $this->held => Showing::Everywhere,
            $this->on_products => Showing::Products,
            default => Showing::Nowhere,
        };
    }

    /** @return array{held: int, on_products: int} how it is kept that shoppers see it there */
    public static function shown(Showing $where): array
    {
        return ['held' => (int) ($where !== Showing::Everywhere), 'on_products' => (int) ($where === Showing::Products)];
    }

    public function look(): Look
    {
        return Look::fromJson($this->look);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['held' => 'boolean', 'on_products' => 'boolean', 'retired' => 'boolean'];
    }
}
