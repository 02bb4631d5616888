<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A column heading of a feed and what it leads to: a known column, a definition, or (neither) nothing.
 *
 * @property int $id
 * @property int $feed_id
 * @property string $text
 * @property string $key
 * @property string|null $field
 * @property int|null $definition_id
 * @property list<string>|null $empty
 * @property-read Definition|null $definition
 */
final class Heading extends Model
{
    use InSets;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Definition, $this> */
    public function definition(): BelongsTo
    {
        return $this->belongsTo(Definition::class);
    }

    /** @return list<string> headings of all feeds that lead to a definition */
    public static function textsOf(Definition $definition): array
    {
        return array_values(self::query()->where('definition_id', $definition->id)->pluck('text')->all());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['empty' => 'array'];
    }
}
