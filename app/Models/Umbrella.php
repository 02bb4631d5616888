<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Look;

/**
 * Several values that shoppers tick as one. Products keep their own value.
 *
 * @property int $id
 * @property int $definition_id
 * @property string $label
 * @property string $slug
 * @property string|null $look
 * @property int $position
 * @property int $version
 * @property-read Definition $definition
 */
final class Umbrella extends Model implements OfDefinition
{
    use InSets;
    use Versioned;

    /** Terms are numbered by their value; umbrellas come behind all of these. */
    public const TERM = 1_000_000_000;

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** @return HasMany<Value, $this> */
    public function values(): HasMany
    {
        return $this->hasMany(Value::class)->whereNull('merged_into')->orderBy('label');
    }

    public function look(): Look
    {
        return Look::fromJson($this->look);
    }

    /** The umbrella of an attribute that goes by a label, in the same letters, or by a slug. */
    public static function named(Definition $definition, string $label): ?self
    {
        $key = StrictKey::of($label);
        // Asked for every value that comes: of all of them only names are read.
        foreach (
            Umbrella::table()
                ->where('definition_id', $definition->id)
                ->orderBy('id')
                ->get(['id', 'label', 'slug']) as $one
        ) {
            if ($one->label === $label || $one->slug === $label || StrictKey::of($one->label) === $key) {
                return self::query()->whereKey($one->id)->first();
            }
        }

        return null;
    }
}
